import { Box, Button, TextField } from '@mui/material';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import {
  allLinesQuery,
  ask,
  type EscalationStep,
  readAllAgain,
  staffQuery,
  type Team,
  teamEscalationsQuery,
  teamsQuery,
} from '../../shared/api';
import { Answered, ProblemNote, whyOf } from '../../shared/ui';
import { bookSerif } from '../../theme';
import { EscalationEditor } from './EscalationEditor';

/** Teams: who is in them, what they answer, and who is told when something there is late. */
export function TeamsPage() {
  const teams = useQuery(teamsQuery);
  const escalations = useQuery(teamEscalationsQuery);
  const [adding, setAdding] = useState(false);
  return (
    <Box sx={{ p: 2, display: 'grid', gap: 3, maxWidth: 820, alignContent: 'start' }}>
      <Answered query={teams}>
        {(all) => (
          <Answered query={escalations}>
            {(of) =>
              all.map((team) => (
                <TeamPart key={team.id} team={team} steps={of.find((each) => each.teamId === team.id)?.steps ?? NONE} />
              ))
            }
          </Answered>
        )}
      </Answered>
      {adding ? (
        <NameForm label="New team" path="teams" method="POST" first="" onDone={() => setAdding(false)} />
      ) : (
        <Box>
          <Button sx={{ px: 0 }} onClick={() => setAdding(true)}>
            Add a team
          </Button>
        </Box>
      )}
    </Box>
  );
}

const NONE: EscalationStep[] = [];

function TeamPart({ team, steps }: { team: Team; steps: EscalationStep[] }) {
  const staff = useQuery(staffQuery).data ?? [];
  const lines = (useQuery(allLinesQuery).data ?? []).filter((line) => line.teamId === team.id);
  const [naming, setNaming] = useState(false);
  const members = staff.filter((one) => team.members.includes(one.id) && one.active);
  return (
    <Box component="section" aria-label={team.name}>
      {naming ? (
        <NameForm
          label="Name of the team"
          path={`teams/${team.id}`}
          method="PUT"
          first={team.name}
          onDone={() => setNaming(false)}
        />
      ) : (
        <Box sx={{ display: 'flex', gap: 1, alignItems: 'baseline' }}>
          <Box component="h3" sx={{ m: 0, fontFamily: bookSerif, fontSize: '1.0625rem', fontWeight: 600 }}>
            {team.name}
          </Box>
          <Button onClick={() => setNaming(true)} aria-label={`Rename ${team.name}`}>
            Rename
          </Button>
        </Box>
      )}
      <Box sx={{ color: 'text.secondary', mb: 1 }}>
        {members.length === 0 ? 'No members yet. Add them under People.' : members.map((one) => one.name).join(', ')}
        {lines.length > 0 && `. Answers ${lines.map((line) => line.name).join(', ')}.`}
      </Box>
      <EscalationEditor of="teams" id={team.id} first={steps} without="Only the owner is alerted." />
    </Box>
  );
}

interface NameProps {
  label: string;
  path: string;
  method: 'POST' | 'PUT';
  first: string;
  onDone: () => void;
}

function NameForm({ label, path, method, first, onDone }: NameProps) {
  const queries = useQueryClient();
  const [name, setName] = useState(first);
  const save = useMutation({
    mutationFn: () => ask(method, `/api/setup/${path}`, { name }),
    onSuccess: async () => {
      await readAllAgain(queries);
      onDone();
    },
  });
  const why = whyOf(save.error, 'name');
  return (
    <Box
      component="form"
      aria-label={label}
      onSubmit={(event) => {
        event.preventDefault();
        save.mutate();
      }}
      sx={{ display: 'flex', gap: 1.5, alignItems: 'end', flexWrap: 'wrap', mb: 1 }}
    >
      <TextField
        label={label}
        value={name}
        // Whoever asked for the form wants to write the name.
        // eslint-disable-next-line jsx-a11y/no-autofocus
        autoFocus
        {...why}
        onChange={(event) => setName(event.target.value)}
        slotProps={{ htmlInput: { maxLength: 60 } }}
      />
      <Button type="submit" variant="contained" disabled={save.isPending || name.trim() === ''}>
        Save
      </Button>
      <Button onClick={onDone}>Cancel</Button>
      {save.error && !why.error && <ProblemNote problem={save.error} />}
    </Box>
  );
}

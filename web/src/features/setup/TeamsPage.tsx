import { Box, Button, TextField } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { ask, type EscalationStep, staffQuery, type Team, teamsQuery } from '../../shared/api';
import { allLinesQuery, teamEscalationsQuery } from './queries';
import { Form, SaveBar, useForm } from '../../shared/form';
import { Answered } from '../../shared/ui';
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
        <NameForm label="New team" id={undefined} first="" onDone={() => setAdding(false)} />
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
        <NameForm label="Name of the team" id={team.id} first={team.name} onDone={() => setNaming(false)} />
      ) : (
        <Box sx={{ display: 'flex', gap: 1, alignItems: 'baseline' }}>
          <Box component="h3" sx={{ m: 0, typography: 'heading' }}>
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
  id: number | undefined;
  first: string;
  onDone: () => void;
}

function NameForm({ label, id, first, onDone }: NameProps) {
  const form = useForm({
    first: { name: first },
    names: { name: 'the name' },
    send: (body) =>
      id === undefined
        ? ask('POST', '/api/setup/teams', { body })
        : ask('PUT', '/api/setup/teams/{id}', { path: { id }, body }),
    onSaved: onDone,
  });
  const { name } = form.value;
  return (
    <Form form={form} label={label} sx={{ display: 'grid', gap: 1, mb: 1, justifyItems: 'start' }}>
      <TextField
        label={label}
        value={name}
        // The person who asked for the form wants to write the name.
        // eslint-disable-next-line jsx-a11y/no-autofocus
        autoFocus
        {...form.field('name')}
        onChange={(event) => form.change({ name: event.target.value })}
        slotProps={{ htmlInput: { maxLength: 60 } }}
      />
      <SaveBar form={form} save="Save" ready={name.trim() !== ''} onCancel={onDone} />
    </Form>
  );
}

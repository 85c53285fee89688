import { Box, Button } from '@mui/material';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { ask, keys, type Session, teamsQuery } from '../../shared/api';
import { Blank, Field, ProblemNote } from '../../shared/ui';
import type { Sayable } from './queries';

interface Props {
  session: Session;
  said: Sayable;
  onDone: () => void;
}

/** Asks for a name, and for whom a sentence is saved. */
export function SaveForm({ session, said, onDone }: Props) {
  const queries = useQueryClient();
  const teams = (useQuery(teamsQuery).data ?? []).filter((team) => team.members.includes(session.staff.id));
  const [name, setName] = useState('');
  const [team, setTeam] = useState<number>();
  const save = useMutation({
    mutationFn: () =>
      ask('POST', '/api/sentences', {
        body: { ...said, name, teamId: team },
      }),
    onSuccess: async () => {
      await queries.invalidateQueries({ queryKey: keys.sentences });
      onDone();
    },
  });
  return (
    <Box
      component="form"
      role="dialog"
      aria-label="Save this sentence"
      onSubmit={(event) => {
        event.preventDefault();
        save.mutate();
      }}
      sx={{ p: 2, width: 300, display: 'grid', gap: 1.5 }}
    >
      <Field
        label="Name"
        value={name}
        // The person who asked for the form wants to write the name.
        // eslint-disable-next-line jsx-a11y/no-autofocus
        autoFocus
        onChange={(event) => setName(event.target.value)}
        slotProps={{ htmlInput: { maxLength: 60 } }}
      />
      <Box sx={{ typography: 'body2' }}>
        {'Save it for '}
        <Blank
          name="For whom"
          value={team}
          options={[
            { value: undefined, words: 'me' },
            ...teams.map((each) => ({ value: each.id, words: `everyone in ${each.name}` })),
          ]}
          onChange={setTeam}
        />
      </Box>
      {save.error && <ProblemNote problem={save.error} />}
      <Button type="submit" variant="contained" disabled={name.trim() === '' || save.isPending}>
        Save
      </Button>
    </Box>
  );
}

import { Box, Button, ButtonBase, Popover } from '@mui/material';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { ask, keys, type SavedSentence, type Session, teamsQuery } from '../../shared/api';
import { sentencesQuery } from './queries';
import { readSentence, writeSentence } from '../../shared/sentence';
import { Field, Blank, ProblemNote } from '../../shared/ui';
import { type ListAddress, type ListGroup, usualOrder } from './model/choice';

interface Props {
  session: Session;
  address: ListAddress;
  toIdentify?: boolean;
  onChange: (address: ListAddress) => void;
}

function isThis(saved: SavedSentence, address: ListAddress): boolean {
  return (
    saved.said === writeSentence(address.sentence) && saved.group === address.group && saved.order === address.order
  );
}

/** Sentences someone saved, each with how many it means now; and the way to save this one. */
export function SavedSentences({ session, address, toIdentify = false, onChange }: Props) {
  const saved = useQuery(sentencesQuery).data ?? [];
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const here = saved.find((each) => isThis(each, address));
  const plain = writeSentence(address.sentence) === '' && address.order === usualOrder(address.group, toIdentify);
  if (saved.length === 0 && plain) return null;
  return (
    <Box
      component="nav"
      aria-label="Saved sentences"
      sx={{ display: 'flex', flexWrap: 'wrap', columnGap: 1.75, typography: 'body2', alignItems: 'baseline' }}
    >
      {saved.map((each) => (
        <ButtonBase
          key={each.id}
          aria-pressed={each === here}
          onClick={() =>
            onChange({ group: each.group as ListGroup, order: each.order, sentence: readSentence(each.said) })
          }
          sx={{
            font: 'inherit',
            borderRadius: 0,
            borderBottom: 2,
            borderColor: each === here ? 'primary.main' : 'transparent',
            fontWeight: each === here ? 700 : 500,
            gap: 0.5,
          }}
        >
          {each.name}
          <Box component="span" className="figures" sx={{ typography: 'caption', color: 'text.secondary' }}>
            {each.many ? `${each.count}+` : each.count}
          </Box>
        </ButtonBase>
      ))}
      {here?.mine && <DropSaved saved={here} />}
      {!here && !plain && (
        <Button sx={{ px: 0, py: 0 }} onClick={(event) => setAnchor(event.currentTarget)}>
          Save this sentence…
        </Button>
      )}
      <Popover
        open={anchor !== null}
        anchorEl={anchor}
        onClose={() => setAnchor(null)}
        anchorOrigin={{ vertical: 'bottom', horizontal: 'left' }}
        transitionDuration={0}
      >
        <SaveForm session={session} address={address} onDone={() => setAnchor(null)} />
      </Popover>
    </Box>
  );
}

function DropSaved({ saved }: { saved: SavedSentence }) {
  const queries = useQueryClient();
  const drop = useMutation({
    mutationFn: () => ask('DELETE', '/api/sentences/{id}', { path: { id: saved.id } }),
    onSettled: () => queries.invalidateQueries({ queryKey: keys.sentences }),
  });
  return (
    <Button color="inherit" sx={{ px: 0, py: 0, color: 'text.secondary' }} onClick={() => drop.mutate()}>
      Delete it
    </Button>
  );
}

interface FormProps {
  session: Session;
  address: ListAddress;
  onDone: () => void;
}

function SaveForm({ session, address, onDone }: FormProps) {
  const queries = useQueryClient();
  const teams = (useQuery(teamsQuery).data ?? []).filter((team) => team.members.includes(session.staff.id));
  const [name, setName] = useState('');
  const [team, setTeam] = useState<number>();
  const save = useMutation({
    mutationFn: () =>
      ask('POST', '/api/sentences', {
        body: { name, said: writeSentence(address.sentence), group: address.group, order: address.order, teamId: team },
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

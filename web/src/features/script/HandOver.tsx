import { Box, Button, Dialog, DialogActions, DialogContent, DialogTitle } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { receiversQuery } from './queries';
import { moment } from '../../shared/format';
import { Field, ProblemNote, StaffMark, useNow } from '../../shared/ui';
import { byLetters, type Receiver } from './model/receivers';
import { hereEdge } from '../../theme';

interface Props {
  id: number;
  name: string;
  zone: string;
  onClose: () => void;
  onHandOver: (to: { person?: number; team?: number }, why: string, said: string) => void;
}

/** To whom: a colleague who may see it, or a team; and a word why, which becomes a note. A few letters are enough. */
export function HandOver({ id, name, zone, onClose, onHandOver }: Props) {
  const now = useNow();
  const query = useQuery(receiversQuery(id));
  const [words, setWords] = useState('');
  const [why, setWhy] = useState('');
  const [picked, setPicked] = useState<string>();
  const [eager, setEager] = useState(false);
  const all: Receiver[] = query.data
    ? [
        ...query.data.people.map(({ staff, in: isIn, until }) => ({
          key: `person ${staff.id}`,
          name: staff.name,
          to: { person: staff.id },
          mark: staff.mark,
          standing: isIn ? 'in' : until ? `away until ${moment(new Date(until), now, zone)}` : 'away',
        })),
        ...query.data.teams.map((team) => ({
          key: `team ${team.id}`,
          name: team.name,
          to: { team: team.id },
          mark: undefined,
          standing: `team of ${team.members.length}`,
        })),
      ]
    : [];
  const shown = byLetters(all, words);
  const chosen = shown.find((one) => one.key === picked) ?? shown[0];
  const handTo = (one: Receiver) => {
    onHandOver(one.to, why.trim(), `Handed over to ${one.name}`);
    onClose();
  };
  useEffect(() => {
    if (eager && chosen) handTo(chosen);
  });
  const step = (by: 1 | -1) => {
    const at = shown.findIndex((one) => one.key === chosen?.key);
    setPicked(shown[Math.max(0, Math.min(shown.length - 1, at + by))]?.key);
  };
  return (
    <Dialog open onClose={onClose} aria-labelledby="hand-over-title" fullWidth maxWidth="xs">
      <form
        onSubmit={(event) => {
          event.preventDefault();
          // Some press Enter before the names are there.
          if (chosen) handTo(chosen);
          else setEager(!query.data);
        }}
      >
        <DialogTitle id="hand-over-title">Hand over {name}</DialogTitle>
        <DialogContent sx={{ display: 'grid', gap: 1.5 }}>
          <Field
            label="To whom"
            placeholder="type a name; ↑ ↓ to choose"
            value={words}
            // The person who asked for the dialog wants to type the name.
            // eslint-disable-next-line jsx-a11y/no-autofocus
            autoFocus
            onChange={(event) => setWords(event.target.value)}
            onKeyDown={(event) => {
              if (event.key !== 'ArrowDown' && event.key !== 'ArrowUp') return;
              event.preventDefault();
              step(event.key === 'ArrowDown' ? 1 : -1);
            }}
          />
          {query.error && <ProblemNote problem={query.error} onRetry={() => void query.refetch()} />}
          <Box
            role="listbox"
            aria-label="Who can take it"
            sx={{ height: 216, overflowY: 'auto', border: 1, borderColor: 'divider' }}
          >
            {shown.map((one) => (
              <Box
                key={one.key}
                role="option"
                tabIndex={-1}
                aria-selected={one.key === chosen?.key}
                onClick={() => setPicked(one.key)}
                onKeyDown={(event) => {
                  if (event.key === 'Enter') setPicked(one.key);
                }}
                sx={{
                  display: 'flex',
                  gap: 1,
                  alignItems: 'center',
                  px: 1,
                  py: 0.5,
                  cursor: 'pointer',
                  bgcolor: one.key === chosen?.key ? 'inks.pineWash' : 'transparent',
                  boxShadow: one.key === chosen?.key ? hereEdge : 'none',
                }}
              >
                <Box sx={{ width: 16, display: 'flex' }}>{one.mark && <StaffMark mark={one.mark} />}</Box>
                <Box sx={{ flex: 1 }}>{one.name}</Box>
                <Box className="figures" sx={{ typography: 'caption', color: 'text.secondary' }}>
                  {one.standing}
                </Box>
              </Box>
            ))}
            {query.data && shown.length === 0 && (
              <Box sx={{ p: 1, color: 'text.secondary' }}>
                {all.length === 0
                  ? 'Nobody else may work on this line.'
                  : 'No colleague or team with that name can take it.'}
              </Box>
            )}
          </Box>
          <Field
            label="Reason (kept as a note)"
            value={why}
            multiline
            maxRows={3}
            onChange={(event) => setWhy(event.target.value)}
            slotProps={{ htmlInput: { maxLength: 400 } }}
          />
        </DialogContent>
        <DialogActions>
          <Button onClick={onClose}>Cancel</Button>
          <Button type="submit" variant="contained" disabled={query.data !== undefined && !chosen}>
            {chosen ? `Hand over to ${chosen.name.split(' ')[0] ?? ''}` : 'Hand over'}
          </Button>
        </DialogActions>
      </form>
    </Dialog>
  );
}

import {
  Box,
  Button,
  Checkbox,
  Dialog,
  DialogActions,
  DialogContent,
  DialogTitle,
  FormControlLabel,
} from '@mui/material';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { ask, type Staff, staffQuery, teamsQuery, readAllAgain } from '../../shared/api';
import { workQuery } from './queries';
import { timeLeft } from '../../shared/format';
import { Blank, offerUndo, ProblemNote, UNDOABLE } from '../../shared/ui';
import { byUrgency, movedWords, whitherOf } from './model/moves';

interface Props {
  /** Who leaves. */
  staff: Staff;
  /** For good: they are switched off then, and all they own goes. */
  forGood?: boolean;
  onClose: () => void;
  /** When it is done, whether or not anything moved. */
  onLeft: () => void;
}

const KEEP = 'keep';

/** One step on leaving: what is owned, and where all or some of it goes. */
export function Leaving({ staff, forGood = false, onClose, onLeft }: Props) {
  const queries = useQueryClient();
  const work = useQuery(workQuery(staff.id));
  const colleagues = (useQuery(staffQuery).data ?? []).filter(
    (one) => one.active && one.id !== staff.id && one.role !== 'VIEWER',
  );
  const teams = useQuery(teamsQuery).data ?? [];
  const [whither, setWhither] = useState(forGood ? 'nobody' : KEEP);
  const [left, setLeft] = useState<Set<number>>(new Set());
  const rows = byUrgency(work.data ?? []);
  const picked = rows.filter((row) => !left.has(row.id));
  const options = [
    ...(forGood ? [] : [{ value: KEEP, words: 'leave them with me' }]),
    { value: 'nobody', words: 'let them go, back to nobody' },
    ...colleagues.map((one) => ({ value: `person ${one.id}`, words: `hand them over to ${one.name}` })),
    ...teams
      .filter((team) => team.members.length > 0)
      .map((team) => ({ value: `team ${team.id}`, words: `hand them over to ${team.name}` })),
  ];
  const to =
    options.find((one) => one.value === whither)?.words.replace(/^hand it over to |^give it back to /, '') ?? '';
  const go = useMutation({
    meta: UNDOABLE,
    mutationFn: async () => {
      const path = { id: staff.id };
      const to = whitherOf(whither);
      if (forGood) return ask('POST', '/api/office/people/{id}/off', { path, body: to });
      if (whither === KEEP || picked.length === 0) return { moved: 0, nobodys: 0 };
      return ask('POST', '/api/office/people/{id}/move', { path, body: { ids: picked.map((row) => row.id), ...to } });
    },
    onSuccess: (moved) => {
      if ('undo' in moved && moved.undo) offerUndo({ words: movedWords(moved, to), back: { undo: moved.undo } });
      void readAllAgain(queries);
      onLeft();
    },
  });
  const first = staff.name.split(' ')[0] ?? '';
  return (
    <Dialog open onClose={onClose} aria-labelledby="leaving-title" fullWidth maxWidth="sm">
      <DialogTitle id="leaving-title">
        {forGood ? `Deactivate ${staff.name}` : 'Going away: what about your conversations?'}
      </DialogTitle>
      <DialogContent>
        {work.error && <ProblemNote problem={work.error} onRetry={() => void work.refetch()} />}
        {!work.data ? (
          !work.error && (
            <Box sx={{ color: 'text.secondary' }}>
              Looking up what {forGood ? first : 'you'} own{forGood && 's'}…
            </Box>
          )
        ) : rows.length === 0 ? (
          <Box sx={{ color: 'text.secondary' }}>
            {forGood ? `${first} owns nothing that is open.` : 'You own nothing that is open.'}
          </Box>
        ) : (
          <Box>
            {forGood
              ? `${first} owns ${rows.length} open conversations: `
              : `You own ${rows.length === 1 ? '1 open conversation' : `${rows.length} open conversations`}: `}
            <Blank name="What happens to them" value={whither} options={options} onChange={setWhither} />.
          </Box>
        )}
        <Box component="ul" sx={{ listStyle: 'none', p: 0, m: 0, mt: 1, maxHeight: 300, overflowY: 'auto' }}>
          {rows.map((row) => (
            <Box
              component="li"
              key={row.id}
              sx={{ borderBottom: 1, borderColor: 'divider', display: 'flex', alignItems: 'center' }}
            >
              <FormControlLabel
                sx={{ flex: 1, mr: 0, minWidth: 0 }}
                disabled={forGood || whither === KEEP}
                control={
                  <Checkbox
                    size="small"
                    checked={forGood || !left.has(row.id)}
                    onChange={(_, on) => {
                      const next = new Set(left);
                      if (on) next.delete(row.id);
                      else next.add(row.id);
                      setLeft(next);
                    }}
                  />
                }
                label={row.customerName ?? row.number}
              />
              <Box className="figures" sx={{ typography: 'caption', color: 'text.secondary', whiteSpace: 'nowrap' }}>
                {row.group === 'OUR_TURN' && row.secondsLeft !== undefined
                  ? timeLeft(row.secondsLeft)
                  : row.group === 'SET_ASIDE'
                    ? 'set aside'
                    : 'their turn'}
              </Box>
            </Box>
          ))}
        </Box>
        {forGood && (
          <Box component="p" sx={{ color: 'text.secondary', mb: 0 }}>
            {first} is signed out everywhere at once. What {first} wrote stays theirs; what they had begun to write is
            kept for leads. Texts they planned for later are not sent until a colleague decides; you are notified of
            each.
          </Box>
        )}
        {go.error && <ProblemNote problem={go.error} />}
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Cancel</Button>
        <Button variant="contained" disabled={go.isPending || !work.data} onClick={() => go.mutate()}>
          {forGood
            ? `Deactivate ${first}`
            : whither === KEEP || picked.length === 0
              ? 'Go away, leave them'
              : `Move ${picked.length}, and go away`}
        </Button>
      </DialogActions>
    </Dialog>
  );
}

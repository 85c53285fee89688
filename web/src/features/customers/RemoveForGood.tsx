import { Box, Button, Dialog, DialogActions, DialogContent, DialogTitle } from '@mui/material';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { ask, readAllAgain } from '../../shared/api';
import { Answered, Field, ProblemNote, useMe } from '../../shared/ui';
import { removalQuery } from './queries';

const count = (n: number, one: string, many: string) => `${n.toLocaleString('en-US')} ${n === 1 ? one : many}`;

/** Removes a customer for good, on their wish to be forgotten; for leads to whom it was given. */
export function RemoveForGood({ id, name }: { id: number; name: string }) {
  const { may } = useMe();
  const [open, setOpen] = useState(false);
  if (!may.includes('LEAD') || !may.includes('REMOVE_FOR_GOOD')) return null;
  return (
    <Box sx={{ mt: 2 }}>
      <Button color="error" sx={{ p: 0 }} aria-haspopup="dialog" onClick={() => setOpen(true)}>
        Remove for good…
      </Button>
      {open && <RemoveDialog id={id} name={name} onClose={() => setOpen(false)} />}
    </Box>
  );
}

function RemoveDialog({ id, name, onClose }: { id: number; name: string; onClose: () => void }) {
  const navigate = useNavigate();
  const queries = useQueryClient();
  const removal = useQuery(removalQuery(id));
  const [typed, setTyped] = useState('');
  const remove = useMutation({
    mutationFn: () => ask('POST', '/api/customers/{id}/removal', { path: { id }, body: { name: typed } }),
    onSuccess: () => {
      void navigate('/customers');
      void readAllAgain(queries);
    },
  });
  return (
    <Dialog open onClose={onClose} aria-labelledby="removal-title" fullWidth maxWidth="sm">
      <DialogTitle id="removal-title">Remove {name} for good</DialogTitle>
      <DialogContent sx={{ display: 'grid', gap: 1.5, typography: 'body2' }}>
        <Answered query={removal}>
          {(found) => (
            <Box>
              Everything on file of {name} is removed: {count(found.conversations, 'conversation', 'conversations')}{' '}
              with {count(found.texts, 'text', 'texts')}, {count(found.numbers, 'number', 'numbers')},{' '}
              {count(found.work, 'appointment or job', 'appointments and jobs')}, notes and details.
              {found.shared > 0 &&
                ` ${count(found.shared, 'number stays', 'numbers stay')}, because others use it too; the words of ${name} are removed there.`}{' '}
              If they have opted out, that still holds. Backups made before keep what they had.
            </Box>
          )}
        </Answered>
        <Box sx={{ fontWeight: 650 }}>Nobody can take this back.</Box>
        <Field
          label={`Type the name to confirm: ${name}`}
          value={typed}
          autoComplete="off"
          onChange={({ target }) => setTyped(target.value)}
        />
        {remove.error && <ProblemNote problem={remove.error} />}
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Keep everything</Button>
        <Button
          variant="contained"
          color="error"
          disabled={typed.trim().toLowerCase() !== name.toLowerCase() || remove.isPending}
          onClick={() => remove.mutate()}
        >
          Remove for good
        </Button>
      </DialogActions>
    </Dialog>
  );
}

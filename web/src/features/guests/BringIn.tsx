import {
  Button,
  Checkbox,
  Dialog,
  DialogActions,
  DialogContent,
  DialogTitle,
  FormControlLabel,
  MenuItem,
  MenuList,
} from '@mui/material';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { ask, readAllAgain } from '../../shared/api';
import { Answered, Field, ProblemNote, StaffMark } from '../../shared/ui';

/** Brings a colleague of another team into one conversation. */
export function BringIn({ id, name, onClose }: { id: number; name: string; onClose: () => void }) {
  const queries = useQueryClient();
  const possible = useQuery({
    queryKey: ['guests', id],
    queryFn: () => ask('GET', '/api/conversations/{id}/guests', { path: { id } }),
    staleTime: 0,
  });
  const [words, setWords] = useState('');
  const [picked, setPicked] = useState<number>();
  const [mayAnswer, setMayAnswer] = useState(false);
  const bring = useMutation({
    mutationFn: (staff: number) =>
      ask('PUT', '/api/conversations/{id}/guests/{staff}', { path: { id, staff }, body: { mayAnswer } }),
    onSuccess: onClose,
    onSettled: () => readAllAgain(queries),
  });
  const shown = (possible.data ?? []).filter((one) => one.name.toLowerCase().includes(words.trim().toLowerCase()));
  const chosen = shown.find((one) => one.id === picked) ?? shown[0];
  return (
    <Dialog open onClose={onClose} aria-labelledby="bring-in-title" fullWidth maxWidth="xs">
      <form
        onSubmit={(event) => {
          event.preventDefault();
          if (chosen) bring.mutate(chosen.id);
        }}
      >
        <DialogTitle id="bring-in-title">Bring a colleague into {name}</DialogTitle>
        <DialogContent sx={{ display: 'grid', gap: 1 }}>
          They see this one conversation until it is done or you let them out. The customer sees nothing of it.
          <Field
            label="Colleague"
            placeholder="a few letters of the name"
            value={words}
            // The person who asked for the dialog wants to name somebody.
            // eslint-disable-next-line jsx-a11y/no-autofocus
            autoFocus
            autoComplete="off"
            onChange={({ target }) => setWords(target.value)}
          />
          <Answered query={possible}>
            {(all) =>
              all.length === 0 ? (
                <span>Everybody who works here sees this conversation already.</span>
              ) : (
                <MenuList aria-label="Colleagues" sx={{ maxHeight: 220, overflowY: 'auto', mx: -1 }}>
                  {shown.map((one) => (
                    <MenuItem
                      key={one.id}
                      selected={one.id === chosen?.id}
                      onClick={() => setPicked(one.id)}
                      sx={{ gap: 1, px: 1 }}
                    >
                      <StaffMark mark={one.mark} /> {one.name}
                    </MenuItem>
                  ))}
                </MenuList>
              )
            }
          </Answered>
          <FormControlLabel
            control={<Checkbox size="small" checked={mayAnswer} onChange={(_, on) => setMayAnswer(on)} />}
            label="They may answer the customer as well"
          />
          {bring.error && <ProblemNote problem={bring.error} />}
        </DialogContent>
        <DialogActions>
          <Button onClick={onClose}>Cancel</Button>
          <Button type="submit" variant="contained" disabled={!chosen || bring.isPending}>
            {chosen ? `Bring in ${chosen.name}` : 'Bring in'}
          </Button>
        </DialogActions>
      </form>
    </Dialog>
  );
}

import { Button, Dialog, DialogActions, DialogContent, DialogTitle } from '@mui/material';
import { Field } from './Field';
import { useState } from 'react';
import { instantOf, localOf } from '../format';

interface Props {
  title: string;
  act: string;
  zone: string;
  now: Date;
  onClose: () => void;
  /** An instant, ISO 8601. */
  onChoose: (at: string) => void;
}

const A_DAY_MS = 86_400_000;

/** Asks for a time as the clocks of a place show it. */
export function TimeDialog({ title, act, zone, now, onClose, onChoose }: Props) {
  const [local, setLocal] = useState(() => localOf(new Date(now.getTime() + A_DAY_MS), zone));
  const at = local === '' ? undefined : instantOf(local, zone);
  const past = at !== undefined && at <= now;
  return (
    <Dialog open onClose={onClose} aria-labelledby="time-title">
      <form
        onSubmit={(event) => {
          event.preventDefault();
          if (at) onChoose(at.toISOString());
        }}
      >
        <DialogTitle id="time-title">{title}</DialogTitle>
        <DialogContent>
          <Field
            type="datetime-local"
            label={`Time in ${zone.split('/').pop()?.replace('_', ' ') ?? zone}`}
            value={local}
            // Whoever asked for the dialog wants to type the time.
            // eslint-disable-next-line jsx-a11y/no-autofocus
            autoFocus
            error={past}
            helperText={past ? 'That time has passed already.' : ' '}
            onChange={(event) => setLocal(event.target.value)}
          />
        </DialogContent>
        <DialogActions>
          <Button onClick={onClose}>Cancel</Button>
          <Button type="submit" variant="contained" disabled={at === undefined || past}>
            {act}
          </Button>
        </DialogActions>
      </form>
    </Dialog>
  );
}

import { Box, Button, Dialog, DialogActions, DialogContent, DialogTitle } from '@mui/material';
import { useState } from 'react';
import { typedTimeQuery } from '../api';
import { instantOf, localOf, moment } from '../format';
import { useTyped } from './useTyped';
import { Field } from './Field';
import { focusing } from './focusing';
import { whyOf } from './why';

interface Props {
  title: string;
  act: string;
  /** Whose line's clocks and hours the time is meant by. */
  conversation: number;
  zone: string;
  now: Date;
  onClose: () => void;
  /** An instant, ISO 8601. */
  onChoose: (at: string) => void;
}

/** Asks for a time: typed as people say it, with what was understood beside it, or chosen. */
export function TimeDialog({ title, act, conversation, zone, now, onClose, onChoose }: Props) {
  const [words, setWords] = useState('');
  const [chosen, setChosen] = useState('');
  const { settled, error } = useTyped(words, (asked) => typedTimeQuery(conversation, asked));
  const isTyped = words.trim() !== '';
  const at = isTyped
    ? (settled?.at && new Date(settled.at)) || undefined
    : chosen === ''
      ? undefined
      : instantOf(chosen, zone);
  const past = !isTyped && at !== undefined && at <= now;
  const city = zone.split('/').pop()?.replace('_', ' ') ?? zone;
  return (
    <Dialog open onClose={onClose} aria-labelledby="time-title" fullWidth maxWidth="xs">
      <form
        onSubmit={(event) => {
          event.preventDefault();
          if (at && !past) onChoose(at.toISOString());
        }}
      >
        <DialogTitle id="time-title">{title}</DialogTitle>
        <DialogContent sx={{ display: 'grid', gap: 1.5 }}>
          <Field
            label="When"
            placeholder="Thu 14:30, in 3 h, Friday at opening"
            value={words}
            autoComplete="off"
            // The person who asked for the dialog wants to type the time.
            inputRef={focusing}
            error={settled?.why !== undefined}
            helperText={(isTyped && (whyOf(error, 'words').helperText ?? settled?.why)) || ' '}
            onChange={(event) => setWords(event.target.value)}
          />
          <Box role="status" sx={{ minHeight: 44 }}>
            {settled?.at && (
              <>
                <Box component="strong" className="figures">
                  {moment(new Date(settled.at), now, zone)}
                </Box>
                {settled.open ? '' : ', when the line is closed'}
                {settled.note && <Box sx={{ typography: 'body2', color: 'text.secondary' }}>{settled.note}</Box>}
              </>
            )}
          </Box>
          <Field
            type="datetime-local"
            label={`or choose it (time in ${city})`}
            value={settled?.at ? localOf(new Date(settled.at), zone) : chosen}
            slotProps={{ inputLabel: { shrink: true } }}
            error={past}
            helperText={past ? 'That time has passed already.' : ' '}
            onChange={(event) => {
              setWords('');
              setChosen(event.target.value);
            }}
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

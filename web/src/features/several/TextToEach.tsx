import { Button, Dialog, DialogActions, DialogContent, DialogTitle, TextField } from '@mui/material';
import { useState } from 'react';

interface Props {
  count: number;
  onClose: () => void;
  onText: (words: string) => void;
}

/** The words of one text that goes to each of the chosen. */
export function TextToEach({ count, onClose, onText }: Props) {
  const [words, setWords] = useState('');
  return (
    <Dialog open onClose={onClose} aria-labelledby="each-title" fullWidth maxWidth="sm">
      <DialogTitle id="each-title">One text to each of {count}</DialogTitle>
      <DialogContent>
        <TextField
          label="The text, the same for each"
          multiline
          minRows={4}
          fullWidth
          value={words}
          // Whoever asked for the paper wants to write.
          // eslint-disable-next-line jsx-a11y/no-autofocus
          autoFocus
          onChange={(event) => setWords(event.target.value)}
          slotProps={{ htmlInput: { maxLength: 1600 } }}
        />
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Cancel</Button>
        <Button variant="contained" disabled={words.trim() === ''} onClick={() => onText(words)}>
          Look who gets it
        </Button>
      </DialogActions>
    </Dialog>
  );
}

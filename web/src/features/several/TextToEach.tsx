import { Button, Dialog, DialogActions, DialogContent, DialogTitle } from '@mui/material';
import { Field, focusing } from '../../shared/ui';

interface Props {
  count: number;
  words: string;
  onWrite: (words: string) => void;
  onClose: () => void;
  onText: () => void;
}

/** The words of one text that goes to each of the chosen. */
export function TextToEach({ count, words, onWrite, onClose, onText }: Props) {
  return (
    <Dialog open onClose={onClose} aria-labelledby="each-title" fullWidth maxWidth="sm">
      <DialogTitle id="each-title">One text to each of {count}</DialogTitle>
      <DialogContent>
        <Field
          label="The text, the same for each"
          multiline
          minRows={4}
          fullWidth
          value={words}
          // The person who asked for the paper wants to write.
          inputRef={focusing}
          onChange={(event) => onWrite(event.target.value)}
          slotProps={{ htmlInput: { maxLength: 1600 } }}
        />
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Cancel</Button>
        <Button variant="contained" disabled={words.trim() === ''} onClick={onText}>
          See who gets it
        </Button>
      </DialogActions>
    </Dialog>
  );
}

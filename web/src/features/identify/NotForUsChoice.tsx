import { Box, Button } from '@mui/material';
import { focused } from './focused';

interface Props {
  onChoose: (reason: 'WRONG_NUMBER' | 'JUNK') => void;
  onClose: () => void;
}

/** Why texts of a number are not for us. */
export function NotForUsChoice({ onChoose, onClose }: Props) {
  return (
    <Box
      role="group"
      aria-label="Not for us"
      sx={{ display: 'flex', gap: 1, alignItems: 'center', flexWrap: 'wrap', mb: 0.5 }}
    >
      Texts from this number leave the inbox, and later ones stay out of it.
      <Button ref={focused} variant="outlined" onClick={() => onChoose('WRONG_NUMBER')}>
        They have the wrong number
      </Button>
      <Button variant="outlined" onClick={() => onChoose('JUNK')}>
        Junk
      </Button>
      <Button onClick={onClose}>Cancel</Button>
    </Box>
  );
}

import { Box } from '@mui/material';
import type { Candidate } from '../../shared/api';

interface Props {
  name: string;
  reasons: Candidate['reasons'];
}

/** The evidence, a sentence each; what speaks against it says so. */
export function Why({ name, reasons }: Props) {
  return (
    <Box component="ul" aria-label={`Why ${name}`} sx={{ m: 0, p: 0, listStyle: 'none' }}>
      {reasons.map((reason, i) => (
        <Box
          component="li"
          key={reason.clue}
          sx={[{ display: 'inline' }, reason.points < 0 ? { color: 'text.secondary', fontStyle: 'italic' } : {}]}
        >
          {reason.points < 0 && 'But: '}
          {reason.sentence}
          {i < reasons.length - 1 && ' '}
        </Box>
      ))}
    </Box>
  );
}

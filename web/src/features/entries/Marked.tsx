import { Box } from '@mui/material';
import type { Hit } from '../../shared/api';
import { cut } from './model/cut';

interface Props {
  words: string;
  /** What is marked in the whole text. */
  hits: Hit[];
  /** Where in the whole text these words begin. */
  from?: number;
}

/** Words with what was looked for marked, by more than a colour. */
export function Marked({ words, hits, from = 0 }: Props) {
  return cut(words, hits, from).map((piece, i) =>
    piece.hit ? (
      <Box
        key={i}
        component="mark"
        sx={{
          bgcolor: 'inks.pineWash',
          color: 'inherit',
          textDecoration: 'underline',
          textDecorationThickness: 2,
          textUnderlineOffset: 2,
        }}
      >
        {piece.words}
      </Box>
    ) : (
      <span key={i}>{piece.words}</span>
    ),
  );
}

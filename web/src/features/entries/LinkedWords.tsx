import { Box } from '@mui/material';
import { linked } from './model/links';

/** Words; web addresses in them are shown whole and open in a window that knows nothing of this one. */
export function LinkedWords({ words }: { words: string }) {
  return linked(words).map(({ words: said, to }, i) =>
    to === undefined ? (
      <span key={i}>{said}</span>
    ) : (
      <Box
        key={i}
        component="a"
        href={to}
        target="_blank"
        rel="noopener noreferrer nofollow"
        sx={{ color: 'info.main' }}
      >
        {said}
      </Box>
    ),
  );
}

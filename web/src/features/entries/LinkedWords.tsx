import { Box } from '@mui/material';
import type { Hit } from '../../shared/api';
import { Marked } from './Marked';
import { linked } from './model/links';

interface Props {
  words: string;
  /** What is marked in them. */
  hits?: Hit[] | undefined;
}

/** Words; web addresses in them are shown whole and open in a window that knows nothing of this one. */
export function LinkedWords({ words, hits = [] }: Props) {
  return linked(words).map(({ words: said, to, from }, i) => {
    const shown = hits.length === 0 ? said : <Marked words={said} hits={hits} from={from} />;
    return to === undefined ? (
      <span key={i}>{shown}</span>
    ) : (
      <Box
        key={i}
        component="a"
        href={to}
        target="_blank"
        rel="noopener noreferrer nofollow"
        sx={{ color: 'info.main' }}
      >
        {shown}
      </Box>
    );
  });
}

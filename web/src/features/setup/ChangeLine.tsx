import { Box } from '@mui/material';
import { Moment } from '../../shared/ui';

interface Props {
  at: string;
  zone: string;
  who: string | undefined;
  /** What it concerns. */
  about: string;
  what: string;
  before: string | undefined;
  after: string | undefined;
}

/** One change: when, by whom, of what, and how it was before. */
export function ChangeLine({ at, zone, who, about, what, before, after }: Props) {
  const told = (words: string) => (words === '' ? 'none' : words);
  return (
    <Box
      component="li"
      sx={{
        display: 'grid',
        gridTemplateColumns: { xs: '1fr', sm: '150px 150px 1fr' },
        columnGap: 2,
        py: 0.5,
        borderBottom: 1,
        borderColor: 'divider',
      }}
    >
      <Box className="figures" sx={{ color: 'text.secondary' }}>
        <Moment at={at} zone={zone} />
      </Box>
      <Box>{who}</Box>
      <Box sx={{ overflowWrap: 'anywhere' }}>
        <strong>{about}</strong>, {what}
        {(before ?? after) !== undefined && ': '}
        {before !== undefined && <s>{told(before)}</s>}
        {before !== undefined && after !== undefined && ' → '}
        {after !== undefined && told(after)}
      </Box>
    </Box>
  );
}

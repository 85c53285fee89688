import { Box } from '@mui/material';
import { TICKS } from './model/ribbon';

/** The scale below the marks; on a phone only its two most needed words. */
export function RibbonScale({ top }: { top: number }) {
  return TICKS.map((tick) => (
    <Box
      key={tick.words}
      aria-hidden
      className="figures"
      sx={{
        position: 'absolute',
        top,
        left: `${tick.at * 100}%`,
        typography: 'axis',
        color: 'text.secondary',
        borderLeft: 1,
        borderColor: 'text.secondary',
        pl: 0.5,
        lineHeight: '18px',
        whiteSpace: 'nowrap',
        display: { xs: tick.words === 'now' || tick.words === '1 h' ? 'block' : 'none', sm: 'block' },
      }}
    >
      {tick.words}
    </Box>
  ));
}

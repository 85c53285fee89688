import { Box, LinearProgress } from '@mui/material';
import { likelihoodWords, percent } from './model/likelihood';

/** How likely, as a number, a length and in words. */
export function Likelihood({ of: likelihood }: { of: number }) {
  return (
    <Box sx={{ typography: 'caption', gridRow: { xs: 2, sm: 'auto' } }}>
      <Box className="figures">{percent(likelihood)}</Box>
      <LinearProgress variant="determinate" value={likelihood * 100} aria-hidden sx={{ height: 3, borderRadius: 0 }} />
      {likelihoodWords(likelihood)}
    </Box>
  );
}

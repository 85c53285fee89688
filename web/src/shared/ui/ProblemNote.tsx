import { Box, Button } from '@mui/material';
import { ApiProblem } from '../api';

interface Props {
  problem: unknown;
  onRetry?: (() => void) | undefined;
  /** What the way to go on is called. */
  retry?: string | undefined;
  /** Said instead, where the server's own words stand beside it already. */
  brief?: string | undefined;
}

/** What went wrong, in the server's own words, and a way to go on. */
export function ProblemNote({ problem, onRetry, retry = 'Try again', brief }: Props) {
  const words =
    problem instanceof ApiProblem
      ? problem.message
      : 'Something went wrong on this page. Load it again; what you were writing is kept.';
  return (
    <Box
      role="alert"
      sx={{
        px: 2,
        py: 1,
        color: 'error.main',
        borderLeft: 3,
        borderColor: 'error.main',
        display: 'flex',
        gap: 1,
        alignItems: 'center',
      }}
    >
      <span>{brief ?? words}</span>
      {onRetry && (
        <Button onClick={onRetry} color="error">
          {retry}
        </Button>
      )}
    </Box>
  );
}

import { Box } from '@mui/material';
import type { Likely } from '../../shared/api';
import { ActButton } from '../../shared/ui';
import { Likelihood } from './Likelihood';
import { rowStyle } from './rowStyle';
import { Why } from './Why';

const NAME = 'Nobody we know';

interface Props {
  likely: Likely;
  refusal: string;
  /** Whether a new customer is being made just now. */
  expanded: boolean;
  onNew: () => void;
}

/** That it is nobody on file: as likely as the others leave it, with what speaks for it. */
export function NobodyRow({ likely, refusal, expanded, onNew }: Props) {
  const reasons = likely.nobodysReasons.filter(({ clue, points }) => clue !== 'NOBODY' && points > 0);
  return (
    <Box component="li" aria-label={NAME} sx={rowStyle}>
      <Box sx={{ minWidth: 0 }}>
        <strong>{NAME}</strong>
        {likely.candidates.length === 0 && <Box>Nothing in the texts fits anyone on file.</Box>}
        <Why name={NAME} reasons={reasons} />
      </Box>
      <Likelihood of={likely.nobody} />
      <Box sx={{ textAlign: 'right' }}>
        <ActButton hint="P" refusal={refusal} variant="outlined" aria-expanded={expanded} onClick={onNew}>
          New customer… (P)
        </ActButton>
      </Box>
    </Box>
  );
}

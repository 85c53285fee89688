import { ButtonBase } from '@mui/material';
import { urgency } from '../../shared/format';
import type { Left } from '../../shared/sentence';
import type { Crowd } from './model/ribbon';

export const MARK_WIDTH = 16;
export const MARK_HEIGHT = 13;
/** The room for marks that share a moment. */
export const STACK_HEIGHT = 46;
/** Two rows of numbers above the marks of a crowd. */
const NUMBER_HEIGHT = (STACK_HEIGHT - 2 * MARK_HEIGHT) / 2;
const COLOURS = { late: 'error.main', soon: 'warning.main', fine: 'primary.main' };

interface Props {
  crowds: Crowd[];
  columns: number;
  width: number;
  onLeft: (left: Left) => void;
}

/** Above each crowd how many it is; pressing the number shows them in the list. */
export function RibbonCrowds({ crowds, columns, width, onLeft }: Props) {
  return crowds.map((crowd) => (
    <ButtonBase
      key={crowd.column}
      className="figures"
      tabIndex={-1}
      aria-hidden
      title={`${crowd.of} here; show them`}
      onClick={() => onLeft({ from: crowd.from, to: crowd.to })}
      sx={{
        position: 'absolute',
        width: 2 * MARK_WIDTH,
        height: NUMBER_HEIGHT,
        typography: 'axis',
        lineHeight: 1,
        fontWeight: 700,
        color: COLOURS[urgency(crowd.from * 60)],
      }}
      style={{
        // Numbers of neighbours stand in two rows, so that they do not run into one another.
        top: (crowd.column % 2) * NUMBER_HEIGHT,
        left: (crowd.column / Math.max(1, columns - 1)) * (width - MARK_WIDTH) - MARK_WIDTH / 2,
      }}
    >
      {crowd.of}
    </ButtonBase>
  ));
}

import { useTheme } from '@mui/material/styles';
import type { StaffMarkOf } from '../api';

type Shape = StaffMarkOf['shape'];

const DRAWN: Record<Shape, string> = {
  LEAF: 'M3 13C3 6 7 3 13 3c0 7-4 10-9 10M3 13l6-6',
  SAIL: 'M8 2v9M9 3l4 7H9M7 4 3 10h4M2 12h12l-2 2H4z',
  WAVE: 'M1 6c2-3 4-3 5 0s3 3 5 0 3-3 4 0M1 11c2-3 4-3 5 0s3 3 5 0 3-3 4 0',
  KNOT: 'M3 12 11 4c2-1 3 1 2 2L9 9M13 12 5 4C3 3 2 5 3 6l3 3M7 11l1 1',
  STAR: 'M8 1.5 9.6 6.4 14.5 8 9.6 9.6 8 14.5 6.4 9.6 1.5 8 6.4 6.4z',
  BELL: 'M3 12h10c-2-2-1-8-5-8s-3 6-5 8M8 2v2M7 14h2',
  KEY: 'M5.5 8a2.5 2.5 0 1 0 0 .1M5.5 8H14v3M11 8v2',
  DROP: 'M8 2c3 4 4.5 6 4.5 8a4.5 4.5 0 0 1-9 0C3.5 8 5 6 8 2z',
};

/** A person's own mark: a drawn shape in an ink of theirs. What it says stands beside it in words. */
export function StaffMark({ mark, size = 15 }: { mark: StaffMarkOf; size?: number }) {
  const ink = useTheme().vars?.palette.inks.people[mark.ink];
  return (
    <svg width={size} height={size} viewBox="0 0 16 16" aria-hidden style={{ flex: 'none', verticalAlign: '-2px' }}>
      <path
        d={DRAWN[mark.shape]}
        fill="none"
        stroke={ink}
        strokeWidth="1.7"
        strokeLinecap="round"
        strokeLinejoin="round"
      />
    </svg>
  );
}

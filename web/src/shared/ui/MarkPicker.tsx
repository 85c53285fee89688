import { Box, ButtonBase } from '@mui/material';
import type { StaffMarkOf } from '../api';
import { StaffMark } from './StaffMark';

const SHAPES: StaffMarkOf['shape'][] = ['LEAF', 'SAIL', 'WAVE', 'KNOT', 'STAR', 'BELL', 'KEY', 'DROP'];
const INKS: StaffMarkOf['ink'][] = ['PINE', 'SLATE', 'PLUM', 'RUST', 'OCHRE', 'MOSS', 'TEAL', 'WINE'];

interface Props {
  mark: StaffMarkOf;
  onChange: (mark: StaffMarkOf) => void;
}

const pick = { p: 0.75, border: 1, borderRadius: 1 } as const;

/** A mark of the person's own: a shape, and an ink for it. */
export function MarkPicker({ mark, onChange }: Props) {
  return (
    <Box sx={{ display: 'grid', gap: 0.75 }}>
      <Box role="radiogroup" aria-label="Shape of my mark" sx={{ display: 'flex', gap: 0.5, flexWrap: 'wrap' }}>
        {SHAPES.map((shape) => (
          <ButtonBase
            key={shape}
            role="radio"
            aria-checked={mark.shape === shape}
            aria-label={shape.toLowerCase()}
            onClick={() => onChange({ ...mark, shape })}
            sx={{ ...pick, borderColor: mark.shape === shape ? 'primary.main' : 'divider' }}
          >
            <StaffMark mark={{ ...mark, shape }} size={22} />
          </ButtonBase>
        ))}
      </Box>
      <Box role="radiogroup" aria-label="Colour" sx={{ display: 'flex', gap: 0.5, flexWrap: 'wrap' }}>
        {INKS.map((ink) => (
          <ButtonBase
            key={ink}
            role="radio"
            aria-checked={mark.ink === ink}
            aria-label={ink.toLowerCase()}
            onClick={() => onChange({ ...mark, ink })}
            sx={{ ...pick, borderColor: mark.ink === ink ? 'primary.main' : 'divider' }}
          >
            <StaffMark mark={{ ...mark, ink }} size={22} />
          </ButtonBase>
        ))}
      </Box>
    </Box>
  );
}

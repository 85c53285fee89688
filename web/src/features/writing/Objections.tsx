import { Box } from '@mui/material';
import type { Check } from '../../shared/api';
import { asking, shapeOf, standing } from './model/objections';

interface Props {
  check: Check | undefined;
  /** Sending was pressed once; pressed again, the text goes all the same. */
  pressed: boolean;
}

/** What speaks against the text, said before one presses. */
export function Objections({ check, pressed }: Props) {
  const all = standing(check);
  return (
    <Box role="status" aria-label="Before it is sent" sx={{ typography: 'body2' }}>
      {all.map((each) => (
        <Box key={each.code} sx={{ display: 'flex', gap: 1, py: 0.25, alignItems: 'baseline' }}>
          <Box component="span" aria-hidden sx={{ width: 12, textAlign: 'center', fontWeight: 700 }}>
            {shapeOf(each)}
          </Box>
          <Box component="span" sx={{ fontWeight: each.severity === 'TELL' ? 400 : 600 }}>
            {each.sentence}
          </Box>
        </Box>
      ))}
      {pressed && asking(check).length > 0 && <Box sx={{ pl: 2.5 }}>Press the same keys again to send it anyway.</Box>}
    </Box>
  );
}

import { Box } from '@mui/material';
import type { ReactNode } from 'react';
import type { Check } from '../../shared/api';
import { ActButton, useRefusal } from '../../shared/ui';
import { useNoteAgreement } from '../agreement';
import { asking, shapeOf, standing } from './model/objections';

interface Props {
  /** Of the conversation. */
  id: number;
  check: Check | undefined;
  /** Sending was pressed once; pressed again, the text goes all the same. */
  pressed: boolean;
}

/** That the customer agrees to texts is noted in one step. */
function Agreed({ id }: { id: number }) {
  const note = useNoteAgreement(id);
  const refusal = useRefusal('WORK');
  return (
    <ActButton
      refusal={refusal}
      disabled={note.isPending}
      onClick={() => note.mutate({ given: true, kinds: ['SERVICE'] })}
      sx={{ p: 0 }}
    >
      Note that they agreed
    </ActButton>
  );
}

interface ReasonsProps {
  label: string;
  check: Check | undefined;
  /** What can be done about a reason. */
  remedy?: (code: string) => ReactNode;
  children?: ReactNode;
}

/** The reasons that speak against a text; nothing when there are none. */
export function Reasons({ label, check, remedy, children }: ReasonsProps) {
  const all = standing(check);
  if (all.length === 0) return null;
  return (
    <Box role="status" aria-label={label} sx={{ typography: 'body2' }}>
      {all.map((each) => (
        <Box key={each.code} sx={{ display: 'flex', gap: 1, py: 0.25, alignItems: 'baseline' }}>
          <Box component="span" aria-hidden sx={{ width: 12, textAlign: 'center', fontWeight: 700 }}>
            {shapeOf(each)}
          </Box>
          <Box component="span" sx={{ fontWeight: each.severity === 'TELL' ? 400 : 600 }}>
            {each.sentence}
          </Box>
          {remedy?.(each.code)}
        </Box>
      ))}
      {children}
    </Box>
  );
}

/** What speaks against the text, said before the button is pressed. */
export function Objections({ id, check, pressed }: Props) {
  return (
    <Reasons label="Before it is sent" check={check} remedy={(code) => code === 'no-agreement' && <Agreed id={id} />}>
      {pressed && asking(check).length > 0 && <Box sx={{ pl: 2.5 }}>Press the same keys again to send it anyway.</Box>}
    </Reasons>
  );
}

import { Box } from '@mui/material';
import type { Check } from '../../shared/api';
import { ActButton } from '../../shared/ui';
import { below } from './model/leaving';
import { sendWords } from './model/meter';
import { asking } from './model/objections';
import { PartMeter } from './PartMeter';

interface Props {
  isNote: boolean;
  words: string;
  check: Check | undefined;
  refusal: string;
  disabled: boolean;
  looksFirst: boolean;
  /** My texts wait for a colleague's yes. */
  secondLook: boolean;
  enterSends: boolean;
  onPlain: (words: string) => void;
  /** Opens what sends it later; none where that cannot be. */
  onLater: (() => void) | undefined;
  onGo: (finish: boolean) => void;
}

/** What leaves below the words, what it all costs, and the buttons that send it. */
export function Foot({
  isNote,
  words,
  check,
  refusal,
  disabled,
  looksFirst,
  secondLook,
  enterSends,
  onPlain,
  onLater,
  onGo,
}: Props) {
  const parts = words === '' ? undefined : check?.parts;
  const appended = isNote ? '' : below(check, words);
  const go = secondLook ? 'Ask for a second look' : sendWords(parts, asking(check).length > 0, check?.copies);
  const label = looksFirst ? 'Look at it' : go;
  return (
    <>
      {appended !== '' && (
        <Box sx={{ typography: 'caption', color: 'text.secondary', whiteSpace: 'pre-line', pt: 0.5 }}>
          Added below: {appended}
        </Box>
      )}
      <Box
        sx={{
          display: 'flex',
          flexWrap: { xs: 'wrap', sm: 'nowrap' },
          justifyContent: 'flex-end',
          gap: 1,
          alignItems: 'center',
          mt: 0.5,
        }}
      >
        <Box sx={{ flex: { xs: '1 0 100%', sm: 1 }, minWidth: 0 }}>
          {!isNote && <PartMeter parts={parts} check={check} onPlain={onPlain} />}
        </Box>
        {onLater && (
          <ActButton hint="Alt+L" refusal={refusal} onClick={onLater}>
            Later…
          </ActButton>
        )}
        {!isNote && !secondLook && (
          <ActButton hint="Alt+Enter" refusal={refusal} onClick={() => onGo(true)} disabled={disabled}>
            {looksFirst ? 'Look, then done' : 'Send and done'}
          </ActButton>
        )}
        <ActButton
          hint={enterSends ? 'Enter' : 'Ctrl+Enter'}
          refusal={refusal}
          variant="contained"
          onClick={() => onGo(false)}
          disabled={disabled}
        >
          {isNote ? 'Add the note' : label}
        </ActButton>
      </Box>
    </>
  );
}

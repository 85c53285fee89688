import { Box, Button, Tooltip } from '@mui/material';
import type { Check, Parts } from '../../shared/api';
import { costWords, leftWords, tightest } from './model/leaving';
import { forcingWords, meterWords, offerWords } from './model/meter';

interface Props {
  parts: Parts | undefined;
  check: Check | undefined;
  onPlain: (words: string) => void;
}

/** What the text costs, which characters make it dear, and the plain wording on offer. */
export function PartMeter({ parts, check, onPlain }: Props) {
  const plain = parts?.plain;
  const cost = parts ? costWords(check) : '';
  const allowance = tightest(check);
  return (
    <Box
      role="status"
      aria-label="Part meter"
      className="figures"
      sx={{
        typography: 'caption',
        color: 'text.secondary',
        display: 'flex',
        flexWrap: 'wrap',
        columnGap: 1.5,
        alignItems: 'center',
        minHeight: 30,
      }}
    >
      {parts && (
        <>
          <span>{meterWords(parts, check?.copies)}</span>
          <Tooltip
            title={
              parts.encoding === 'BASIC'
                ? 'GSM 03.38: 160 characters, 153 in each of several parts'
                : 'UCS-2: 70 units, 67 in each of several parts'
            }
          >
            <span>{parts.encoding === 'BASIC' ? 'basic characters' : 'special characters'}</span>
          </Tooltip>
          {parts.forcing.length > 0 && (
            <Box component="span" sx={{ color: 'warning.main' }}>
              These characters cost extra: {forcingWords(parts)}
            </Box>
          )}
          {cost !== '' && <span>{cost}</span>}
          {plain && <Button onClick={() => onPlain(plain.words)}>{offerWords(parts)}</Button>}
        </>
      )}
      {allowance && (
        <Tooltip title={`${allowance.whose}: ${allowance.used} of ${allowance.limit} parts used ${allowance.span}`}>
          <span>{leftWords(allowance)}</span>
        </Tooltip>
      )}
    </Box>
  );
}

import { Box, Button } from '@mui/material';
import { useState } from 'react';
import type { Candidate } from '../../shared/api';
import { ActButton } from '../../shared/ui';
import { Likelihood } from './Likelihood';
import { rowStyle } from './rowStyle';
import { Why } from './Why';

interface Props {
  candidate: Candidate;
  hint: string | undefined;
  refusal: string;
  busy: boolean;
  /** It is this one; perhaps another number of theirs is no longer theirs. */
  onIsIt: (givesUp?: number) => void;
}

/** A customer who may be the writer: how likely, and why. */
export function CandidateRow({ candidate, hint, refusal, busy, onIsIt }: Props) {
  const [more, setMore] = useState(false);
  const { name, likelihood, numbers, details, reasons, holds } = candidate;
  return (
    <Box component="li" aria-label={name} sx={rowStyle}>
      <Box sx={{ minWidth: 0 }}>
        <strong>{name}</strong>{' '}
        <Box component="span" sx={{ color: 'text.secondary' }}>
          {details.join(' · ')}
        </Box>
        <Why name={name} reasons={reasons} />
        {more && (
          <Box>
            {numbers.map(({ numberId, number }) => (
              <Button key={numberId} disabled={busy} onClick={() => onIsIt(numberId)} sx={{ p: 0, mr: 2 }}>
                It is {name}, and {number} is no longer theirs
              </Button>
            ))}
          </Box>
        )}
      </Box>
      <Likelihood of={likelihood} />
      <Box sx={{ textAlign: 'right' }}>
        <ActButton
          {...(hint ? { hint } : {})}
          refusal={refusal}
          variant="outlined"
          disabled={busy}
          onClick={() => onIsIt()}
          aria-label={`It is ${name}`}
        >
          It is {name.split(' ')[0]}
          {hint && ` (${hint})`}
        </ActButton>
        {!holds && numbers.length > 0 && (
          <Button
            aria-expanded={more}
            onClick={() => setMore(!more)}
            sx={{ display: 'block', ml: 'auto', px: 0, py: 0.375 }}
          >
            old number is gone…
          </Button>
        )}
      </Box>
    </Box>
  );
}

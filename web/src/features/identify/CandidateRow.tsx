import { Box, Button, LinearProgress } from '@mui/material';
import { useState } from 'react';
import type { Candidate } from '../../shared/api';
import { ActButton } from '../../shared/ui';
import { likelihoodWords, percent } from './model/likelihood';

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
    <Box
      component="li"
      aria-label={name}
      sx={{
        display: 'grid',
        gridTemplateColumns: { xs: '1fr auto', sm: 'minmax(0, 1fr) 92px 148px' },
        columnGap: 1.5,
        alignItems: 'start',
        py: 0.5,
        borderTop: 1,
        borderColor: 'divider',
      }}
    >
      <Box sx={{ minWidth: 0 }}>
        <strong>{name}</strong>{' '}
        <Box component="span" sx={{ color: 'text.secondary' }}>
          {details.join(' · ')}
        </Box>
        <Box component="ul" aria-label={`Why ${name}`} sx={{ m: 0, p: 0, listStyle: 'none' }}>
          {reasons.map((reason, i) => (
            <Box
              component="li"
              key={reason.clue}
              sx={[{ display: 'inline' }, reason.points < 0 ? { color: 'text.secondary', fontStyle: 'italic' } : {}]}
            >
              {reason.points < 0 && 'But: '}
              {reason.sentence}
              {i < reasons.length - 1 && ' '}
            </Box>
          ))}
        </Box>
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
      <Box sx={{ typography: 'caption', gridRow: { xs: 2, sm: 'auto' } }}>
        <Box className="figures">{percent(likelihood)}</Box>
        <LinearProgress
          variant="determinate"
          value={likelihood * 100}
          aria-hidden
          sx={{ height: 3, borderRadius: 0 }}
        />
        {likelihoodWords(likelihood)}
      </Box>
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
          <Button aria-expanded={more} onClick={() => setMore(!more)} sx={{ display: 'block', ml: 'auto', p: 0 }}>
            old number is gone…
          </Button>
        )}
      </Box>
    </Box>
  );
}

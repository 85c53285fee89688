import { Box } from '@mui/material';
import { type KeyboardEvent, useEffect, useRef } from 'react';
import type { Attachment, Check } from '../../shared/api';
import { ActButton } from '../../shared/ui';
import { costWords, pauseWords } from './model/leaving';
import { meterWords, sendWords } from './model/meter';

interface Props {
  check: Check;
  attached: Attachment[];
  /** Something speaks against it, and it is to be sent all the same. */
  anyway: boolean;
  busy: boolean;
  onSend: () => void;
  onBack: () => void;
}

/** The text as the customer will see it, from which line to which number, and what it costs: before it is sent. */
export function LookFirst({ check, attached, anyway, busy, onSend, onBack }: Props) {
  const send = useRef<HTMLButtonElement>(null);
  useEffect(() => send.current?.focus(), []);
  const cost = costWords(check);
  const facts: [string, string][] = [
    ['From', check.from],
    ['To', check.to],
    ...(attached.length === 0
      ? []
      : ([['With', attached.map(({ name }) => name).join(', ')]] satisfies [string, string][])),
    ['Takes', meterWords(check.parts)],
    ...(cost === '' ? [] : ([['Costs', cost]] satisfies [string, string][])),
    ['Leaves', pauseWords(check.pauseSeconds)],
  ];
  const pressed = (event: KeyboardEvent) => {
    if (event.key === 'Escape') {
      event.stopPropagation();
      onBack();
    } else if (event.key === 'Enter' && (event.ctrlKey || event.metaKey || event.altKey)) {
      event.preventDefault();
      if (!busy) onSend();
    }
  };
  return (
    // Keys act on the whole of it, whichever of its buttons has the focus.
    <Box component="section" aria-label="Look before sending" onKeyDown={pressed}>
      <Box component="h3" sx={{ m: 0, mt: 0.5, typography: 'caption', color: 'text.secondary' }}>
        As the customer will see it
      </Box>
      <Box sx={{ display: 'grid', gridTemplateColumns: { xs: '1fr', sm: 'minmax(0, 1fr) auto' }, gap: 2, mt: 0.5 }}>
        <Box
          sx={{
            typography: 'words',
            whiteSpace: 'pre-wrap',
            overflowWrap: 'anywhere',
            maxHeight: '40vh',
            overflowY: 'auto',
            bgcolor: 'background.paper',
            border: 1,
            borderColor: 'divider',
            borderRadius: 1,
            p: 1,
          }}
        >
          {check.leaving}
        </Box>
        <Box
          component="dl"
          className="figures"
          sx={{
            display: 'grid',
            gridTemplateColumns: 'auto auto',
            columnGap: 1.5,
            rowGap: 0.25,
            m: 0,
            alignContent: 'start',
            typography: 'body2',
          }}
        >
          {facts.map(([what, is]) => (
            <Box key={what} sx={{ display: 'contents' }}>
              <Box component="dt" sx={{ color: 'text.secondary' }}>
                {what}
              </Box>
              <Box component="dd" sx={{ m: 0 }}>
                {is}
              </Box>
            </Box>
          ))}
        </Box>
      </Box>
      <Box sx={{ display: 'flex', gap: 1, justifyContent: 'flex-end', mt: 1 }}>
        <ActButton hint="Esc" onClick={onBack}>
          Back to writing
        </ActButton>
        <ActButton ref={send} variant="contained" hint="Ctrl+Enter" disabled={busy} onClick={onSend}>
          {sendWords(check.parts, anyway)}
        </ActButton>
      </Box>
    </Box>
  );
}

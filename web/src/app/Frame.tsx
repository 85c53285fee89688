import { Box } from '@mui/material';
import { Suspense, useState } from 'react';
import { Outlet } from 'react-router';
import { useTelling } from '../features/notices';
import { WriteTo } from '../features/write-to';
import { useLive } from '../realtime';
import type { LiveMessage, Session } from '../shared/api';
import { part, useKeys } from '../shared/ui';
import { AskBeforeLeaving } from './AskBeforeLeaving';
import { Masthead } from './Masthead';
import { Troubles } from './Troubles';

/** Fetched when they are first asked for; nothing is typed into them. */
const KeysHelp = part(() => import('./KeysHelp').then((part) => part.KeysHelp));

/** Fetched when one writes while one moves about. */
const WritingStrip = part(() => import('../features/desk').then((part) => part.WritingStrip));

/** What a new text is announced as, to those who listen rather than look. */
function announcement(message: LiveMessage): string | undefined {
  const text = message.entries.find((entry) => entry.kind === 'IN');
  return text && message.conversation && !message.conversation.notForUs
    ? `New text from ${message.conversation.customerName ?? message.conversation.number}: ${text.words ?? ''}`
    : undefined;
}

/** The one frame: masthead, and the place one is in. */
export function Frame({ session }: { session: Session }) {
  const [announced, setAnnounced] = useState('');
  const [help, setHelp] = useState(false);
  const tell = useTelling();
  const lineState = useLive(session.staff.id, (message) => {
    tell(message);
    const words = announcement(message);
    if (words) setAnnounced(words);
  });
  const writes = session.may.includes('TEXT');
  const [writing, setWriting] = useState(false);
  useKeys({ '?': () => setHelp(true), w: writes ? () => setWriting(true) : undefined });
  return (
    <Box sx={{ height: '100dvh', display: 'flex', flexDirection: 'column' }}>
      <Masthead session={session} lineState={lineState} onHelp={() => setHelp(true)} onWrite={() => setWriting(true)} />
      <Troubles session={session} />
      <Suspense fallback={<Box component="main" aria-busy="true" />}>
        <Outlet />
      </Suspense>
      <Box
        aria-live="polite"
        sx={{ position: 'absolute', width: 1, height: 1, overflow: 'hidden', clipPath: 'inset(50%)' }}
        style={{ width: 1, height: 1 }}
      >
        {announced}
      </Box>
      <Suspense fallback={null}>
        <WritingStrip session={session} />
      </Suspense>
      {writing && <WriteTo onClose={() => setWriting(false)} />}
      <AskBeforeLeaving />
      {help && (
        <Suspense fallback={null}>
          <KeysHelp onClose={() => setHelp(false)} />
        </Suspense>
      )}
    </Box>
  );
}

import { Box } from '@mui/material';
import { lazy, Suspense, useState } from 'react';
import { Navigate, Route, Routes } from 'react-router';
import { Inbox } from '../features/inbox';
import { useTelling } from '../features/notices';
import { OfficePage } from '../features/office';
import { WriteTo } from '../features/write-to';
import { useLive } from '../realtime';
import type { LiveMessage, Session } from '../shared/api';
import { useKeys } from '../shared/ui';
import { KeysHelp } from './KeysHelp';
import { Masthead } from './Masthead';

/** What is opened now and then is fetched then; the inbox need not wait for it. */
const SetUp = lazy(() => import('../features/setup').then((feature) => ({ default: feature.SetUp })));
const Me = lazy(() => import('../features/me').then((feature) => ({ default: feature.Me })));

/** What a new text is announced as, to those who listen rather than look. */
function announcement(message: LiveMessage): string | undefined {
  const text = message.entries.find((entry) => entry.kind === 'IN');
  return text && message.conversation
    ? `New text from ${message.conversation.customerName ?? message.conversation.number}: ${text.words ?? ''}`
    : undefined;
}

/** The one frame: masthead, and the place one is in. */
export function Frame({ session }: { session: Session }) {
  const [announced, setAnnounced] = useState('');
  const [help, setHelp] = useState(false);
  const tell = useTelling();
  const lineState = useLive((message) => {
    tell(message);
    const words = announcement(message);
    if (words) setAnnounced(words);
  });
  const leads = session.may.includes('LEAD');
  const writes = session.may.includes('TEXT');
  const [writing, setWriting] = useState(false);
  useKeys({ '?': () => setHelp(true), w: writes ? () => setWriting(true) : undefined });
  return (
    <Box sx={{ height: '100dvh', display: 'flex', flexDirection: 'column' }}>
      <Masthead session={session} lineState={lineState} onHelp={() => setHelp(true)} onWrite={() => setWriting(true)} />
      <Suspense fallback={<Box component="main" aria-busy="true" />}>
        <Routes>
          <Route path="/inbox/:id?" element={<Inbox session={session} />} />
          <Route path="/identify/:id?" element={<Inbox session={session} toIdentify />} />
          <Route path="/me/*" element={<Me session={session} />} />
          {leads && <Route path="/office" element={<OfficePage session={session} />} />}
          {leads && <Route path="/setup/*" element={<SetUp session={session} />} />}
          <Route path="*" element={<Navigate to="/inbox" replace />} />
        </Routes>
      </Suspense>
      <Box
        aria-live="polite"
        sx={{ position: 'absolute', width: 1, height: 1, overflow: 'hidden', clipPath: 'inset(50%)' }}
        style={{ width: 1, height: 1 }}
      >
        {announced}
      </Box>
      {writing && <WriteTo onClose={() => setWriting(false)} />}
      <KeysHelp open={help} onClose={() => setHelp(false)} />
    </Box>
  );
}

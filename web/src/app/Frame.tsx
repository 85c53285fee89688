import { Box } from '@mui/material';
import { Suspense, useState } from 'react';
import { Outlet } from 'react-router';
import { useTelling } from '../features/notices';
import { WriteTo } from '../features/write-to';
import { useLive } from '../realtime';
import type { Session } from '../shared/api';
import { part, useKeys } from '../shared/ui';
import { announced } from './announced';
import { AskBeforeLeaving } from './AskBeforeLeaving';
import { Masthead } from './Masthead';
import { Troubles } from './Troubles';

/** Fetched when they are first asked for; nothing is typed into them. */
const KeysHelp = part(() => import('./KeysHelp').then((part) => part.KeysHelp));

/** Fetched when the user writes while moving about. */
const WritingStrip = part(() => import('../features/desk').then((part) => part.WritingStrip));

/** The one frame: masthead, and the place the user is in. */
export function Frame({ session }: { session: Session }) {
  const [words, setAnnounced] = useState('');
  const [help, setHelp] = useState(false);
  const tell = useTelling();
  const lineState = useLive(session.staff.id, (message) => {
    tell(message);
    setAnnounced((before) => announced(before, message));
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
        {words}
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

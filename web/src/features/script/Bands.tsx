import { part } from '../../shared/ui';
import { Box } from '@mui/material';
import { Suspense } from 'react';
import type { Dossier } from '../../shared/api';
import { GroupBand } from '../group';
import { GuestsBand } from '../guests';
import { IdentifyBand } from '../identify';

/** Fetched with the first one that was handed over. */
const SummaryBand = part(() => import('./SummaryBand').then((part) => part.SummaryBand));

/** Fetched with the first that goes with a text. */
const Attached = part(() => import('../attachments').then((part) => part.Attached));

/** Fetched with the first script. */
const ToDoBand = part(() => import('../to-do').then((part) => part.ToDoBand));

/** Fetched with the first script. */
const LookBand = part(() => import('../second-look').then((part) => part.LookBand));

interface Props {
  dossier: Dossier;
  me: number;
  zone: string;
  /** What the conversation is called. */
  name: string;
  /** Begins a text that asks who is writing. */
  onAsk: (words: string) => void;
}

/** What must be known or decided before answering. All of it together scrolls rather than take the room of the script. */
export function Bands({ dossier, me, zone, name, onAsk }: Props) {
  const { conversation, summary, left } = dossier;
  // Who handed it over knows what they know.
  const told = summary && summary.handed.speaker?.id !== me;
  const several = conversation.numbers > 1;
  const identifies = !several && (conversation.toIdentify || conversation.notForUs);
  return (
    <Box
      sx={{
        '&:empty': { display: 'none' },
        flex: '0 1 auto',
        minHeight: 0,
        maxHeight: { xs: '26vh', sm: '45vh' },
        overflowY: 'auto',
        borderBottom: 1,
        borderColor: 'divider',
        bgcolor: 'background.paper',
      }}
    >
      <Suspense fallback={null}>
        <LookBand conversation={conversation} zone={zone} />
        <ToDoBand conversation={conversation} me={me} zone={zone} />
        {told && <SummaryBand summary={summary} conversation={conversation} zone={zone} customer={name} />}
      </Suspense>
      {dossier.guests.length > 0 && (
        <Suspense fallback={null}>
          <GuestsBand dossier={dossier} me={me} />
        </Suspense>
      )}
      {several && (
        <Suspense fallback={null}>
          <GroupBand dossier={dossier} />
        </Suspense>
      )}
      {left.map((draft) => (
        <Box
          key={draft.by + draft.paper}
          role="note"
          sx={{ px: 2, py: 0.75, typography: 'body2', borderBottom: 1, borderColor: 'divider' }}
        >
          {draft.by}, who has left, had begun a {draft.paper === 'NOTE' ? 'note' : 'reply'}:{' '}
          <Box component="span" sx={{ typography: 'words' }}>
            {draft.words}
          </Box>
          {draft.attachments.length > 0 && (
            <Suspense fallback={null}>
              <Attached list={draft.attachments} />
            </Suspense>
          )}
        </Box>
      ))}
      {identifies && (
        <Suspense
          fallback={
            <Box role="note" sx={{ px: 2, py: 1, typography: 'body2' }}>
              To identify.
            </Box>
          }
        >
          <IdentifyBand conversation={conversation} onAsk={onAsk} />
        </Suspense>
      )}
    </Box>
  );
}

import { Box, Button, ButtonBase, Link, Tooltip } from '@mui/material';
import { Suspense, useState } from 'react';
import type { Attachment } from '../../shared/api';
import { part, ProblemNote } from '../../shared/ui';
import { addressOfFile, boxOf, description, kindWords, opensLarge, sizeWords } from './model/files';
import { useFetchAgain } from './queries';

/** Fetched with the first picture that is opened. */
const Viewer = part(() => import('./Viewer').then((part) => part.Viewer));

interface Props {
  list: Attachment[];
  /** Whose script is stepped through; none where there is only this list. */
  conversation?: number | undefined;
}

/** What goes or came with a text: pictures small, sound and video to be played, all else by name. */
export function Attached({ list, conversation }: Props) {
  const [open, setOpen] = useState<number>();
  return (
    <Box
      component="ul"
      aria-label="Attachments"
      sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, listStyle: 'none', m: 0, p: 0, py: 0.5 }}
    >
      {list.map((one) => (
        <Box component="li" key={one.id} sx={{ maxWidth: '100%' }}>
          <One one={one} onOpen={() => setOpen(one.id)} />
        </Box>
      ))}
      {open !== undefined && (
        <Suspense fallback={null}>
          <Viewer
            list={list}
            conversation={conversation}
            at={open}
            onStep={setOpen}
            onClose={() => setOpen(undefined)}
          />
        </Suspense>
      )}
    </Box>
  );
}

const FRAME = { border: 1, borderColor: 'divider', borderRadius: 1, bgcolor: 'background.paper' } as const;

function One({ one, onOpen }: { one: Attachment; onOpen: () => void }) {
  if (one.state !== 'HERE') return <NotHere one={one} />;
  if (one.kind === 'PICTURE' && one.preview) return <Picture one={one} onOpen={onOpen} />;
  if (one.kind === 'SOUND' && one.shown) {
    return (
      <Box sx={{ ...FRAME, p: 1, display: 'grid', gap: 0.5 }}>
        <Box component="audio" controls preload="none" src={addressOfFile(one.id)} aria-label={description(one)} />
        <Named one={one} />
      </Box>
    );
  }
  if (one.kind === 'VIDEO' && one.shown) {
    return (
      <Box sx={{ ...FRAME, p: 1, display: 'grid', gap: 0.5, maxWidth: 300 }}>
        <Box
          component="video"
          controls
          preload="none"
          src={addressOfFile(one.id)}
          aria-label={description(one)}
          sx={{ width: 280, maxWidth: '100%', height: 160, bgcolor: 'action.hover' }}
        />
        <Box sx={{ display: 'flex', gap: 1, alignItems: 'baseline' }}>
          <Named one={one} />
          <Button sx={{ p: 0 }} onClick={onOpen}>
            Open large
          </Button>
        </Box>
      </Box>
    );
  }
  return <Tile one={one} />;
}

function Picture({ one, onOpen }: { one: Attachment; onOpen: () => void }) {
  const box = boxOf(one);
  return (
    <Tooltip title={`${one.name}, ${sizeWords(one.octets)}`}>
      <ButtonBase
        aria-label={`Open ${description(one)}`}
        disabled={!opensLarge(one)}
        onClick={onOpen}
        sx={{ ...FRAME, overflow: 'hidden', ...box, maxWidth: '100%' }}
      >
        <Box
          component="img"
          src={`${addressOfFile(one.id)}/preview`}
          alt={one.words}
          loading="lazy"
          decoding="async"
          sx={{ width: '100%', height: '100%', objectFit: 'cover' }}
        />
      </ButtonBase>
    </Tooltip>
  );
}

/** Its name and size; what the page cannot show is opened beside it or saved. */
function Tile({ one }: { one: Attachment }) {
  return (
    <Box sx={{ ...FRAME, px: 1.5, py: 1, maxWidth: 300 }}>
      <Named one={one} />
    </Box>
  );
}

function Named({ one }: { one: Attachment }) {
  return (
    <Box sx={{ typography: 'body2', minWidth: 0 }}>
      <Link
        href={addressOfFile(one.id, !one.shown)}
        target={one.shown ? '_blank' : undefined}
        rel="noreferrer"
        color="info"
        sx={{ overflowWrap: 'anywhere' }}
      >
        {one.name}
      </Link>
      <Box className="figures" sx={{ typography: 'caption', color: 'text.secondary' }}>
        {kindWords(one)}, {sizeWords(one.octets)}
        {one.words !== '' && `: ${one.words}`}
      </Box>
    </Box>
  );
}

function NotHere({ one }: { one: Attachment }) {
  const again = useFetchAgain(one.id);
  const missing = one.state === 'MISSING';
  return (
    <Box role="status" sx={{ ...FRAME, borderStyle: 'dashed', px: 1.5, py: 1, maxWidth: 300, typography: 'body2' }}>
      <Box sx={{ overflowWrap: 'anywhere' }}>{one.name}</Box>
      <Box sx={{ typography: 'caption', color: missing ? 'error.main' : 'text.secondary' }}>
        {missing
          ? 'It could not be fetched from the phone network.'
          : `${kindWords(one)}, ${sizeWords(one.octets)}, is being fetched from the phone network…`}
      </Box>
      {missing && (
        <Button sx={{ p: 0 }} disabled={again.isPending} onClick={() => again.mutate()}>
          Try again
        </Button>
      )}
      {again.error && <ProblemNote problem={again.error} />}
    </Box>
  );
}

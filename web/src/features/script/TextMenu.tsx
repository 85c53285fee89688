import { ButtonBase, Menu, MenuItem } from '@mui/material';
import { Suspense, useState } from 'react';
import type { Entry } from '../../shared/api';
import { useRefusal, part } from '../../shared/ui';
import { copyWords } from './model/copy';

/** Fetched when the first template is made of an answer. */
const MakeTemplate = part(() => import('../templates').then((part) => part.MakeTemplate));

interface Props {
  entry: Entry;
  /** Puts the words onto the note paper, as someone's. */
  onQuote: (entry: Entry) => void;
}

/** Opens for everyone who may see the text. */
function linkTo({ conversationId, id }: Entry): string {
  return `${window.location.origin}/inbox/${conversationId}?text=${id}`;
}

/** What can be done with the words of a text: it shows while the pointer or the focus is on the text. */
export function TextMenu({ entry, onQuote }: Props) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const [making, setMaking] = useState(false);
  const mayNote = useRefusal('WORK') === '';
  const mayMake = useRefusal('CHANGE_TEMPLATES') === '' && entry.kind === 'OUT';
  const words = entry.words ?? '';
  const pick = (act: () => void) => () => {
    setAnchor(null);
    act();
  };
  return (
    <>
      <ButtonBase
        className="text-menu"
        aria-label="More for this text"
        aria-haspopup="menu"
        onClick={(event) => setAnchor(event.currentTarget)}
        sx={{ color: 'text.secondary', px: 0.75, alignSelf: 'start', lineHeight: 1.6, fontWeight: 700 }}
      >
        ···
      </ButtonBase>
      {anchor !== null && (
        <Menu anchorEl={anchor} open onClose={() => setAnchor(null)}>
          <MenuItem onClick={pick(() => void copyWords(words))}>Copy the words</MenuItem>
          <MenuItem onClick={pick(() => void copyWords(linkTo(entry)))}>Copy a link to this text</MenuItem>
          {mayNote && <MenuItem onClick={pick(() => onQuote(entry))}>Quote in a note</MenuItem>}
          {mayMake && <MenuItem onClick={pick(() => setMaking(true))}>Make a template of it…</MenuItem>}
        </Menu>
      )}
      {making && (
        <Suspense fallback={null}>
          <MakeTemplate id={entry.conversationId} words={words} onDone={() => setMaking(false)} />
        </Suspense>
      )}
    </>
  );
}

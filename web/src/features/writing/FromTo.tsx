import { ButtonBase, Tooltip } from '@mui/material';
import { Suspense, useRef } from 'react';
import type { Conversation, Line } from '../../shared/api';
import { part } from '../../shared/ui';

/** Fetched when it is first asked for. */
const WaysMenu = part(() => import('./WaysMenu').then((part) => part.WaysMenu));

interface Props {
  conversation: Conversation;
  line: Line | undefined;
  /** The other ways are shown. */
  open: boolean;
  onOpen: (open: boolean) => void;
  /** Begun words, which go along. */
  carry: { words: string; again?: number | undefined };
  /** They have gone along. */
  onCarried: () => void;
}

/** From which line to which number the text goes; other ones are a key away. */
export function FromTo({ conversation, line, open, onOpen, carry, onCarried }: Props) {
  const button = useRef<HTMLButtonElement>(null);
  return (
    <>
      <Tooltip title="Another line or number: F, or Alt+F while you write">
        <ButtonBase
          ref={button}
          aria-haspopup="menu"
          aria-expanded={open}
          onClick={() => onOpen(true)}
          sx={{ typography: 'caption', color: 'text.secondary', textAlign: 'left' }}
        >
          From {line?.name ?? '…'} to {conversation.number}{' '}
          <span aria-hidden style={{ paddingLeft: 4 }}>
            ▾
          </span>
        </ButtonBase>
      </Tooltip>
      {open && (
        <Suspense fallback={null}>
          <WaysMenu
            id={conversation.id}
            zone={line?.zone ?? 'UTC'}
            anchor={button}
            carry={carry}
            onCarried={onCarried}
            onClose={() => onOpen(false)}
          />
        </Suspense>
      )}
    </>
  );
}

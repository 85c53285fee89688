import type { KeyboardEvent } from 'react';

/** What keys do on a paper; what is missing cannot be done now. */
interface Acts {
  /** By Alt and the letter. */
  alt: Partial<Record<string, () => void>>;
  /** Enter alone sends. */
  enterSends: boolean;
  /** `finish` with Alt held. */
  send: (finish: boolean) => void;
  /** Whether a Tab at the cursor is kept for what is still being fetched. */
  tab: (from: number) => boolean;
  leave: () => void;
}

/** Whether Enter sends: with Ctrl or Alt always, alone for those who chose so; never while a character is being put together. */
function sendsBy(event: KeyboardEvent, enterSends: boolean): boolean {
  if (event.ctrlKey || event.metaKey || event.altKey) return true;
  return enterSends && !event.shiftKey && !event.defaultPrevented && !event.nativeEvent.isComposing;
}

/** Does what a key means on a paper. */
export function paperKey(event: KeyboardEvent<HTMLTextAreaElement>, { alt, enterSends, send, tab, leave }: Acts) {
  const act = event.altKey ? alt[event.key.toLowerCase()] : undefined;
  if (act) {
    event.preventDefault();
    act();
  } else if (event.key === 'Enter' && sendsBy(event, enterSends)) {
    event.preventDefault();
    send(event.altKey);
  } else if (event.key === 'Tab' && !event.shiftKey) {
    if (tab(event.currentTarget.selectionStart)) event.preventDefault();
  } else if (event.key === 'Escape') {
    leave();
  }
}

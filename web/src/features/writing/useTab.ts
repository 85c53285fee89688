import { type RefObject, useEffect } from 'react';

/** A Tab on the paper that was pressed before what answers it was fetched. */
export class HeldTab {
  private answered = false;
  private before: string | undefined;
  private next: (() => void) | undefined;

  /** Keeps one Tab for what is still being fetched; pressed again at the same place it is the browser's, so nobody is caught. */
  holds(before: string, mayMean: boolean): boolean {
    if (this.answered || !mayMean || this.before === before) return false;
    this.before = before;
    return true;
  }

  /** What stood before the cursor when the kept Tab was pressed; it is not kept any longer. */
  taken(): string | undefined {
    const { before } = this;
    this.answered = true;
    this.before = undefined;
    return before;
  }

  /** Keeps what was asked for behind a held Tab until that is answered; asked a second time it is not kept any longer. */
  delays(next: () => void): boolean {
    const waits = this.before !== undefined && this.next === undefined;
    this.next = waits ? next : undefined;
    if (!waits) this.before = undefined;
    return waits;
  }

  /** The held Tab is answered: what was asked for behind it is done now. */
  goOn() {
    const { next } = this;
    this.next = undefined;
    next?.();
  }

  /** What answers a Tab is not there any more. */
  gone() {
    this.answered = false;
  }
}

/**
 * Answers Tab on the paper. What stands there at this very stroke counts, not what was last drawn: some type faster than that. A Tab
 * that was held is answered where it was pressed, and what was typed behind it stays there.
 *
 * @param onTab does what the Tab means in these words with this stretch marked, or this cursor; false where it means nothing
 */
export function useTab(
  field: RefObject<HTMLTextAreaElement | null>,
  held: HeldTab,
  ready: boolean,
  onTab: (words: string, from: number, to: number) => boolean,
) {
  useEffect(() => {
    const element = field.current;
    if (!element || !ready) return;
    const pressed = (event: KeyboardEvent) => {
      if (event.key !== 'Tab' || event.shiftKey) return;
      if (onTab(element.value, element.selectionStart, element.selectionEnd)) event.preventDefault();
    };
    element.addEventListener('keydown', pressed);
    const before = held.taken();
    if (before !== undefined) {
      queueMicrotask(() => {
        const words = element.value;
        if (words.startsWith(before)) {
          const behind = element.selectionStart - before.length;
          onTab(words, before.length, before.length);
          const moved = element.selectionStart + behind;
          if (element.value !== words) element.setSelectionRange(moved, moved);
        }
        held.goOn();
      });
    }
    return () => {
      element.removeEventListener('keydown', pressed);
      held.gone();
    };
  });
}

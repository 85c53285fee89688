import type { QueryClient } from '@tanstack/react-query';
import { useSyncExternalStore } from 'react';

/** Something that can be taken back for a few seconds. */
export interface Offer {
  /** What was done, as "Done: Greta Moss". */
  words: string;
  /** The server's name for it; or the text that has not left yet; or what was said of who writes. */
  back: { undo: string } | { text: number } | { identifying: number };
  /** How long it is offered; some seconds unless said otherwise. */
  forMs?: number;
}

/** Told to the window when the words of a text that was taken back are on their writer's paper again. */
export const WORDS_BACK = 'fabulum:words-back';

export interface WordsBack {
  conversation: number;
  words: string;
}

/** Told to the window when someone did something themselves, so that the list follows at once. */
export const OWN_ACT = 'fabulum:own-act';

/** Told to the window when an act of the person's own moved a conversation on, so that the next can be opened. */
export const MOVED_ON = 'fabulum:moved-on';

/** What an act is marked with that offers to be taken back once the server has answered. */
export const UNDOABLE = { undoable: true };

const SHOWN_MS = 10_000;
const listeners = new Set<() => void>();
let offer: Offer | undefined;
let timer: ReturnType<typeof setTimeout> | undefined;

let after: Offer | undefined;

function show(next: Offer | undefined): void {
  clearTimeout(timer);
  offer = next;
  after = undefined;
  if (next) timer = setTimeout(() => show(after), next.forMs ?? SHOWN_MS);
  listeners.forEach((listener) => listener());
}

/**
 * Offers to take something back; the one before can no longer be taken back here. A text that is about to leave goes first: with it,
 * what was done after it is taken back as well.
 */
export function offerUndo(next: Offer): void {
  if (offer && 'text' in offer.back && 'undo' in next.back) after = next;
  else show(next);
}

export function withdrawOffer(): void {
  show(undefined);
}

/** What can be taken back just now. */
export function lastOffer(): Offer | undefined {
  return offer;
}

/**
 * Calls back once the server has answered every act that can be taken back: at once when none is on its way. Given up when an answer takes
 * so long that a person no longer expects it.
 */
export function onceActsAnswered(queries: QueryClient, then: () => void): void {
  const acts = queries.getMutationCache();
  const since = Date.now();
  const waits = () => acts.getAll().some(({ state, meta }) => state.status === 'pending' && meta?.undoable === true);
  if (!waits()) {
    then();
    return;
  }
  const stop = acts.subscribe(() => {
    const late = Date.now() - since > SHOWN_MS;
    if (!late && waits()) return;
    stop();
    if (!late) then();
  });
}

/** Tells that a conversation was moved on by their own act. */
export function tellMovedOn(id: number): void {
  window.dispatchEvent(new CustomEvent(MOVED_ON, { detail: id }));
}

export function tellOwnAct(): void {
  window.dispatchEvent(new Event(OWN_ACT));
}

function subscribe(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

/** What can be taken back just now; drawn again when that changes. */
export function useOffer(): Offer | undefined {
  return useSyncExternalStore(subscribe, () => offer);
}

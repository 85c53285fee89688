import type { StaffMarkOf } from '../../../shared/api/types';

/** Someone, or a team, that can have a conversation. */
export interface Receiver {
  key: string;
  name: string;
  to: { person?: number; team?: number };
  mark: StaffMarkOf | undefined;
  /** Whether they are in, in words. */
  standing: string;
}

/** Those with a word in their name that begins with these letters; names that themselves begin so come first. */
export function byLetters(all: Receiver[], letters: string): Receiver[] {
  const sought = letters.trim().toLowerCase();
  if (sought === '') return all;
  const begins = (name: string) => name.toLowerCase().startsWith(sought);
  return all
    .filter((one) => begins(one.name) || one.name.split(/[\s-]+/).some(begins))
    .sort((a, b) => Number(begins(b.name)) - Number(begins(a.name)));
}

import type { Hit } from '../../../shared/api/types';

export interface Cut {
  words: string;
  hit: boolean;
}

/** Words cut where hits begin and end; hits are in order and apart, counted from the beginning of the whole text. */
export function cut(words: string, hits: Hit[], from = 0): Cut[] {
  const pieces: Cut[] = [];
  let at = 0;
  for (const hit of hits) {
    const begin = Math.max(hit.from - from, at);
    const end = Math.min(hit.to - from, words.length);
    if (end <= begin) continue;
    if (begin > at) pieces.push({ words: words.slice(at, begin), hit: false });
    pieces.push({ words: words.slice(begin, end), hit: true });
    at = end;
  }
  if (at < words.length) pieces.push({ words: words.slice(at), hit: false });
  return pieces;
}

const BEFORE = 60;

/** The words around the first hit: long texts begin a little before it, between words. */
export function around(words: string, hits: Hit[]): { words: string; from: number } {
  const first = hits[0]?.from ?? 0;
  if (first <= 2 * BEFORE) return { words, from: 0 };
  const space = words.indexOf(' ', first - BEFORE);
  const from = space >= 0 && space < first ? space + 1 : first;
  return { words: words.slice(from), from };
}

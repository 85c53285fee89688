import type { Conversation, Group, Whose } from '../../../shared/api/types';
import { span, timeLeft } from '../../../shared/format';

/** What the list shows, as the address bar keeps it. */
export interface ListAddress {
  group: Group;
  whose: Whose;
  line: number | undefined;
}

const GROUP_WORDS: Record<Group, string> = { OUR_TURN: 'our-turn', THEIR_TURN: 'their-turn', DONE: 'done' };
const WHOSE_WORDS: Record<Whose, string> = { EVERYONE: 'everyone', MINE: 'mine', NOBODY: 'nobody' };

function find<T extends string>(words: Record<T, string>, said: string | null, otherwise: T): T {
  return (Object.keys(words) as T[]).find((key) => words[key] === said) ?? otherwise;
}

export function readAddress(params: URLSearchParams): ListAddress {
  const line = Number(params.get('line'));
  return {
    group: find(GROUP_WORDS, params.get('group'), 'OUR_TURN'),
    whose: find(WHOSE_WORDS, params.get('whose'), 'EVERYONE'),
    line: Number.isInteger(line) && line > 0 ? line : undefined,
  };
}

/** The address of a list; what is usual is left out. */
export function writeAddress(address: ListAddress): URLSearchParams {
  const params = new URLSearchParams();
  if (address.group !== 'OUR_TURN') params.set('group', GROUP_WORDS[address.group]);
  if (address.whose !== 'EVERYONE') params.set('whose', WHOSE_WORDS[address.whose]);
  if (address.line !== undefined) params.set('line', String(address.line));
  return params;
}

/** On our turn, what is left of the promise; else since when it stands so; in words. */
export function standing(row: Pick<Conversation, 'group' | 'since' | 'secondsLeft'>, now: Date): string {
  if (row.group === 'OUR_TURN' && row.secondsLeft !== undefined) return timeLeft(row.secondsLeft);
  const time = span(new Date(row.since), now);
  switch (row.group) {
    case 'OUR_TURN':
      return time === 'just now' ? 'waits since just now' : `waits ${time}`;
    case 'THEIR_TURN':
      return time === 'just now' ? 'answered just now' : `answered ${time} ago`;
    case 'DONE':
      return time === 'just now' ? 'done just now' : `done ${time} ago`;
  }
}

/** Which row to stand on after an arrow key. */
export function step(ids: number[], current: number | undefined, by: 1 | -1): number | undefined {
  const at = current === undefined ? -1 : ids.indexOf(current);
  if (at < 0) return by === 1 ? ids[0] : ids[ids.length - 1];
  return ids[Math.min(ids.length - 1, Math.max(0, at + by))];
}

import type { Conversation, Group, ListOrder } from '../../../shared/api/types';
import { span, timeLeft } from '../../../shared/format';
import { readSentence, type Sentence, writeSentence } from '../../../shared/sentence';

/** A group of the inbox; what is blank is in none. */
export type ListGroup = Exclude<Group, 'BLANK'>;

/** What the list shows, as the address bar keeps it. */
export interface ListAddress {
  group: ListGroup;
  order: ListOrder;
  sentence: Sentence;
}

const GROUP_WORDS: Record<ListGroup, string> = {
  OUR_TURN: 'our-turn',
  THEIR_TURN: 'their-turn',
  SET_ASIDE: 'set-aside',
  DONE: 'done',
};
const ORDER_WORDS: Record<ListOrder, string> = {
  TIME_LEFT: 'time-left',
  NEWEST: 'newest',
  OPEN_LONGEST: 'open-longest',
  WAITING_LONGEST: 'waiting-longest',
};

/** The orders a group can have, the usual one first. */
export const ORDERS: Record<ListGroup, { value: ListOrder; words: string }[]> = {
  OUR_TURN: [
    { value: 'TIME_LEFT', words: 'least time left first' },
    { value: 'NEWEST', words: 'newest first' },
    { value: 'OPEN_LONGEST', words: 'open longest first' },
  ],
  THEIR_TURN: [
    { value: 'NEWEST', words: 'newest first' },
    { value: 'WAITING_LONGEST', words: 'waiting on them longest first' },
    { value: 'OPEN_LONGEST', words: 'open longest first' },
  ],
  SET_ASIDE: [
    { value: 'TIME_LEFT', words: 'back soonest first' },
    { value: 'NEWEST', words: 'newest first' },
    { value: 'OPEN_LONGEST', words: 'open longest first' },
  ],
  DONE: [
    { value: 'NEWEST', words: 'last finished first' },
    { value: 'OPEN_LONGEST', words: 'first opened first' },
  ],
};

function find<T extends string>(words: Record<T, string>, said: string | null): T | undefined {
  return (Object.keys(words) as T[]).find((key) => words[key] === said);
}

/** The order a group has when nobody chose one. Of those to identify, who has waited longest comes first, whatever is left of a promise. */
export function usualOrder(group: ListGroup, toIdentify = false): ListOrder {
  if (toIdentify && group === 'OUR_TURN') return 'OPEN_LONGEST';
  return ORDERS[group][0]?.value ?? 'NEWEST';
}

/** The order after this one, for the key that goes through them. */
export function nextOrder(address: ListAddress): ListOrder {
  const orders = ORDERS[address.group];
  const at = orders.findIndex((order) => order.value === address.order);
  return orders[(at + 1) % orders.length]?.value ?? usualOrder(address.group);
}

export function readAddress(params: URLSearchParams, toIdentify = false): ListAddress {
  const group = find(GROUP_WORDS, params.get('group')) ?? 'OUR_TURN';
  const order = find(ORDER_WORDS, params.get('order'));
  const fits = ORDERS[group].some((each) => each.value === order);
  return {
    group,
    order: order && fits ? order : usualOrder(group, toIdentify),
    sentence: readSentence(params.get('show') ?? ''),
  };
}

/** The address of a list; what is usual is left out. */
export function writeAddress(address: ListAddress, toIdentify = false): URLSearchParams {
  const params = new URLSearchParams();
  const said = writeSentence(address.sentence);
  if (address.group !== 'OUR_TURN') params.set('group', GROUP_WORDS[address.group]);
  if (address.order !== usualOrder(address.group, toIdentify)) params.set('order', ORDER_WORDS[address.order]);
  if (said !== '') params.set('show', said);
  return params;
}

/** The same list, another group, in the order that is usual there. */
export function inGroup(address: ListAddress, group: ListGroup, toIdentify = false): ListAddress {
  return { ...address, group, order: usualOrder(group, toIdentify) };
}

/** On our turn, what is left of the promise; set aside, until when; else since when it stands so; in words. */
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
    case 'SET_ASIDE':
    case 'BLANK':
      return '';
  }
}

/** Which row to stand on after an arrow key; from a row that has left, the one that took its place. */
export function step(ids: number[], current: number | undefined, by: 1 | -1, left = -1): number | undefined {
  const at = current === undefined ? -1 : ids.indexOf(current);
  if (at >= 0) return ids[Math.min(ids.length - 1, Math.max(0, at + by))];
  if (left >= 0) return ids[Math.min(ids.length - 1, Math.max(0, by === 1 ? left : left - 1))];
  return by === 1 ? ids[0] : ids[ids.length - 1];
}

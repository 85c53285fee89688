import { expect, it } from 'vitest';
import type { Conversation } from '../../../shared/api/types';
import { byUrgency, movedWords, whitherOf } from './moves';

it('reads whither from a key', () => {
  expect(whitherOf('person 3')).toEqual({ person: 3 });
  expect(whitherOf('team 2')).toEqual({ team: 2 });
  expect(whitherOf('nobody')).toEqual({});
});

it.each([
  [{ moved: 0, nobodys: 0 }, 'Nothing moved.'],
  [{ moved: 1, nobodys: 0 }, '1 conversation moved to Wen Zhao.'],
  [{ moved: 3, nobodys: 1 }, '3 conversations moved; 1 of them to nobody, for Wen Zhao may not see it.'],
])('says what came of it', (moved, words) => {
  expect(movedWords(moved, 'Wen Zhao')).toBe(words);
});

it('puts what waits on us first, the most urgent on top', () => {
  const row = (id: number, group: Conversation['group'], secondsLeft?: number) =>
    ({ id, group, secondsLeft }) as Conversation;
  const rows = [row(1, 'SET_ASIDE'), row(2, 'OUR_TURN', 60), row(3, 'THEIR_TURN'), row(4, 'OUR_TURN', -60)];
  expect(byUrgency(rows).map((each) => each.id)).toEqual([4, 2, 3, 1]);
});

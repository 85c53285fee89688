import { expect, it } from 'vitest';
import { movedWords, whitherOf } from './moves';

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

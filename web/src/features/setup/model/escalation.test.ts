import { expect, it } from 'vitest';
import { AFTER, afterWords, toldKey, toldOf } from './escalation';

it.each([
  [-15, 'due in 15 min'],
  [0, 'late'],
  [30, 'late by 30 min'],
  [120, 'late by 2 h'],
])('says when: %i', (minutes, words) => {
  expect(afterWords(minutes)).toBe(words);
});

it('offers no two steps that read the same', () => {
  expect(new Set(AFTER.map(afterWords)).size).toBe(AFTER.length);
});

it.each(['OWNER', 'TEAM', 'LEADS', 'PERSON 12'])('whom it tells can be written and read: %s', (key) => {
  expect(toldKey({ afterMinutes: 0, ...toldOf(key) })).toBe(key);
});

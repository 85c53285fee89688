import { expect, it } from 'vitest';
import { firstToTell } from './tell';

it('a notice is told by one page only, however many are open', () => {
  const once = firstToTell(null, 7);
  expect(once).toBe('7');
  expect(firstToTell(once ?? '', 7)).toBeUndefined();
  expect(firstToTell(once ?? '', 77)).toBe('7,77');
});

it('remembers only the newest', () => {
  let told = '';
  for (let id = 1; id <= 500; id++) told = firstToTell(told, id) ?? told;
  expect(told.split(',')).toHaveLength(200);
  expect(firstToTell(told, 500)).toBeUndefined();
});

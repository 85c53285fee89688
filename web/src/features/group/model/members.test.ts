import { describe, expect, it } from 'vitest';
import type { Member } from '../../../shared/api/types';
import { reachedWords, standingWords } from './members';

const ada: Member = {
  name: 'Ada Pell',
  number: '(414) 555-0101',
  address: '+14145550101',
  customer: 3,
  toIdentify: false,
  optedOut: false,
  state: 'GOOD',
};

describe('who is in a group', () => {
  it.each([
    [{}, ''],
    [{ toIdentify: true }, 'to identify'],
    [{ toIdentify: true, optedOut: true }, 'opted out'],
    [{ toIdentify: true, state: 'CANNOT_RECEIVE' as const }, 'cannot receive texts'],
  ])('says of %o “%s”', (what, said) => {
    expect(standingWords({ ...ada, ...what })).toBe(said);
  });

  it('says who gets a text', () => {
    const out = { ...ada, optedOut: true };
    expect(reachedWords([ada, ada])).toBe('All 2 see each other’s numbers and texts.');
    expect(reachedWords([ada, out, ada])).toMatch(/^2 of 3 get your texts/);
    expect(reachedWords([ada, { ...ada, state: 'MARKED_WRONG' }])).toMatch(/^1 of 2/);
    expect(reachedWords([out])).toBe('Nobody in it can be texted any more.');
  });
});

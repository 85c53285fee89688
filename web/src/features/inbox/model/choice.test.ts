import { describe, expect, it } from 'vitest';
import { type ListAddress, readAddress, standing, step, writeAddress } from './choice';

describe('the address of a list', () => {
  it('reads back as the same list, whatever is chosen', () => {
    for (const group of ['OUR_TURN', 'THEIR_TURN', 'DONE'] as const) {
      for (const whose of ['EVERYONE', 'MINE', 'NOBODY'] as const) {
        for (const line of [undefined, 1, 27]) {
          const address: ListAddress = { group, whose, line };
          expect(readAddress(writeAddress(address))).toEqual(address);
        }
      }
    }
  });

  it('falls back to the usual list when somebody typed nonsense', () => {
    expect(readAddress(new URLSearchParams('group=x&whose=y&line=-3'))).toEqual({
      group: 'OUR_TURN',
      whose: 'EVERYONE',
      line: undefined,
    });
  });
});

describe('how long it stands so', () => {
  const now = new Date('2026-06-09T19:05:00Z');
  it.each([
    ['OUR_TURN', '2026-06-09T18:00:00Z', 'waits 1 h 05'],
    ['OUR_TURN', '2026-06-09T19:04:30Z', 'waits since just now'],
    ['THEIR_TURN', '2026-06-09T18:53:00Z', 'answered 12 min ago'],
    ['DONE', '2026-06-06T18:53:00Z', 'done 3 days ago'],
  ] as const)('%s since %s is said as "%s"', (group, since, said) => {
    expect(standing({ group, since }, now)).toBe(said);
  });
});

describe('arrow keys', () => {
  it('walk the list and stop at its ends', () => {
    expect(step([4, 7, 9], undefined, 1)).toBe(4);
    expect(step([4, 7, 9], undefined, -1)).toBe(9);
    expect(step([4, 7, 9], 4, 1)).toBe(7);
    expect(step([4, 7, 9], 9, 1)).toBe(9);
    expect(step([4, 7, 9], 4, -1)).toBe(4);
    expect(step([4, 7, 9], 8, 1)).toBe(4);
    expect(step([], 8, 1)).toBeUndefined();
  });
});

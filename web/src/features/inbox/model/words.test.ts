import { describe, expect, it } from 'vitest';
import { daysWords, leftWords, whoseKey, whoseOf } from './words';

describe('a sentence in words', () => {
  it.each([
    [{ to: 0 }, 'late'],
    [{ to: 15 }, 'less than 15 min left'],
    [{ from: 0, to: 60 }, '0 min to 1 h left'],
    [{ from: 90 }, 'at least 1 h 30 left'],
    [{ from: -480, to: -60 }, 'late 8 h to 1 h'],
    [{ from: -30, to: 0 }, 'late 30 min to due now'],
    [{ from: -30, to: 45 }, 'late 30 min to 45 min left'],
    [{ to: -60 }, 'more than 1 h late'],
  ])('%j is said as "%s"', (left, said) => {
    expect(leftWords(left)).toBe(said);
  });

  it('says days', () => {
    expect(daysWords({ last: 1 })).toBe('today');
    expect(daysWords({ last: 7 })).toBe('in the last 7 days');
    expect(daysWords({ from: '2026-06-01' })).toBe('from 2026-06-01');
  });

  it('keeps whose it is through a blank', () => {
    for (const whose of [
      { kind: 'everyone' },
      { kind: 'mine' },
      { kind: 'team', id: 4 },
      { kind: 'colleague', id: 2 },
    ] as const) {
      expect(whoseOf(whoseKey(whose))).toEqual(whose);
    }
  });
});

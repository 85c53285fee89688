import { describe, expect, it } from 'vitest';
import { monthAfter, monthWords, weeksOf } from './month';

describe('a month', () => {
  it('has weeks from Monday', () => {
    const weeks = weeksOf('2026-07');
    expect(weeks[0]).toEqual([
      undefined,
      undefined,
      '2026-07-01',
      '2026-07-02',
      '2026-07-03',
      '2026-07-04',
      '2026-07-05',
    ]);
    expect(weeks.at(-1)?.[4]).toBe('2026-07-31');
    expect(weeksOf('2027-02')).toHaveLength(4);
  });

  it('is followed by the next, over the year', () => {
    expect(monthAfter('2026-12', 1)).toBe('2027-01');
    expect(monthAfter('2026-01', -1)).toBe('2025-12');
    expect(monthWords('2026-07')).toBe('July 2026');
  });
});

import { describe, expect, it } from 'vitest';
import { begun, choices, fitting, type Repeat, repeatOf, ruleOf } from './repeat';

const rule = (given: Partial<Repeat>, first: string) => ruleOf({ ...begun(first), ...given }, first);

describe('a rule by which a text goes again', () => {
  it.each<[Partial<Repeat>, string, string]>([
    [{ unit: 'day', every: 3 }, '2026-06-11', 'FREQ=DAILY;INTERVAL=3'],
    [{ unit: 'week', days: [3, 0] }, '2026-06-11', 'FREQ=WEEKLY;BYDAY=MO,TH;WKST=MO'],
    [{}, '2026-06-11', 'FREQ=MONTHLY;BYMONTHDAY=11'],
    [{ on: 'last', every: 6 }, '2026-06-11', 'FREQ=MONTHLY;BYMONTHDAY=-1;INTERVAL=6'],
    [{ on: 'day-or-last' }, '2026-06-30', 'FREQ=MONTHLY;BYMONTHDAY=28,29,30;BYSETPOS=-1'],
    [{ on: 'nth' }, '2026-06-11', 'FREQ=MONTHLY;BYDAY=2TH'],
    [{ on: 'last-weekday' }, '2026-06-30', 'FREQ=MONTHLY;BYDAY=-1TU'],
    [{ unit: 'year' }, '2028-02-29', 'FREQ=YEARLY;BYMONTH=2;BYMONTHDAY=29'],
    [{ unit: 'year', on: 'day-or-last' }, '2028-02-29', 'FREQ=YEARLY;BYMONTH=2;BYMONTHDAY=-1'],
    [{ end: { kind: 'times', times: 5 } }, '2026-06-11', 'FREQ=MONTHLY;BYMONTHDAY=11;COUNT=5'],
    [{ end: { kind: 'until', day: '2026-12-31' } }, '2026-06-11', 'FREQ=MONTHLY;BYMONTHDAY=11;UNTIL=20261231'],
  ])('is written and read again: %j from %s', (given, first, text) => {
    expect(rule(given, first)).toBe(text);
    expect(ruleOf(repeatOf(text, first), first)).toBe(text);
  });

  it('offers the days that its first day suggests', () => {
    const words = (unit: 'month' | 'year', first: string) => choices(unit, first).map((each) => each.words);
    expect(words('month', '2026-06-11')).toEqual(['the 11th', 'the last day', 'the second Thursday']);
    expect(words('month', '2026-06-30')).toEqual([
      'the 30th, not in shorter months',
      'the 30th, or the last day of shorter months',
      'the last day',
      'the last Tuesday',
    ]);
    expect(words('year', '2028-02-29')).toHaveLength(2);
    expect(words('year', '2026-06-03')).toEqual(['3 June']);
  });

  it('keeps what another first day offers as well, and else takes the day itself', () => {
    const last: Repeat = { ...begun('2026-06-30'), on: 'last-weekday' };
    expect(fitting(last, '2026-06-25').on).toBe('last-weekday');
    expect(fitting(last, '2026-06-11').on).toBe('day');
  });
});

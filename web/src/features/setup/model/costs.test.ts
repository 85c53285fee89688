import { describe, expect, it } from 'vitest';
import type { Ledger } from '../../../shared/api/types';
import { numberOf, stockWords, whoseKey, whoseOf } from './costs';

it.each([
  ['0.0079', 0.0079],
  ['0,0079', 0.0079],
  [' 12 ', 12],
  ['10,000', 10_000],
  ['1,234.50', 1234.5],
  ['10 000', 10_000],
  ['-50', -50],
  ['', undefined],
  ['a lot', undefined],
  ['1.2.3', undefined],
])('the number %j is read as %s', (typed, read) => {
  expect(numberOf(typed)).toBe(read);
});

it.each([{ staffId: 3 }, { teamId: 2 }, {}])('whose an allowance is survives being chosen (%j)', (whose) => {
  expect(whoseOf(whoseKey({ ...whose, span: 'DAY', parts: 1 }))).toEqual(whose);
});

describe('parts bought ahead', () => {
  const one = { day: '2026-06-01', parts: 1000, price: 9, currency: 'USD', remark: '' };
  const ledger = (more: Partial<Ledger>): Ledger => ({ purchases: [one], left: 400, used: 600, ...more });

  it.each([
    [ledger({ lastsDays: 5 }), '600 used, 400 left, enough for about 5 days at the present pace.'],
    [ledger({ lastsDays: 1 }), '600 used, 400 left, enough for about 1 day at the present pace.'],
    [ledger({ lastsDays: 0 }), '600 used, 400 left, enough for less than a day.'],
    [ledger({}), '600 used, 400 left.'],
    [ledger({ left: -20, used: 1020, lastsDays: 0 }), '1020 used, 20 more than bought are used.'],
    [ledger({ purchases: [], left: 0, used: 0 }), 'No parts were bought ahead.'],
  ])('are said plainly (%#)', (is, said) => {
    expect(stockWords(is)).toBe(said);
  });
});

import { expect, it } from 'vitest';
import { money } from './money';

it.each([
  [12.3, 'USD', '$12.30'],
  [0.0158, 'USD', '$0.0158'],
  [0, 'USD', '$0.00'],
  [120, 'JPY', '¥120'],
  [1.5, 'JPY', '¥1.5'],
  [3, 'EUR', '€3.00'],
])('%d %s is said as %s', (amount, currency, said) => {
  expect(money({ amount, currency })).toBe(said);
});

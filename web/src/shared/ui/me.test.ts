import { expect, it } from 'vitest';
import { refusal } from './me';

it.each([
  [['TEXT'], ['Maren Oduya'], ''],
  [[], ['Maren Oduya'], 'You may not text customers. Maren Oduya can allow it.'],
  [['WORK'], ['Maren Oduya', 'Wen Zhao'], 'You may not text customers. Maren Oduya or Wen Zhao can allow it.'],
  [[], ['A', 'B', 'C'], 'You may not text customers. A lead can allow it.'],
  [[], [], 'You may not text customers. A lead can allow it.'],
] as const)('says who can allow what one may not: %j %j', (may, leads, words) => {
  expect(refusal({ may: [...may], leads: [...leads] }, 'TEXT')).toBe(words);
});

import { describe, expect, it } from 'vitest';
import type { Check } from '../../../shared/api/types';
import { checked } from '../../../testing/data';
import { below, costWords, leftWords, tightest } from './leaving';

const check = (more: Partial<Check>): Check => ({ ...checked, leaving: 'Yes.', ...more });

describe('what leaves', () => {
  it('below the words is what is appended to them', () => {
    expect(below(check({}), 'Yes.')).toBe('');
    expect(below(check({ leaving: 'Yes.\nQuillhaven\nReply STOP to opt out.' }), 'Yes.')).toBe(
      'Quillhaven\nReply STOP to opt out.',
    );
    expect(below(undefined, 'Yes.')).toBe('');
  });

  it('says nothing of an answer that belongs to other words', () => {
    expect(below(check({ leaving: 'No.\nQuillhaven' }), 'Yes.')).toBe('');
    expect(below(check({ leaving: 'Quillhaven' }), '')).toBe('');
  });
});

describe('allowances', () => {
  const day = { whose: 'Maren Oduya', span: 'today', limit: 40, used: 12 };
  const month = { whose: 'The business', span: 'this month', limit: 1000, used: 999 };

  it('show the one of which the least is left', () => {
    expect(tightest(check({ allowances: [day, month] }))).toBe(month);
    expect(tightest(check({}))).toBeUndefined();
  });

  it('never say that less than nothing is left', () => {
    expect(leftWords(day)).toBe('28 parts left today');
    expect(leftWords(month)).toBe('1 part left this month');
    expect(leftWords({ ...day, used: 50 })).toBe('no parts left today');
  });
});

it('costs nothing that is not known', () => {
  expect(costWords(check({}))).toBe('');
  expect(costWords(check({ cost: { amount: 0.0079, currency: 'USD' } }))).toBe('$0.0079');
});

import { describe, expect, it } from 'vitest';
import { standsIn } from './shown';

describe('what of a script is shown', () => {
  it.each([
    ['all', 'IN,OUT,NOTE,EVENT'],
    ['texts', 'IN,OUT'],
    ['notes', 'NOTE'],
    ['planned', ''],
  ] as const)('%s', (part, kinds) => {
    const all = ['IN', 'OUT', 'NOTE', 'EVENT'] as const;
    expect(all.filter((kind) => standsIn(part, { kind })).join(',')).toBe(kinds);
  });
});

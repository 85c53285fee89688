import { describe, expect, it } from 'vitest';
import { begunName, completed } from './mention';

describe('a name begun in a note', () => {
  it.each([
    ['@', ''],
    ['ask @pri', 'pri'],
    ['ask @Priya Na', 'Priya Na'],
    ['mail a@b', undefined],
    ['@Priya\nsaid', undefined],
    ['nothing', undefined],
  ])('is found before the cursor: %j', (words, begun) => {
    expect(begunName(words, words.length)).toBe(begun);
  });

  it('is completed in place, with the cursor after it', () => {
    expect(completed('ask @pri about it', 8, 'Priya Nandakumar')).toEqual({
      words: 'ask @Priya Nandakumar  about it',
      at: 22,
    });
  });
});

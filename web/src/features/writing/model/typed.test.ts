import { describe, expect, it } from 'vitest';
import { nextGap, putIn, shortNameBefore } from './typed';

describe('a short name', () => {
  const known = new Set(['lift', 'x-2']);
  it.each([
    ['lift', 'lift'],
    ['Yes. LIFT', 'LIFT'],
    ['a x-2', 'x-2'],
    ['uplift', undefined],
    ['lift ', undefined],
    ['the.lift', undefined],
    ['thanks', undefined],
  ])('counts only as a word of its own before the cursor: %j', (words, typed) => {
    expect(shortNameBefore(words, words.length, known)).toBe(typed);
  });
});

describe('words put in', () => {
  it('stand apart from the others, with the cursor behind them', () => {
    expect(putIn('Hi.lift', 3, 7, 'Up at 4.')).toEqual({ words: 'Hi. Up at 4.', from: 12, to: 12 });
    expect(putIn('a b', 2, 2, 'X')).toEqual({ words: 'a X b', from: 3, to: 3 });
    expect(putIn('', 0, 0, 'X')).toEqual({ words: 'X', from: 1, to: 1 });
  });
  it('have their first gap marked', () => {
    expect(putIn('ok ', 3, 3, 'See {Boat}.')).toEqual({ words: 'ok See {Boat}.', from: 7, to: 13 });
    expect(nextGap('{ 1 } and {2nd} and {Boat}', 0)).toEqual({ from: 20, to: 26 });
    expect(nextGap('{Boat} x', 1)).toBeUndefined();
  });
});

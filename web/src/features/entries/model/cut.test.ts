import { describe, expect, it } from 'vitest';
import { around, cut } from './cut';

const shown = (words: string, hits: { from: number; to: number }[], from = 0) =>
  cut(words, hits, from)
    .map((piece) => (piece.hit ? `[${piece.words}]` : piece.words))
    .join('');

describe('words with hits', () => {
  it.each([
    ['the lift slot', [], 0, 'the lift slot'],
    ['the lift slot', [{ from: 4, to: 8 }], 0, 'the [lift] slot'],
    [
      'lift lift',
      [
        { from: 0, to: 4 },
        { from: 5, to: 9 },
      ],
      0,
      '[lift] [lift]',
    ],
    [
      'slot',
      [
        { from: 4, to: 8 },
        { from: 9, to: 13 },
      ],
      9,
      '[slot]',
    ],
    ['ft sl', [{ from: 4, to: 11 }], 6, '[ft sl]'],
    ['short', [{ from: 40, to: 50 }], 0, 'short'],
  ])('%s', (words, hits, from, marked) => {
    expect(shown(words, hits, from)).toBe(marked);
  });

  it('begin near the first hit in a long text, and stand as they are in a short one', () => {
    const long = `${'word '.repeat(60)}lift here`;
    const near = around(long, [{ from: 300, to: 304 }]);
    expect(near.words.length).toBeLessThan(75);
    expect(shown(near.words, [{ from: 300, to: 304 }], near.from)).toMatch(/^word .*\[lift\] here$/);
    expect(around('a lift', [{ from: 2, to: 6 }])).toEqual({ words: 'a lift', from: 0 });
  });
});

import { expect, it } from 'vitest';
import { withNames } from './mentions';

const named = (words: string, names: string[]) =>
  withNames(words, names)
    .filter((piece) => piece.named)
    .map((piece) => piece.words);

it('makes those a note names stand out, by full or first name', () => {
  expect(named('@Priya Nandakumar and @wen, see below', ['Priya Nandakumar', 'Wen Zhao'])).toEqual([
    '@Priya Nandakumar',
    '@wen',
  ]);
  expect(withNames('nobody', [])).toEqual([{ words: 'nobody', named: false }]);
  expect(named('@Ann (x) and @A.B', ['A.B'])).toEqual(['@A.B']);
});

it('leaves all words as they are', () => {
  const words = 'Ask @Wen Zhao, then @Priya.';
  expect(
    withNames(words, ['Wen Zhao', 'Priya Nandakumar'])
      .map((piece) => piece.words)
      .join(''),
  ).toBe(words);
});

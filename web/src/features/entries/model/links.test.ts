import { expect, it } from 'vitest';
import { linked } from './links';

it.each([
  [
    'See https://quill.example/book?x=1.',
    [['See '], ['https://quill.example/book?x=1', 'https://quill.example/book?x=1'], ['.']],
  ],
  ['(www.quill.example)', [['('], ['www.quill.example', 'https://www.quill.example'], [')']]],
  ['http://a.example/b_(c) now', [['http://a.example/b_(c)', 'http://a.example/b_(c)'], [' now']]],
  ['javascript:alert(1) and mail a@www.x', [['javascript:alert(1) and mail a@'], ['www.x', 'https://www.x']]],
  ['no link', [['no link']]],
])('web addresses in words are links: %j', (words, expected) => {
  expect(linked(words).map(({ words: said, to }) => (to === undefined ? [said] : [said, to]))).toEqual(expected);
});

import { describe, expect, it } from 'vitest';
import { agreementWords, changeWords, groundWords } from './agreement';

const change = (more: object) => ({
  id: 1,
  numberId: 1,
  notedAt: '2026-06-09T19:05:00Z',
  given: true,
  service: true,
  news: true,
  ground: 'BY_WORD' as const,
  ...more,
});

describe('agreement', () => {
  it('is a shape and a word, with its ground', () => {
    expect(agreementWords({ answer: 'AGREED', ground: 'WROTE_FIRST' })).toBe('✓ agreed');
    expect(groundWords({ answer: 'AGREED', ground: 'WROTE_FIRST' })).toBe('they wrote first');
    expect(agreementWords({ answer: 'OPTED_OUT', ground: 'KEYWORD' })).toBe('× opted out');
    expect(agreementWords({ answer: 'NOT_SAID' })).toBe('○ not known');
    expect(groundWords({ answer: 'NOT_SAID' })).toBe('');
  });

  it('each change says what it is about', () => {
    expect(changeWords(change({}))).toBe('agreed to all texts');
    expect(changeWords(change({ news: false }))).toBe('agreed to answers and service texts');
    expect(changeWords(change({ given: false, service: false }))).toBe('opted out of news and offers');
  });
});

/// <reference types="vite/client" />
import { describe, expect, it } from 'vitest';
import typedTable from '../../../../core/src/test/resources/sentences-typed.txt?raw';
import table from '../../../../core/src/test/resources/sentences.txt?raw';
import { EVERYTHING, readSentence, writeSentence } from './conversations';

const sentences = table.split('\n').filter((line) => line !== '' && !line.startsWith('#'));

const typed = typedTable
  .split('\n')
  .filter((line) => line !== '' && !line.startsWith('#'))
  .map((line) => {
    const [text = '', meant = ''] = line.split(' ⇒');
    return [text, meant.replace(/^ !?/, '').trim()] as const;
  });

describe('a sentence', () => {
  it.each(typed)('typed as “%s” means “%s”, here as on the server', (text, meant) => {
    expect(writeSentence(readSentence(text))).toBe(meant);
  });

  it.each(sentences)('%s is read and written unchanged, here as on the server', (text) => {
    expect(readSentence(text)).not.toEqual(EVERYTHING);
    expect(writeSentence(readSentence(text))).toBe(text);
  });

  it('of nothing is everything', () => {
    expect(readSentence('')).toEqual(EVERYTHING);
    expect(writeSentence(EVERYTHING)).toBe('');
  });

  it('that somebody typed wrongly keeps what can be read', () => {
    expect(readSentence('mine; line zero; left; left x..y; last week; saying tow')).toEqual({
      ...EVERYTHING,
      whose: { kind: 'mine' },
      saying: 'tow',
    });
  });
});

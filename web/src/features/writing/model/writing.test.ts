import { describe, expect, it } from 'vitest';
import type { Parts } from '../../../shared/api/types';
import { newest, readSheet } from './draft';
import { forcingWords, meterWords, offerWords, sendWords } from './meter';

const parts = (more: Partial<Parts>): Parts => ({
  encoding: 'BASIC',
  parts: 1,
  units: 17,
  unitsLeft: 143,
  forcing: [],
  ...more,
});

describe('the part meter', () => {
  it('says parts and what is left', () => {
    expect(meterWords(parts({}))).toBe('1 part, 143 left');
    expect(meterWords(parts({ parts: 3, unitsLeft: 12 }))).toBe('3 parts, 12 left');
  });

  it('shows the dear characters, also those one cannot see', () => {
    expect(forcingWords(parts({ forcing: ['’', '…'] }))).toBe('’  …');
    expect(forcingWords(parts({ forcing: ['\u00a0'] }))).toBe('an unusual space (U+00A0)');
    expect(forcingWords(parts({ forcing: [...'абвгдежз'] }))).toBe('а  б  в  г  д  е and 2 more');
  });

  it('says what the plain wording is good for', () => {
    expect(offerWords(parts({}))).toBe('');
    expect(offerWords(parts({ plain: { words: 'x', parts: 1, saved: 2, unitsLeft: 4 } }))).toBe(
      'Use plain characters (saves 2 parts)',
    );
    expect(offerWords(parts({ plain: { words: 'x', parts: 1, saved: 0, unitsLeft: 90 } }))).toBe(
      'Use plain characters (leaves 90)',
    );
  });

  it('the button says what will happen', () => {
    expect(sendWords(undefined)).toBe('Send');
    expect(sendWords(parts({ parts: 3 }))).toBe('Send 3 parts');
  });
});

describe('drafts', () => {
  const local = { words: 'mine', reference: 'ref-local', at: 2_000 };
  const kept = (at: number) => ({ paper: 'REPLY' as const, words: 'kept', at: new Date(at).toISOString() });

  it('the newer one wins, and keeps the reference it was tried under', () => {
    expect(newest(local, kept(1_000), 'fresh')).toEqual(local);
    expect(newest(local, kept(3_000), 'fresh')).toEqual({ words: 'kept', reference: 'fresh', at: 3_000 });
    expect(newest(undefined, kept(3_000), 'fresh').words).toBe('kept');
    expect(newest(undefined, undefined, 'fresh')).toEqual({ words: '', reference: 'fresh', at: 0 });
  });

  it('what the browser kept reads back, and nonsense is no draft', () => {
    expect(readSheet(JSON.stringify(local))).toEqual(local);
    for (const nonsense of [null, '', '{', 'null', '{"words":1}']) expect(readSheet(nonsense)).toBeUndefined();
  });
});

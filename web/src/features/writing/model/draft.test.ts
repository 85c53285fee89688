import { describe, expect, it } from 'vitest';
import { afterSending, freshSheet, newest, readSheet, returned } from './draft';

describe('words begun', () => {
  const kept = { paper: 'REPLY' as const, words: 'from the server', at: '2026-06-09T19:00:00Z', seen: 7 };

  it('keep what stood there when they were begun, wherever they are read from', () => {
    expect(newest(undefined, kept, 'ref').seen).toBe(7);
    const local = { words: 'from here', reference: 'mine', at: Date.parse('2026-06-09T20:00:00Z'), seen: 9 };
    expect(newest(readSheet(JSON.stringify(local)), kept, 'ref')).toEqual(local);
  });

  it('go on under the reference they were tried with, also where this browser had none of them', () => {
    const tried = { ...kept, reference: 'tried' };
    expect(newest(undefined, tried, 'fresh')).toMatchObject({ words: 'from the server', reference: 'tried' });
    expect(newest(undefined, kept, 'fresh').reference).toBe('fresh');
    const older = { words: 'from the serv', reference: 'tried', at: 1 };
    expect(newest(older, tried, 'fresh')).toEqual(older);
    expect(newest({ ...older, reference: 'other' }, tried, 'fresh').reference).toBe('tried');
  });

  it.each([
    ['an empty paper', '', undefined, 'Back again', 'Back again'],
    ['what was written since', 'And more', undefined, 'Back again', 'Back again\nAnd more'],
    ['what the server kept since as well', 'And more', 'And', 'Back again\nAnd', 'Back again\nAnd more'],
  ])('come back to %s, above it', (_, words, before, words2, both) => {
    const local = { ...freshSheet('mine'), words };
    const given = { ...kept, words: words2 };
    const was = before === undefined ? undefined : { ...kept, words: before };
    expect(returned(local, given, was)?.words).toBe(both);
  });

  it('come back once, and never under the reference they waited with', () => {
    const local = { ...freshSheet('mine'), words: 'Back again, changed' };
    expect(returned(local, { ...kept, words: 'Back again' }, undefined)).toBeUndefined();
    expect(returned(freshSheet('mine'), { ...kept, reference: 'waited' }, undefined)).toBeUndefined();
    expect(returned(freshSheet('mine'), kept, undefined)?.reference).toBe('mine');
  });

  it('that came back are not put above what was written in their place, but others are', () => {
    const local = { ...freshSheet('mine'), words: 'Something else' };
    const given = { ...kept, words: 'Back again' };
    expect(returned(local, given, undefined, 'Back again')).toBeUndefined();
    expect(
      returned(local, given, { ...given, words: 'Something else', reference: 'mine' }, 'Back again'),
    ).toBeUndefined();
    expect(returned(local, { ...kept, words: 'Back again\nSome' }, undefined, 'Back again')).toBeUndefined();
    expect(returned(local, { ...kept, words: 'Back again, sooner' }, undefined, 'Back again')?.words).toBe(
      'Back again, sooner\nSomething else',
    );
  });

  it('kept before that was remembered are still words', () => {
    const old = JSON.stringify({ words: 'old', reference: 'r', at: 1 });
    expect(readSheet(old)).toEqual({ words: 'old', reference: 'r', at: 1 });
    expect(newest(undefined, { ...kept, seen: undefined }, 'ref').seen).toBeUndefined();
  });

  it.each([
    ['nothing more', 'Yes.', '', 'new'],
    ['more after them', 'Yes.\nAnd bring the key', 'And bring the key', 'new'],
    ['other words instead', 'No.', 'No.', 'new'],
    ['nothing at all', '', '', 'new'],
  ])('once they went out, with %s written meanwhile, leave what was not sent', (_, words, left, reference) => {
    const rest = afterSending({ words, reference: 'old', at: 1, seen: 7 }, { words: 'Yes.', reference: 'old' }, 'new');
    expect([rest.words, rest.reference]).toEqual([left, reference]);
  });

  it('that belong to another sending stay as they are', () => {
    const other = { ...freshSheet('another'), words: 'Yes.' };
    expect(afterSending(other, { words: 'Yes.', reference: 'old' }, 'new')).toBe(other);
  });
});

import { describe, expect, it } from 'vitest';
import type { Attachment } from '../../../shared/api/types';
import { boxOf, description, opensLarge, sizesWords, sizeWords, step } from './files';

const lift: Attachment = {
  id: 4,
  kind: 'PICTURE',
  name: 'lift.jpg',
  mediaType: 'image/jpeg',
  octets: 1_200_000,
  width: 1600,
  height: 1200,
  words: '',
  state: 'HERE',
  preview: true,
  shown: true,
};

describe('what is said of a file', () => {
  it.each([
    [0, '0 kB'],
    [1, '1 kB'],
    [84_000, '84 kB'],
    [84_001, '85 kB'],
    [999_999, '1000 kB'],
    [1_000_000, '1.0 MB'],
    [2_400_001, '2.5 MB'],
  ])('%d octets are %s', (octets, words) => expect(sizeWords(octets)).toBe(words));

  it('says what it was before only where that is seen', () => {
    expect(sizesWords({ ...lift, cameOctets: 4_800_000 })).toBe('1.2 MB, was 4.8 MB');
    expect(sizesWords({ ...lift, cameOctets: 1_200_001 })).toBe('1.2 MB, was 1.3 MB');
    expect(sizesWords(lift)).toBe('1.2 MB');
  });

  it('describes by the words of a person, else by kind and name', () => {
    expect(description(lift)).toBe('Picture lift.jpg');
    expect(description({ ...lift, words: 'The keel, with a crack' })).toBe('The keel, with a crack');
  });

  it.each([
    [{}, true],
    [{ shown: false }, true],
    [{ shown: false, preview: false }, false],
    [{ state: 'FETCHING' as const }, false],
    [{ kind: 'VIDEO' as const, preview: false }, true],
    [{ kind: 'PDF' as const }, false],
  ])('opens large where it can be shown: %o', (more, large) => expect(opensLarge({ ...lift, ...more })).toBe(large));

  it.each([
    [1600, 1200, 160],
    [300, 3000, 64],
    [9000, 300, 260],
    [undefined, undefined, 120],
  ])('%s by %s stands %s wide', (width, height, wide) =>
    expect(boxOf({ ...lift, width, height })).toEqual({ width: wide, height: 120 }),
  );

  it('steps from one to the next and stays at the ends', () => {
    const all = [{ id: 1 }, { id: 2 }, { id: 3 }];
    expect(step(all, 1, 1)?.id).toBe(2);
    expect(step(all, 3, 1)?.id).toBe(3);
    expect(step(all, 1, -1)?.id).toBe(1);
    expect(step([], 1, 1)).toBeUndefined();
  });
});

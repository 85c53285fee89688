import { describe, expect, it } from 'vitest';
import { chooseOn, isMarked, type Marked, noneMarked, runTo, toggle } from './marks';

const LISTED = [11, 12, 13, 14, 15, 16];
const none = noneMarked('our turn');

/** Steps with the key held, from a row. */
function walked(marked: Marked, rows: number[]): number[] {
  const end = rows.slice(1).reduce((had, row, i) => chooseOn(had, LISTED, rows[i], row), marked);
  return [...end.ids].sort();
}

describe('several that are chosen', () => {
  it('are chosen and left one by one', () => {
    const two = toggle(toggle(none, LISTED, 12), LISTED, 15);
    expect(two.ids).toEqual([12, 15]);
    expect(toggle(two, LISTED, 12).ids).toEqual([15]);
  });

  it.each([
    [
      [12, 13, 14],
      [12, 13, 14],
    ],
    [
      [14, 13, 12],
      [12, 13, 14],
    ],
    [
      [12, 13, 14, 13],
      [12, 13],
    ],
    [
      [13, 14, 13, 12],
      [12, 13],
    ],
    [
      [15, 16, 16],
      [15, 16],
    ],
  ])('by steps %j are %j', (rows, chosen) => {
    expect(walked(none, rows)).toEqual(chosen);
    expect(walked(toggle(none, LISTED, rows[0] ?? 0), rows)).toEqual(chosen);
  });

  it('begin at the first row when one stands nowhere', () => {
    expect(chooseOn(none, LISTED, undefined, 11).ids).toEqual([11]);
  });

  it('by steps leave what was chosen elsewhere', () => {
    expect(walked(toggle(none, LISTED, 16), [12, 13, 14, 13])).toEqual([12, 13, 16]);
    expect(walked(toggle(toggle(none, LISTED, 12), LISTED, 15), [12, 13])).toEqual([12, 13, 15]);
  });

  it('go up to a row, which may be another one after all', () => {
    const four = runTo(toggle(none, LISTED, 12), LISTED, 15);
    expect(four.ids).toEqual([12, 13, 14, 15]);
    expect(runTo(four, LISTED, 13).ids).toEqual([12, 13]);
    expect(runTo(four, LISTED, 11).ids).toEqual([11, 12]);
  });

  it('keep what is chosen when the beginning of a run has left the list', () => {
    const gone = toggle(none, LISTED, 12);
    expect(runTo(gone, [11, 13, 14], 14).ids).toEqual([12, 14]);
  });

  it('stay all when one walks on, and become those listed when one is left', () => {
    const all: Marked = { ...none, all: true };
    expect(chooseOn(all, LISTED, 12, 13)).toBe(all);
    expect(isMarked(all, 99)).toBe(true);
    expect(toggle(all, LISTED, 12)).toMatchObject({ ids: [11, 13, 14, 15, 16], all: false });
  });
});

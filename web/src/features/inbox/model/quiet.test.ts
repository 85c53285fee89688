import { describe, expect, it } from 'vitest';
import { hold } from './quiet';

const rows = (...ids: number[]) => ids.map((id) => ({ id, words: `fresh ${id}` }));
const shown = (...ids: number[]) => ids.map((id) => ({ id, words: `old ${id}` }));
const ids = (held: { rows: { id: number }[] }) => held.rows.map((row) => row.id);

describe('while one is about to click', () => {
  it('nothing waits when nothing changed, and rows show what is newly known', () => {
    const held = hold(shown(1, 2, 3), rows(1, 2, 3));
    expect(held).toEqual({ rows: rows(1, 2, 3), waiting: 0 });
  });

  it('what came, left and moved waits, and everything stays where it is', () => {
    const held = hold(shown(1, 2, 3, 4), rows(9, 1, 4, 3));
    expect(ids(held)).toEqual([1, 2, 3, 4]);
    expect(held.waiting).toBe(3);
    expect(held.rows[1]?.words).toBe('old 2');
  });

  it('what is read further down is added at once', () => {
    expect(ids(hold(shown(1, 2), rows(1, 2, 3, 4)))).toEqual([1, 2, 3, 4]);
    expect(hold(shown(1, 2), rows(1, 2, 3, 4)).waiting).toBe(0);
  });

  it('an empty list fills at once', () => {
    expect(ids(hold(shown(), rows(5, 6)))).toEqual([5, 6]);
  });

  it('a list that changed altogether waits as a whole', () => {
    const held = hold(shown(1, 2), rows(5, 6));
    expect(ids(held)).toEqual([1, 2]);
    expect(held.waiting).toBe(4);
  });
});

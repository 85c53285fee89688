import { expect, it } from 'vitest';
import { conversation } from '../../testing/data';
import { withChanges } from './stretches';
import type { Conversation, InboxPage } from './types';

/** The same sequence at every run. */
function random(seed: number) {
  let state = seed;
  return (below: number) => {
    state = (state * 48_271) % 2_147_483_647;
    return state % below;
  };
}

const at = (place: number) => new Date(Date.UTC(2026, 5, 9, 12, 0, place)).toISOString();

function page(all: [Conversation, number][], ascending: boolean, next?: string): InboxPage {
  return {
    rows: all.map(([row]) => row),
    places: all.map(([row, place]) => ({ conversationId: row.id, at: at(place) })),
    seen: [],
    ascending,
    next,
  };
}

it('after any changes a list shows what reading all its stretches again would show, as far as it was read', () => {
  const next = random(20261126);
  for (let run = 0; run < 400; run++) {
    const ascending = next(2) === 0;
    const places = new Map<number, number>();
    for (let id = 1; id <= 40; id++) if (next(3) > 0) places.set(id, next(50));
    const order = (of: Map<number, number>) =>
      [...of]
        .sort((a, b) => (ascending ? 1 : -1) * (a[1] - b[1] || a[0] - b[0]))
        .map(([id, place]) => [conversation(id), place] as [Conversation, number]);
    const read = order(places);
    const size = 1 + next(9);
    const stretches = Math.ceil(read.length / size);
    const shown = Math.max(1, stretches - next(3));
    const list = {
      pages: Array.from({ length: shown }, (_, i) =>
        page(read.slice(i * size, (i + 1) * size), ascending, i + 1 < stretches ? 'more' : undefined),
      ),
      pageParams: Array.from({ length: shown }, (_, i) => (i === 0 ? '' : 'more')),
    };
    const asked = Array.from({ length: 1 + next(6) }, () => 1 + next(45));
    const after = new Map(places);
    for (const id of asked) {
      if (next(3) === 0) after.delete(id);
      else after.set(id, next(50));
    }
    const now = page(
      order(after).filter(([row]) => asked.includes(row.id)),
      ascending,
    );
    const got = withChanges(list, asked, now).pages.flatMap((each) => each.rows.map((row) => row.id));
    const rest = shown < stretches ? read.slice(shown * size).map(([row]) => row.id) : [];
    const wanted = order(after).map(([row]) => row.id);
    // Behind the last row that stayed nothing is known but what follows there.
    const known = wanted.filter((id) => !rest.includes(id) || asked.includes(id));
    expect(known.slice(0, got.length), `run ${run}`).toEqual(got);
    if (shown === stretches) expect(got).toEqual(wanted);
  }
});

it('a row that a live message has made newer meanwhile is not made older', () => {
  const newer = { ...conversation(1), version: 9, lastWords: 'newer' };
  const list = { pages: [page([[newer, 1]], true)], pageParams: [''] };
  expect(withChanges(list, [1], page([[{ ...newer, version: 8 }, 3]], true)).pages[0]?.rows).toEqual([newer]);
});

import { useState } from 'react';

/** Several conversations that are chosen together. */
export interface Marks {
  ids: number[];
  /** All that the sentence means in the group, also those not read yet. */
  all: boolean;
  count: number;
  /** Whether anything is chosen, also when all that was is gone meanwhile. */
  any: boolean;
  has: (id: number) => boolean;
  /** Chooses one or leaves it; further takes in everything from the one chosen last. */
  mark: (id: number, further: boolean) => void;
  markAll: () => void;
  clear: () => void;
}

interface State {
  of: string;
  ids: number[];
  last: number | undefined;
  all: boolean;
}

function marked(state: State, listed: number[], id: number, further: boolean): State {
  const { of, ids, last, all } = state;
  const from = last === undefined ? -1 : listed.indexOf(last);
  const to = listed.indexOf(id);
  if (further && from >= 0 && to >= 0) {
    const span = listed.slice(Math.min(from, to), Math.max(from, to) + 1);
    return { of, ids: [...new Set([...ids, ...span])], last: id, all: false };
  }
  const had = all ? listed : ids;
  const next = had.includes(id) ? had.filter((each) => each !== id) : [...had, id];
  return { of, ids: next, last: id, all: false };
}

/**
 * @param of the list; in another one nothing is chosen
 * @param listed its rows in order
 * @param total how many there are, read or not
 */
export function useMarks(of: string, listed: number[], total: number): Marks {
  const none: State = { of, ids: [], last: undefined, all: false };
  const [state, setState] = useState(none);
  const { ids, all } = state.of === of ? state : none;
  const mark = (id: number, further: boolean) =>
    setState((had) => marked(had.of === of ? had : none, listed, id, further));
  return {
    ids,
    all,
    count: all ? total : ids.length,
    any: all || ids.length > 0,
    has: (id) => all || ids.includes(id),
    mark,
    markAll: () => setState({ ...none, all: true }),
    clear: () => setState(none),
  };
}

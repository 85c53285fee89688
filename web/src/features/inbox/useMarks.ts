import { useState } from 'react';
import { chooseOn, isMarked, noneMarked, runTo, toggle } from './model/marks';

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
  /** Goes on choosing by a step from one to the next, or back. */
  on: (here: number | undefined, next: number) => void;
  markAll: () => void;
  clear: () => void;
}

/**
 * @param of the list; in another one nothing is chosen
 * @param listed its rows in order
 * @param total how many there are, read or not
 */
export function useMarks(of: string, listed: number[], total: number): Marks {
  const none = noneMarked(of);
  const [state, setState] = useState(none);
  const here = (marked: typeof none) => (marked.of === of ? marked : none);
  const { ids, all } = here(state);
  return {
    ids,
    all,
    count: all ? total : ids.length,
    any: all || ids.length > 0,
    has: (id) => isMarked(here(state), id),
    mark: (id, further) => setState((had) => (further ? runTo : toggle)(here(had), listed, id)),
    on: (from, next) => setState((had) => chooseOn(here(had), listed, from, next)),
    markAll: () => setState({ ...none, all: true }),
    clear: () => setState(none),
  };
}

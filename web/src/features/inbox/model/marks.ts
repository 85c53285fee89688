/** Which rows of the list are chosen together. */
export interface Marked {
  /** The list they are chosen in; in another one nothing is chosen. */
  of: string;
  ids: number[];
  /** All that the sentence means in the group, also those not read yet. */
  all: boolean;
  /** From which row a run of chosen ones goes, and to which. */
  run?: { from: number; to: number };
}

export function noneMarked(of: string): Marked {
  return { of, ids: [], all: false };
}

export function isMarked(marked: Marked, id: number): boolean {
  return marked.all || marked.ids.includes(id);
}

function between(listed: number[], one: number, other: number): number[] {
  const [a, b] = [listed.indexOf(one), listed.indexOf(other)];
  return a < 0 || b < 0 ? [] : listed.slice(Math.min(a, b), Math.max(a, b) + 1);
}

/** Chooses one, or leaves it if it was chosen. */
export function toggle(marked: Marked, listed: number[], id: number): Marked {
  const had = marked.all ? listed : marked.ids;
  const ids = had.includes(id) ? had.filter((each) => each !== id) : [...had, id];
  return { of: marked.of, ids, all: false, run: { from: id, to: id } };
}

/** Lets the run go from where it began to this one, no further and no less; without one, or when its beginning has left, chooses the one. */
export function runTo(marked: Marked, listed: number[], id: number): Marked {
  const { run } = marked;
  const span = run ? between(listed, run.from, id) : [];
  if (!run || span.length === 0) {
    return { ...marked, ids: [...new Set([...marked.ids, id])], all: false, run: { from: id, to: id } };
  }
  const left = new Set(between(listed, run.from, run.to));
  const ids = new Set([...marked.ids.filter((each) => !left.has(each)), ...span]);
  return { of: marked.of, ids: [...ids], all: false, run: { from: run.from, to: id } };
}

/** Goes on choosing by a step from a row to the next; a step back towards where one began leaves the row again. */
export function chooseOn(marked: Marked, listed: number[], here: number | undefined, next: number): Marked {
  if (marked.all) return marked;
  const from = here ?? next;
  const goesOn = marked.run?.to === from && isMarked(marked, from);
  const begun = goesOn ? marked : { ...marked, ids: [...new Set([...marked.ids, from])], run: { from, to: from } };
  return runTo(begun, listed, next);
}

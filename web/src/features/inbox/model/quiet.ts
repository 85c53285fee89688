/** Changes of order wait for a quiet moment, so that nothing moves under the pointer. */

interface Row {
  id: number;
}

/** What is shown while changes wait, and how many wait. */
export interface Held<T> {
  rows: T[];
  waiting: number;
}

/**
 * The rows as they stand, with what is newly known of each. Rows read further down are added at once; what came in between, left, or
 * moved is counted and waits.
 */
export function hold<T extends Row>(shown: T[], fresh: T[]): Held<T> {
  const byId = new Map(fresh.map((row) => [row.id, row]));
  const known = new Set(shown.map((row) => row.id));
  const lastKnown = fresh.reduce((last, row, i) => (known.has(row.id) ? i : last), -1);
  const further = shown.length === 0 ? fresh : fresh.slice(lastKnown + 1);
  const added = fresh.slice(0, shown.length === 0 ? 0 : lastKnown + 1).filter((row) => !known.has(row.id)).length;
  const gone = shown.filter((row) => !byId.has(row.id)).length;
  const places = new Map(fresh.map((row, i) => [row.id, i]));
  const order = shown.flatMap((row) => places.get(row.id) ?? []);
  return {
    rows: [...shown.map((row) => byId.get(row.id) ?? row), ...(lastKnown < 0 && shown.length > 0 ? [] : further)],
    waiting:
      added + gone + (order.length - longestRise(order)) + (lastKnown < 0 && shown.length > 0 ? fresh.length : 0),
  };
}

/** The length of the longest rising part of a sequence: all but these have moved. */
function longestRise(sequence: number[]): number {
  const ends: number[] = [];
  for (const value of sequence) {
    const at = ends.findIndex((end) => end >= value);
    ends[at < 0 ? ends.length : at] = value;
  }
  return ends.length;
}

/** "3 changes wait" */
export function waitingWords(waiting: number): string {
  return waiting === 1 ? '1 new change' : `${waiting} new changes`;
}

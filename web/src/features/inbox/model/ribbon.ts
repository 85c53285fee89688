/** Where marks stand on the time ribbon, what a span dragged there means, and what it says in words. */

const HOUR = 3600;
const MINUTE = 60;
/** Beyond these, left and right, everything stands at the edge. */
const MOST_LATE = 24 * HOUR;
const MOST_COMFORTABLE = 40 * HOUR;

/** Shares of the width: what is late, the next hour (which decides the day), the rest of a working day, and beyond. */
const NOW = 0.26;
const HOUR_END = 0.64;
const DAY_END = 0.86;
const DAY = 8 * HOUR;

/** A tick of the scale. */
export interface Tick {
  at: number;
  words: string;
}

/**
 * The place of a mark, 0 at the left edge and 1 at the right. It never goes down when more time is left. The next hour is drawn
 * evenly; what is late, and what is far off, by the root or the logarithm of its time, so that the urgent has room.
 */
export function place(secondsLeft: number): number {
  if (secondsLeft < 0) return NOW * (1 - Math.sqrt(Math.min(-secondsLeft, MOST_LATE) / MOST_LATE));
  if (secondsLeft <= HOUR) return NOW + (HOUR_END - NOW) * (secondsLeft / HOUR);
  if (secondsLeft <= DAY)
    return HOUR_END + (DAY_END - HOUR_END) * (Math.log(secondsLeft / HOUR) / Math.log(DAY / HOUR));
  const far = Math.min(secondsLeft, MOST_COMFORTABLE);
  return DAY_END + (1 - DAY_END) * (Math.log(far / DAY) / Math.log(MOST_COMFORTABLE / DAY));
}

/** The time left at a place: what {@link place} undoes. At the edges it is without bound. */
export function timeAt(at: number): number {
  if (at <= NOW) return 0 - Math.round(((NOW - at) / NOW) ** 2 * MOST_LATE);
  if (at <= HOUR_END) return Math.round(((at - NOW) / (HOUR_END - NOW)) * HOUR);
  if (at <= DAY_END) return Math.round(HOUR * (DAY / HOUR) ** ((at - HOUR_END) / (DAY_END - HOUR_END)));
  return Math.round(DAY * (MOST_COMFORTABLE / DAY) ** ((at - DAY_END) / (1 - DAY_END)));
}

/** Nearer to an edge than this, a drag means everything beyond. */
const EDGE = 0.015;

/** The span between two places, in whole minutes; empty when it is no span. */
export function spanBetween(a: number, b: number): { from?: number; to?: number } | undefined {
  const [low, high] = a < b ? [a, b] : [b, a];
  const from = low < EDGE ? undefined : Math.floor(timeAt(low) / MINUTE);
  const to = high > 1 - EDGE ? undefined : Math.ceil(timeAt(high) / MINUTE);
  if (from === undefined && to === undefined) return undefined;
  if (from !== undefined && to !== undefined && from >= to) return undefined;
  return { ...(from === undefined ? {} : { from }), ...(to === undefined ? {} : { to }) };
}

export const TICKS: Tick[] = [
  [-8 * HOUR, 'late 8 h'],
  [-HOUR, 'late 1 h'],
  [0, 'now'],
  [15 * MINUTE, '15 min'],
  [30 * MINUTE, '30 min'],
  [45 * MINUTE, '45 min'],
  [HOUR, '1 h'],
  [2 * HOUR, '2 h'],
  [4 * HOUR, '4 h'],
  [8 * HOUR, '8 h'],
].map(([seconds, words]) => ({ at: place(seconds as number), words: words as string }));

/** A mark with its column and its height in the stack there. */
export interface Standing {
  column: number;
  level: number;
  /** How many stand in this column. */
  of: number;
}

/** Puts marks that would collide on top of each other; what is more urgent stands lower. Marks come in order of time left. */
export function stack(secondsLeft: number[], columns: number): Standing[] {
  const heights = new Map<number, number>();
  const standings = secondsLeft.map((seconds) => {
    const column = Math.min(columns - 1, Math.round(place(seconds) * (columns - 1)));
    const level = heights.get(column) ?? 0;
    heights.set(column, level + 1);
    return { column, level };
  });
  return standings.map((standing) => ({ ...standing, of: heights.get(standing.column) ?? 1 }));
}

/** More than these in one column are a crowd: the most urgent are drawn, and the number of all stands above them. */
const MOST_DRAWN = 6;
const DRAWN_OF_CROWD = 2;

/** A column in which more stand than can be told apart. */
export interface Crowd {
  column: number;
  of: number;
  /** What it spans, in whole minutes of time left. */
  from: number;
  to: number;
}

export function isCrowd(of: number): boolean {
  return of > MOST_DRAWN;
}

/** How high a mark is drawn, in levels; those of a crowd that are not drawn share the place of its number. */
export function drawnLevel({ level, of }: Standing): { level: number; hidden: boolean } {
  const hidden = isCrowd(of) && level >= DRAWN_OF_CROWD;
  return { level: hidden ? DRAWN_OF_CROWD : level, hidden };
}

/** The crowds among marks that come in order of time left. */
export function crowds(secondsLeft: number[], standings: Standing[]): Crowd[] {
  const found = new Map<number, Crowd>();
  standings.forEach(({ column, of }, i) => {
    if (!isCrowd(of)) return;
    const minutes = (secondsLeft[i] ?? 0) / MINUTE;
    const known = found.get(column);
    found.set(column, {
      column,
      of,
      from: Math.min(known?.from ?? Infinity, Math.floor(minutes)),
      to: Math.max(known?.to ?? -Infinity, Math.ceil(minutes) + (Number.isInteger(minutes) ? 1 : 0)),
    });
  });
  return [...found.values()];
}

/** How far apart marks of one column stand: side by side while there is room, closer where many share a moment. */
export function spacing(of: number, room: number, mark: number): number {
  if (of <= 1) return 0;
  return isCrowd(of) ? mark : Math.min(mark, (room - mark) / (of - 1));
}

/** "3 late, 5 within the hour, next promise 14:20" */
export function ribbonWords(secondsLeft: number[], nextDue: string | undefined): string {
  if (secondsLeft.length === 0) return 'Nobody is waiting for us.';
  const late = secondsLeft.filter((seconds) => seconds < 0).length;
  const hour = secondsLeft.filter((seconds) => seconds >= 0 && seconds <= HOUR).length;
  const later = secondsLeft.length - late - hour;
  return [
    late > 0 ? `${late} late` : 'nothing late',
    hour > 0 && `${hour} within the hour`,
    later > 0 && `${later} later`,
    nextDue !== undefined && `next promise ${nextDue}`,
  ]
    .filter(Boolean)
    .join(', ');
}

import type { OpeningSpan } from '../api/types';

/** Opening hours on a week that is drawn: days are rows, from midnight to six in the morning of the next day. */

export const DAYS = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'];
const A_DAY = 24 * 60;
/** How far past midnight the drawing goes, in minutes from the beginning of the day. */
export const WIDTH = 30 * 60;
const STEP = 15;
const SHORTEST = 15;

/** The minute at a place of the drawing, on a quarter of an hour. */
export function minuteAt(share: number): number {
  return Math.min(WIDTH, Math.max(0, Math.round((share * WIDTH) / STEP) * STEP));
}

/** "8:00", "24:00", and past midnight "2:00 next day" */
export function time(minute: number): string {
  const past = minute > A_DAY;
  const of = past ? minute - A_DAY : minute;
  return `${Math.floor(of / 60)}:${String(of % 60).padStart(2, '0')}${past ? ' next day' : ''}`;
}

/** The span between two minutes of a day, whichever comes first; it begins before midnight and is no longer than a day. */
export function spanOf(day: number, a: number, b: number): OpeningSpan {
  const from = Math.min(A_DAY - SHORTEST, Math.min(a, b));
  const to = Math.max(from + SHORTEST, Math.max(a, b));
  return { day, from, to: Math.min(to, from + A_DAY) };
}

export type Grip = 'from' | 'to' | 'both';

/** The span pulled by one of its ends, or as a whole. */
export function pulled(span: OpeningSpan, grip: Grip, by: number): OpeningSpan {
  if (grip === 'both') {
    const shift = Math.min(WIDTH - span.to, A_DAY - SHORTEST - span.from, Math.max(-span.from, by));
    return { ...span, from: span.from + shift, to: span.to + shift };
  }
  if (grip === 'from') {
    const from = Math.min(span.to - SHORTEST, A_DAY - SHORTEST, Math.max(0, span.to - A_DAY, span.from + by));
    return { ...span, from };
  }
  return { ...span, to: Math.max(span.from + SHORTEST, Math.min(WIDTH, span.from + A_DAY, span.to + by)) };
}

export function inOrder(week: OpeningSpan[]): OpeningSpan[] {
  return [...week].sort((a, b) => a.day - b.day || a.from - b.from);
}

/** "Mon–Fri 8:00–12:00 and 13:00–17:00, Sat 8:00–12:00" */
export function weekWords(week: OpeningSpan[]): string {
  if (week.length === 0) return 'Always open.';
  const days = DAYS.map((_, i) =>
    inOrder(week)
      .filter((span) => span.day === i + 1)
      .map((span) => `${time(span.from)}–${time(span.to)}`)
      .join(' and '),
  );
  const parts: string[] = [];
  for (let first = 0; first < 7; first++) {
    const hours = days[first];
    if (!hours) continue;
    let last = first;
    while (days[last + 1] === hours) last++;
    parts.push(`${DAYS[first] ?? ''}${last > first ? `–${DAYS[last] ?? ''}` : ''} ${hours}`);
    first = last;
  }
  return parts.join(', ');
}

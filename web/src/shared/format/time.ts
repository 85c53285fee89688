/** Times as people say them, in the zone of the line they belong to. */

import { format } from './formats';

function parts(at: Date, zone: string, options: Intl.DateTimeFormatOptions): string {
  return format('en-US', zone, JSON.stringify(options), options).format(at);
}

function dayKey(at: Date, zone: string): string {
  return format('en-CA', zone, 'day', {}).format(at);
}

/** "14:05" */
export function clock(at: Date, zone: string): string {
  return format('en-GB', zone, 'clock', { hour: '2-digit', minute: '2-digit' }).format(at);
}

/** "today", "yesterday", "tomorrow", "Tue 9 Jun", and with the year when it is another. */
export function day(at: Date, now: Date, zone: string): string {
  const key = dayKey(at, zone);
  if (key === dayKey(now, zone)) return 'today';
  if (key === dayKey(new Date(now.getTime() - 86_400_000), zone)) return 'yesterday';
  if (key === dayKey(new Date(now.getTime() + 86_400_000), zone)) return 'tomorrow';
  const named = `${parts(at, zone, { weekday: 'short' })} ${parts(at, zone, { day: 'numeric' })} ${parts(at, zone, { month: 'short' })}`;
  const year = parts(at, zone, { year: 'numeric' });
  return year === parts(now, zone, { year: 'numeric' }) ? named : `${named} ${year}`;
}

/** "today 14:05" */
export function moment(at: Date, now: Date, zone: string): string {
  return `${day(at, now, zone)} ${clock(at, zone)}`;
}

/** The full time and zone, for the person who hovers. */
export function fullMoment(at: Date, zone: string): string {
  return parts(at, zone, { dateStyle: 'full', timeStyle: 'long' });
}

/** "just now", "12 min", "1 h 05", "3 days" */
export function span(from: Date, to: Date): string {
  const minutes = Math.floor(Math.max(0, to.getTime() - from.getTime()) / 60_000);
  if (minutes < 1) return 'just now';
  if (minutes < 60) return `${minutes} min`;
  if (minutes < 24 * 60) return `${Math.floor(minutes / 60)} h ${String(minutes % 60).padStart(2, '0')}`;
  const days = Math.floor(minutes / (24 * 60));
  return days === 1 ? '1 day' : `${days} days`;
}

/** "45 min", "4 h", "1 h 30": a length of time in minutes. */
export function duration(minutes: number): string {
  if (minutes < 60) return `${minutes} min`;
  const rest = minutes % 60;
  return `${Math.floor(minutes / 60)} h${rest === 0 ? '' : ` ${String(rest).padStart(2, '0')}`}`;
}

/** How urgent an answer is. */
export type Urgency = 'late' | 'soon' | 'fine';

const SOON_SECONDS = 15 * 60;

export function urgency(secondsLeft: number): Urgency {
  if (secondsLeft < 0) return 'late';
  return secondsLeft < SOON_SECONDS ? 'soon' : 'fine';
}

/** "12 min left", "late 1 h 05", "due now": working time till the promise is broken, in seconds. */
export function timeLeft(secondsLeft: number): string {
  const words = span(new Date(0), new Date(Math.abs(secondsLeft) * 1000));
  if (words === 'just now') return 'due now';
  return secondsLeft < 0 ? `late ${words}` : `${words} left`;
}

/** Whether two moments lie on one day there. */
export function sameDay(a: Date, b: Date, zone: string): boolean {
  return dayKey(a, zone) === dayKey(b, zone);
}

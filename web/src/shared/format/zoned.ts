/** Times of a place, as people type them, and instants. */

import { format } from './formats';

/** What the clocks of a place show at an instant, as if it were UTC. */
function wall(at: Date, zone: string): number {
  const parts = format('en-US', zone, 'wall', {
    hourCycle: 'h23',
    year: 'numeric',
    month: 'numeric',
    day: 'numeric',
    hour: 'numeric',
    minute: 'numeric',
    second: 'numeric',
  }).formatToParts(at);
  const part = (type: string) => Number(parts.find((each) => each.type === type)?.value);
  return Date.UTC(part('year'), part('month') - 1, part('day'), part('hour'), part('minute'), part('second'));
}

/** "2026-06-10T07:30" as the clocks of a place show it, as an instant. An hour that is skipped there counts as the one after it. */
export function instantOf(local: string, zone: string): Date {
  const wanted = Date.parse(`${local}:00Z`);
  const first = new Date(wanted - (wall(new Date(wanted), zone) - wanted));
  return new Date(first.getTime() - (wall(first, zone) - wanted));
}

/** "2026-06-10T07:30": what the clocks of a place show. */
export function localOf(at: Date, zone: string): string {
  return new Date(wall(at, zone)).toISOString().slice(0, 16);
}

import { describe, expect, it } from 'vitest';
import { instantOf, localOf } from './zoned';

describe('times of a place', () => {
  it.each([
    ['2026-06-10T07:30', 'America/Chicago', '2026-06-10T12:30:00.000Z'],
    ['2026-01-10T07:30', 'America/New_York', '2026-01-10T12:30:00.000Z'],
    ['2026-03-08T01:59', 'America/Chicago', '2026-03-08T07:59:00.000Z'],
    ['2026-03-08T03:00', 'America/Chicago', '2026-03-08T08:00:00.000Z'],
    ['2026-11-01T03:00', 'America/Chicago', '2026-11-01T09:00:00.000Z'],
    ['2026-06-10T00:00', 'Asia/Kathmandu', '2026-06-09T18:15:00.000Z'],
  ])('%s in %s is %s, and back', (local, zone, instant) => {
    expect(instantOf(local, zone).toISOString()).toBe(instant);
    expect(localOf(new Date(instant), zone)).toBe(local);
  });
});

import { describe, expect, it } from 'vitest';
import { clock, day, fullMoment, moment, sameDay, span, timeLeft, urgency } from './time';

const zone = 'America/Chicago';
const now = new Date('2026-06-09T19:05:00Z');

describe('times are said as people say them, in the zone of the line', () => {
  it.each([
    ['2026-06-09T19:05:00Z', 'today 14:05'],
    ['2026-06-09T05:00:00Z', 'today 00:00'],
    ['2026-06-09T04:59:00Z', 'yesterday 23:59'],
    ['2026-06-02T19:05:00Z', 'Tue 2 Jun 14:05'],
    ['2025-12-24T18:00:00Z', 'Wed 24 Dec 2025 12:00'],
  ])('%s is %s', (at, said) => {
    expect(moment(new Date(at), now, zone)).toBe(said);
  });

  it('tells the full time and zone to whoever hovers', () => {
    expect(fullMoment(now, zone)).toContain('Tuesday, June 9, 2026');
    expect(fullMoment(now, zone)).toContain('CDT');
  });

  it('keeps apart the two hours that look alike when clocks go back', () => {
    expect(clock(new Date('2026-11-01T06:30:00Z'), zone)).toBe('01:30');
    expect(clock(new Date('2026-11-01T07:30:00Z'), zone)).toBe('01:30');
    expect(day(new Date('2026-11-01T04:30:00Z'), new Date('2026-11-01T15:00:00Z'), zone)).toBe('yesterday');
  });

  it('knows the day by the zone, not by the browser', () => {
    expect(sameDay(new Date('2026-06-10T04:00:00Z'), now, zone)).toBe(true);
    expect(sameDay(new Date('2026-06-10T05:00:00Z'), now, zone)).toBe(false);
  });
});

describe('a wait is said in words', () => {
  it.each([
    [0, 'just now'],
    [59, 'just now'],
    [60, '1 min'],
    [59 * 60 + 59, '59 min'],
    [65 * 60, '1 h 05'],
    [23 * 3600 + 59 * 60, '23 h 59'],
    [24 * 3600, '1 day'],
    [75 * 3600, '3 days'],
    [-30, 'just now'],
  ])('%s seconds are %s', (seconds, said) => {
    expect(span(now, new Date(now.getTime() + seconds * 1000))).toBe(said);
  });
});

describe('what is left of a promise', () => {
  it.each([
    [12 * 60, '12 min left', 'soon'],
    [15 * 60, '15 min left', 'fine'],
    [-65 * 60, 'late 1 h 05', 'late'],
    [30, 'due now', 'soon'],
    [-30, 'due now', 'late'],
    [50 * 3600, '2 days left', 'fine'],
  ])('%s seconds are "%s" and %s', (seconds, said, urgent) => {
    expect(timeLeft(seconds)).toBe(said);
    expect(urgency(seconds)).toBe(urgent);
  });
});

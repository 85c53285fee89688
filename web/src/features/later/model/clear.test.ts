import { expect, it } from 'vitest';
import { clearTime } from './clear';

const NOW = new Date('2026-06-09T19:05:00Z');

it.each([
  ['2026-06-11T19:30:00Z', 'America/New_York', 'Thu 11 Jun 14:30 Central, 15:30 for them'],
  ['2026-06-11T19:30:00Z', 'America/Chicago', 'Thu 11 Jun 14:30 Central'],
  ['2026-06-11T19:30:00Z', 'America/Winnipeg', 'Thu 11 Jun 14:30 Central'],
  ['2026-06-12T04:30:00Z', 'America/New_York', 'Thu 11 Jun 23:30 Central, Fri 12 Jun 00:30 for them'],
  ['2026-06-10T19:30:00Z', 'America/New_York', 'tomorrow 14:30 Central, 15:30 for them'],
])('a time is said by both clocks: %s in %s', (at, theirs, words) => {
  expect(clearTime(new Date(at), NOW, 'America/Chicago', theirs)).toBe(words);
});

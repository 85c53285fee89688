import { clock, day, format, moment } from '../../../shared/format';

/** "Central": whose clocks a time is told by, as people call them. */
export function zoneName(at: Date, zone: string): string {
  const named = format('en-US', zone, 'name of the zone', { timeZoneName: 'longGeneric' })
    .formatToParts(at)
    .find(({ type }) => type === 'timeZoneName')?.value;
  return (named ?? zone).replace(/ (Standard )?Time$/, '');
}

/** "Thu 11 Jun 14:30 Central, 15:30 for them" */
export function clearTime(at: Date, now: Date, zone: string, theirs: string): string {
  const ours = `${moment(at, now, zone)} ${zoneName(at, zone)}`;
  if (clock(at, zone) === clock(at, theirs)) return ours;
  const same = day(at, now, zone) === day(at, now, theirs);
  return `${ours}, ${same ? clock(at, theirs) : moment(at, now, theirs)} for them`;
}

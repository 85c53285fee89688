/** Rules by which a text goes again, as blanks of a sentence and as text of RFC 5545. */

export type Unit = 'day' | 'week' | 'month' | 'year';

/** On which day of a month: its number, or the last day; where it is missing left out or the last; or a weekday of the month. */
export type On = 'day' | 'day-or-last' | 'last' | 'nth' | 'last-weekday';

export interface Repeat {
  unit: Unit;
  every: number;
  /** Monday is 0; for weeks. */
  days: number[];
  on: On;
  end: { kind: 'never' } | { kind: 'times'; times: number } | { kind: 'until'; day: string };
}

const CODES = ['MO', 'TU', 'WE', 'TH', 'FR', 'SA', 'SU'];
export const DAYS = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'];
const MONTHS = 'January February March April May June July August September October November December'.split(' ');
const FREQ: Record<Unit, string> = { day: 'DAILY', week: 'WEEKLY', month: 'MONTHLY', year: 'YEARLY' };
const NTH = ['first', 'second', 'third', 'fourth'];

/** A day as its parts: "2026-06-11". */
function partsOf(first: string) {
  const [year = 0, month = 1, day = 1] = first.split('-').map(Number);
  const weekday = (new Date(Date.UTC(year, month - 1, day)).getUTCDay() + 6) % 7;
  const length = new Date(Date.UTC(year, month, 0)).getUTCDate();
  return { month, day, weekday, length };
}

/** What is chosen at first: every month on that day. */
export function begun(first: string): Repeat {
  return { unit: 'month', every: 1, days: [partsOf(first).weekday], on: 'day', end: { kind: 'never' } };
}

function monthDay(day: number, shortest: number, longest: number, orLast: boolean): string {
  if (!orLast || day <= shortest) return `BYMONTHDAY=${day}`;
  if (day === longest) return 'BYMONTHDAY=-1';
  const days = Array.from({ length: day - shortest + 1 }, (_, i) => shortest + i);
  return `BYMONTHDAY=${days.join(',')};BYSETPOS=-1`;
}

function dates(repeat: Repeat, first: string): string {
  const { month, day, weekday } = partsOf(first);
  switch (repeat.unit) {
    case 'day':
      return '';
    case 'week':
      return `;BYDAY=${[...repeat.days]
        .sort((a, b) => a - b)
        .map((each) => CODES[each])
        .join(',')};WKST=MO`;
    case 'year': {
      const [shortest, longest] = month === 2 ? [28, 29] : [31, 31];
      return `;BYMONTH=${month};${monthDay(day, shortest, longest, repeat.on === 'day-or-last')}`;
    }
    case 'month':
      switch (repeat.on) {
        case 'last':
          return ';BYMONTHDAY=-1';
        case 'nth':
          return `;BYDAY=${Math.ceil(day / 7)}${CODES[weekday]}`;
        case 'last-weekday':
          return `;BYDAY=-1${CODES[weekday]}`;
        default:
          return `;${monthDay(day, 28, 31, repeat.on === 'day-or-last')}`;
      }
  }
}

/** The rule as text, for a first day. */
export function ruleOf(repeat: Repeat, first: string): string {
  const every = repeat.every > 1 ? `;INTERVAL=${repeat.every}` : '';
  const { end } = repeat;
  const ends =
    end.kind === 'times' ? `;COUNT=${end.times}` : end.kind === 'until' ? `;UNTIL=${end.day.replaceAll('-', '')}` : '';
  return `FREQ=${FREQ[repeat.unit]}${dates(repeat, first)}${every}${ends}`;
}

/** The blanks of a rule as the server keeps it. */
export function repeatOf(rule: string, first: string): Repeat {
  const said = new Map(rule.split(';').map((part) => part.split('=') as [string, string]));
  const unit = (Object.keys(FREQ) as Unit[]).find((each) => FREQ[each] === said.get('FREQ')) ?? 'day';
  const byDay = said.get('BYDAY') ?? '';
  const until = said.get('UNTIL');
  const times = said.get('COUNT');
  const begin = begun(first);
  const on = (): On => {
    if (unit === 'month' && byDay !== '') return byDay.startsWith('-1') ? 'last-weekday' : 'nth';
    if (said.get('BYMONTHDAY') === '-1') return unit === 'year' ? 'day-or-last' : 'last';
    return said.has('BYSETPOS') ? 'day-or-last' : 'day';
  };
  return {
    unit,
    every: Number(said.get('INTERVAL') ?? 1),
    days: unit === 'week' ? byDay.split(',').map((code) => CODES.indexOf(code)) : begin.days,
    on: on(),
    end: until
      ? { kind: 'until', day: `${until.slice(0, 4)}-${until.slice(4, 6)}-${until.slice(6)}` }
      : times
        ? { kind: 'times', times: Number(times) }
        : { kind: 'never' },
  };
}

function ordinal(day: number): string {
  const teen = Math.floor(day / 10) === 1;
  return `${day}${teen ? 'th' : (['th', 'st', 'nd', 'rd'][day % 10] ?? 'th')}`;
}

/** On which days it can go, as the first day suggests them. */
export function choices(unit: Unit, first: string): { value: On; words: string }[] {
  const { month, day, weekday, length } = partsOf(first);
  const name = DAYS[weekday] ?? '';
  if (unit === 'year') {
    const date = `${day} ${MONTHS[month - 1] ?? ''}`;
    return month === 2 && day === 29
      ? [
          { value: 'day', words: `${date}, in leap years only` },
          { value: 'day-or-last', words: `${date}, in other years on 28 February` },
        ]
      : [{ value: 'day', words: date }];
  }
  if (unit !== 'month') return [];
  const nth = Math.ceil(day / 7);
  return [
    ...(day > 28
      ? [
          { value: 'day' as const, words: `the ${ordinal(day)}, not in shorter months` },
          ...(day < 31
            ? [{ value: 'day-or-last' as const, words: `the ${ordinal(day)}, or the last day of shorter months` }]
            : []),
        ]
      : [{ value: 'day' as const, words: `the ${ordinal(day)}` }]),
    { value: 'last', words: 'the last day' },
    ...(nth <= 4 ? [{ value: 'nth' as const, words: `the ${NTH[nth - 1] ?? ''} ${name}` }] : []),
    ...(day > length - 7 ? [{ value: 'last-weekday' as const, words: `the last ${name}` }] : []),
  ];
}

/** The same rule with another first day: what that day does not offer becomes its own day of the month. */
export function fitting(repeat: Repeat, first: string): Repeat {
  const offered = choices(repeat.unit, first);
  const fits = offered.length === 0 || offered.some(({ value }) => value === repeat.on);
  return fits ? repeat : { ...repeat, on: offered[0]?.value ?? 'day' };
}

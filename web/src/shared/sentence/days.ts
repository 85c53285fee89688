import { after, counted, part, type Piece } from './grammar';

/** Days of the last text: the last few, or between two dates. */
export interface Days {
  last?: number | undefined;
  from?: string | undefined;
  to?: string | undefined;
}

const MOST_DAYS = 3_660;

export const BETWEEN = 'dates';
const DAYS = [
  { value: '1', words: 'today' },
  { value: '7', words: 'in the last 7 days' },
  { value: '30', words: 'in the last 30 days' },
  { value: BETWEEN, words: 'between two dates' },
];

function isDay(date: string): boolean {
  const at = /^\d{4}-\d\d-\d\d$/.test(date) ? new Date(`${date}T00:00:00Z`) : undefined;
  if (!at || Number.isNaN(at.getTime())) return false;
  return at.toISOString().startsWith(date) && date >= '1900-01-01' && date <= '2199-12-31';
}

/** The clauses of some days. */
export function writeDays(said: Days | undefined): string[] {
  return [
    said?.last !== undefined && `last ${said.last}`,
    said?.from && `from ${said.from}`,
    said?.to && `to ${said.to}`,
  ].filter((clause) => typeof clause === 'string');
}

/** What days a clause adds to those that are said; undefined when it adds none. */
export function readDays(clause: string, said: Days | undefined): Days | undefined {
  const last = counted(after('last', clause), MOST_DAYS);
  if (last !== undefined) return said === undefined ? { last } : undefined;
  for (const side of ['from', 'to'] as const) {
    const date = after(side, clause);
    if (date === undefined || !isDay(date) || said?.last !== undefined || said?.[side] !== undefined) continue;
    const next = { ...said, [side]: date };
    return next.from !== undefined && next.to !== undefined && next.to < next.from ? undefined : next;
  }
  return undefined;
}

/** The part of a sentence that is about days: what the menu offers it as, and what leads in. */
export function daysPart<S extends { days?: Days | undefined }, G extends { today: string }>(
  menu: string,
  lead: string,
) {
  return part<S, 'days', G>({
    field: 'days',
    unsaid: undefined,
    menu,
    begin: () => ({ last: 7 }),
    goesOn: true,
    write: writeDays,
    read: readDays,
    say: (said, { today }) => {
      const last = said?.last;
      return [
        lead,
        {
          kind: 'choice',
          name: 'Days',
          value: last === undefined ? BETWEEN : String(last),
          options: dayOptions(last),
          filled: (value) => chosenDays(value, today),
        },
        ...(last === undefined ? betweenPieces(said) : []),
      ];
    },
  });
}

/** What days can be chosen, with those that are said. */
export function dayOptions(last: number | undefined) {
  const isOwn = last !== undefined && !DAYS.some(({ value }) => value === String(last));
  return [...(isOwn ? [{ value: String(last), words: `in the last ${last} days` }] : []), ...DAYS];
}

/** The days of a choice. */
export function chosenDays(value: string, today: string): Days {
  return value === BETWEEN ? { from: today } : { last: Number(value) };
}

/** The blanks of two dates. */
export function betweenPieces(said: Days | undefined): Piece<Days>[] {
  const between = { ...(said?.from ? { from: said.from } : {}), ...(said?.to ? { to: said.to } : {}) };
  return [
    ' from ',
    {
      kind: 'date',
      name: 'First day',
      value: said?.from ?? '',
      hint: '',
      filled: (from) => ({ ...between, from: from || undefined }),
    },
    ' to ',
    {
      kind: 'date',
      name: 'Last day',
      value: said?.to ?? '',
      hint: '',
      filled: (to) => ({ ...between, to: to || undefined }),
    },
  ];
}

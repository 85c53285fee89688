import type { Report, ReportColumn } from '../../../shared/api';
import { duration, money } from '../../../shared/format';

/** "45 s", "12 min", "1 h 05": working time. */
export function timeWords(seconds: number): string {
  return seconds < 60 ? `${Math.round(seconds)} s` : duration(Math.floor(seconds / 60));
}

/** A share as whole percent; only all is 100 %. */
export function shareWords(share: number): string {
  return `${Math.floor(share * 100)} %`;
}

/** A value as people read it; nothing to say is a dash. */
export function valueWords(value: number | null | undefined, { unit, currency }: ReportColumn): string {
  if (value === null || value === undefined) return '–';
  switch (unit) {
    case 'SECONDS':
      return timeWords(value);
    case 'SHARE':
      return shareWords(value);
    case 'MONEY':
      return money({ amount: Math.round(value * 100) / 100, currency: currency ?? 'USD' });
    case 'NUMBER':
      return value.toLocaleString('en-US', { maximumFractionDigits: 2 });
    case 'COUNT':
      return value.toLocaleString('en-US');
  }
}

const date = (iso: string, options: Intl.DateTimeFormatOptions) =>
  new Date(`${iso}T12:00:00Z`).toLocaleDateString('en-GB', { ...options, timeZone: 'UTC' });

/** How a row is named: "Tue 9 Jun", "week of 8 Jun", "June 2026". */
export function rowWords(by: Report['by'], key: string, label: string): string {
  switch (by) {
    case 'DAY':
      return date(key, { weekday: 'short', day: 'numeric', month: 'short' }).replace(',', '');
    case 'WEEK':
      return `week of ${date(key, { day: 'numeric', month: 'short' })}`;
    case 'MONTH':
      return date(`${key}-15`, { month: 'long', year: 'numeric' });
    default:
      return label;
  }
}

/** The same, short enough for an axis. */
export function axisWords(by: Report['by'], key: string, label: string): string {
  if (by === 'DAY' || by === 'WEEK') return date(key, { day: 'numeric', month: 'short' });
  if (by === 'MONTH') return date(`${key}-15`, { month: 'short', year: '2-digit' });
  return label;
}

/** The columns that a chart draws: times where there are any, else money, else all counts. */
export function drawn({ columns }: Report): number[] {
  const of = (unit: ReportColumn['unit']) => columns.flatMap((column, i) => (column.unit === unit ? [i] : []));
  const chosen = [of('SECONDS'), of('MONEY'), of('COUNT')].find((some) => some.length > 0);
  return chosen ?? [];
}

const STEPS = [10, 30, 60, 120, 300, 600, 900, 1_800, 3_600, 7_200, 14_400, 28_800, 86_400];
const MOST_TICKS = 6;

/** Where an axis of times has its marks: round times, at most six of them. */
export function timeTicks(most: number): number[] {
  const step = STEPS.find((one) => most / one <= MOST_TICKS) ?? Math.ceil(most / MOST_TICKS / 86_400) * 86_400;
  return Array.from({ length: Math.floor(most / step) + 1 }, (_, i) => i * step);
}

const SUMMED = 'Days are being summed up.';

/** What is said while not all days are summed. */
export function summingWords(percent: number): string | undefined {
  return percent < 100 ? `${SUMMED} ${percent} % are done, the latest first.` : undefined;
}

/** The figures of everything, as people say them. */
export function totalWords({ columns, total }: Report): string {
  return columns
    .map((column, i) => ({ column, value: total.values[i] }))
    .filter(({ value }) => value !== null && value !== undefined)
    .map(({ column, value }) => {
      const words = valueWords(value, column);
      const name = column.name.toLowerCase();
      return column.unit === 'SECONDS' ? `${name} ${words}` : `${words} ${name}`;
    })
    .join(', ');
}

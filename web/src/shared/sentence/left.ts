import { duration } from '../format';
import { after, part } from './grammar';

/** Minutes of working time left: at least `from`, less than `to`. */
export interface Left {
  from?: number | undefined;
  to?: number | undefined;
}

const MOST_MINUTES = 366 * 24 * 60;

function end(count: number): string {
  return count < 0 ? `late ${duration(-count)}` : duration(count);
}

/** "late", "less than 15 min left", "15 min to 1 h left" */
export function leftWords(left: Left): string {
  const { from, to } = left;
  if (from === undefined && to === 0) return 'late';
  if (from === undefined && to !== undefined)
    return to < 0 ? `more than ${duration(-to)} late` : `less than ${end(to)} left`;
  if (to === undefined && from !== undefined)
    return from < 0 ? `no more than ${duration(-from)} late` : `at least ${end(from)} left`;
  if (from !== undefined && to !== undefined && to <= 0)
    return `${end(from)} to ${to === 0 ? 'due now' : duration(-to)}`;
  return `${end(from ?? 0)} to ${end(to ?? 0)} left`;
}

const LEFTS = [
  { value: '..0', words: 'late' },
  { value: '..15', words: 'less than 15 min left' },
  { value: '0..60', words: 'up to an hour left' },
  { value: '60..', words: 'more than an hour left' },
];

function leftText(left: Left | undefined): string {
  return `${left?.from ?? ''}..${left?.to ?? ''}`;
}

function leftOf(text: string | undefined): Left | undefined {
  const ends = /^(-?\d{1,7})?\.\.(-?\d{1,7})?$/.exec(text ?? '');
  if (!ends || (!ends[1] && !ends[2])) return undefined;
  const left: Left = {};
  if (ends[1]) left.from = Number(ends[1]);
  if (ends[2]) left.to = Number(ends[2]);
  if ([left.from, left.to].some((each) => each !== undefined && Math.abs(each) > MOST_MINUTES)) return undefined;
  return left.from !== undefined && left.to !== undefined && left.from >= left.to ? undefined : left;
}

/** The part of a sentence that is about working time left. */
export function leftPart<S extends { left?: Left | undefined }, G>() {
  return part<S, 'left', G>({
    field: 'left',
    unsaid: undefined,
    menu: 'by the time left',
    begin: () => ({ to: 0 }),
    write: (value) => [`left ${leftText(value)}`],
    read: (clause) => leftOf(after('left', clause)),
    say: (value) => {
      const text = leftText(value);
      const own = value && !LEFTS.some((each) => each.value === text) ? [{ value: text, words: leftWords(value) }] : [];
      return [{ kind: 'choice', name: 'Time left', value: text, options: [...own, ...LEFTS], filled: leftOf }];
    },
  });
}

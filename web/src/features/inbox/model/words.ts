import type { Days, Left, Sentence, Whose } from '../../../shared/sentence';
import { duration } from '../../../shared/format';

/** How the parts of a sentence are said. */

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

/** "today", "in the last 7 days", "from 2026-06-01 to 2026-06-09" */
export function daysWords(days: Days): string {
  if (days.last !== undefined) return days.last === 1 ? 'today' : `in the last ${days.last} days`;
  return [days.from && `from ${days.from}`, days.to && `to ${days.to}`].filter(Boolean).join(' ') || 'on certain days';
}

/** A whose as one value of a blank. */
export function whoseKey(whose: Whose): string {
  return 'id' in whose ? `${whose.kind} ${whose.id}` : whose.kind;
}

export function whoseOf(key: string): Whose {
  const [kind, id] = key.split(' ');
  if (kind === 'team' || kind === 'colleague') return { kind, id: Number(id) };
  return { kind: kind === 'mine' || kind === 'nobody' ? kind : 'everyone' };
}

/** Parts that stand in the sentence only when somebody asks for them. */
export const PARTS = ['topic', 'site', 'called', 'saying', 'left', 'days', 'toIdentify', 'failed', 'unread'] as const;
export type Part = (typeof PARTS)[number];

export const PART_WORDS: Record<Part, string> = {
  topic: 'about a topic',
  site: 'at a site',
  called: 'called … (name, number, boat)',
  saying: 'saying … (words in the script)',
  left: 'by the time left',
  days: 'by the day of the last text',
  toIdentify: 'to identify',
  failed: 'not delivered',
  unread: 'that I have not read',
};

/** Whether a part says anything. */
export function isSaid(sentence: Sentence, part: Part): boolean {
  const value = sentence[part];
  return value !== undefined && value !== '' && value !== false;
}

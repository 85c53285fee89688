import type { Notice, NoticeKind } from '../../../shared/api/types';

const KINDS: Record<NoticeKind, string> = {
  MINE: 'yours',
  NOBODYS: 'nobody’s yet',
  MENTION: 'mentions you',
  UNDELIVERED: 'not delivered',
  SOON: 'due soon',
  LATE: 'late',
  TO_IDENTIFY: 'who is it?',
};

/** What a notice tells of, in a word. */
export function kindWords(kind: NoticeKind): string {
  return KINDS[kind];
}

/** Whom a notice is about. */
export function noticeName(notice: Notice): string {
  return notice.conversation.customerName ?? notice.conversation.number;
}

const KEPT = 200;

/**
 * Whether this page is the first of several to tell of a notice; `told` is what they share, a comma list of the newest ids.
 *
 * @returns what they share from then on, or nothing when another page has told already
 */
export function firstToTell(told: string | null, id: number): string | undefined {
  const ids = told === null || told === '' ? [] : told.split(',');
  return ids.includes(String(id)) ? undefined : [...ids, String(id)].slice(-KEPT).join(',');
}

import type { Entry, Member } from '../../../shared/api/types';
import { moment, sameDay } from '../../../shared/format';

/** A line of the script as it is printed. */
export interface Printed {
  entry: Entry;
  /** The first line of a day carries its date. */
  newDay: boolean;
  /** The speaker is named when another person, or nobody, spoke just before. */
  named: boolean;
}

function speaker(entry: Entry): string {
  return entry.kind === 'IN'
    ? `customer ${entry.writer?.id ?? entry.number ?? ''}`
    : `${entry.kind} ${entry.speaker?.id ?? entry.author ?? 'program'}`;
}

export function printed(entries: Entry[], zone: string): Printed[] {
  return entries.map((entry, i) => {
    const before = entries[i - 1];
    const newDay = !before || !sameDay(new Date(before.at), new Date(entry.at), zone);
    return { entry, newDay, named: newDay || !before || speaker(before) !== speaker(entry) };
  });
}

const BACK: Record<string, string> = {
  ITS_TIME: 'It is back: its time has come.',
  CUSTOMER_WROTE: 'It is back: the customer wrote.',
  NOT_DELIVERED: 'It is back: a text of ours was not delivered.',
};

/** Before what is to be done. */
const TO_DO = 'TO_DO ';

const ASKED: Record<string, string> = {
  MAIL: 'The customer is asked by mail for the right number.',
  TEXT: 'The customer is asked on their other number for the right one.',
  NONE: 'There is no other way to ask the customer for the right number; please find it.',
};

const TAKEN_BACK: Record<string, string> = {
  TO_DO_DONE: 'that it was done',
  TAKEN: 'taking it',
  LET_GO: 'letting it go',
  HANDED_OVER: 'handing it over',
  DONE: 'done',
  DONE_UNANSWERED: 'done',
  REOPENED: 'reopening it',
  SET_ASIDE: 'setting it aside',
  BACK: 'bringing it back',
  NO_ANSWER_NEEDED: '“no answer needed”',
  LEFT_UNDELIVERED: 'leaving the text that was not delivered',
  TOPIC_ADDED: 'the topic',
  TOPIC_REMOVED: 'the topic',
};

const CHANGED = ' changed';

/** Who looked at a text a second time, whose it was, and whether it was changed. */
function approved(who: string, words: string): string {
  return words.endsWith(CHANGED)
    ? `${who} looked at this text by ${words.slice(0, -CHANGED.length)}, changed it and sent it.`
    : `${who} looked at this text by ${words} and sent it.`;
}

/** What became of a text that goes later; the words of the event begin with its time. */
function planned(entry: Entry, who: string, now: Date, zone: string): string {
  const [time = '', ...rest] = (entry.words ?? '').split(' ');
  const at = moment(new Date(time), now, zone);
  const said = rest.length === 0 ? '' : `: “${rest.join(' ')}”`;
  switch (entry.event) {
    case 'PLAN_CHANGED':
      return entry.speaker ? `${who} changed a planned text; it goes ${at}.` : `A planned text goes ${at} now.`;
    case 'PLAN_SKIPPED':
      return `${who} skips the planned text of ${at}.`;
    case 'PLAN_CANCELLED':
      return `${who} cancels the text planned for ${at}${said}`;
    case 'PLAN_NOT_NEEDED':
      return `The text planned for ${at} was not sent, because the customer wrote before${said}`;
    default:
      return `${who} planned a text for ${at}.`;
  }
}

/** What happened, as a stage direction. */
export function direction(
  entry: Entry,
  now: Date,
  zone: string,
  teamName: (id: number) => string = () => 'a team',
  whose = 'One of them',
): string {
  const who = entry.speaker?.name ?? 'Fabulum';
  const to = entry.about?.name ?? (entry.aboutTeam === undefined ? 'nobody' : teamName(entry.aboutTeam));
  switch (entry.event) {
    case 'TAKEN':
      return `${who} takes it.`;
    case 'LET_GO':
      return entry.words && !entry.speaker ? `It is nobody’s: ${entry.words}.` : `${who} lets it go; it is nobody’s.`;
    case 'HANDED_OVER':
      return `${who} hands it over to ${to}.`;
    case 'GIVEN':
    case 'COVERED':
    case 'NOT_GIVEN':
      return `To ${to}: ${entry.words ?? ''}.`;
    case 'DONE':
      return `Done, by ${who}.`;
    case 'DONE_UNANSWERED':
      return `Done without an answer, by ${who}.`;
    case 'REOPENED':
      return `${who} reopens it.`;
    case 'SET_ASIDE':
      return entry.words
        ? `${who} sets it aside until ${moment(new Date(entry.words), now, zone)}.`
        : `${who} sets it aside until the customer writes.`;
    case 'BACK':
      if (entry.words?.startsWith(TO_DO)) return `It is back, to do: ${entry.words.slice(TO_DO.length)}`;
      return BACK[entry.words ?? ''] ?? `${who} brings it back.`;
    case 'TO_DO_DONE':
      return `${who} has done it: ${entry.words ?? ''}`;
    case 'NO_ANSWER_NEEDED':
      return `No answer needed, says ${who}.`;
    case 'LEFT_UNDELIVERED':
      return `${who} leaves the text that was not delivered.`;
    case 'SENT_AGAIN':
      return `${who} sends the text that was not delivered to ${entry.words ?? 'another number'} instead.`;
    case 'OPTED_OUT':
      return entry.speaker
        ? `${who} notes that the customer wants no more ${entry.words === 'NEWS' ? 'news and offers' : 'texts'}.`
        : 'The customer opts out of texts.';
    case 'OPTED_IN':
      return entry.speaker
        ? `${who} notes that the customer agrees to ${entry.words === 'NEWS' ? 'news and offers' : 'texts'}.`
        : 'The customer opts in to texts again.';
    case 'GROUP_LEFT':
      return `${whose} opted out and gets no more texts of this group; the others go on.`;
    case 'BROUGHT_IN':
      return `${who} brings ${to} in.`;
    case 'LET_OUT':
      return entry.about?.id === entry.speaker?.id ? `${who} leaves.` : `${who} lets ${to} out.`;
    case 'WEB_ENQUIRY':
      return `Sent by the form “${entry.words ?? ''}” on the web site.`;
    case 'WEB_AGREEMENT':
      return `Agreed to texts by the form “${entry.words ?? ''}” on the web site.`;
    case 'NUMBER_WRONG':
      return `${who} marks the number as wrong.`;
    case 'NUMBER_RIGHT':
      return `${who} says that the number is right.`;
    case 'IDENTIFIED':
      return `${who} says it is ${entry.words ?? ''}.`;
    case 'NOT_FOR_US':
      return `${who} says this is not for us${entry.words === 'JUNK' ? ' (junk)' : ' (wrong number)'}.`;
    case 'RIGHT_NUMBER_ASKED':
      return ASKED[entry.words ?? ''] ?? 'The customer is asked for the right number.';
    case 'RIGHT_NUMBER_PROVED':
      return `The code came from this number: it is ${entry.words ?? 'the customer'}’s now.`;
    case 'IDENTIFYING_UNDONE':
      return `${who} takes back who it is.`;
    case 'TAKEN_BACK':
      return `${who} takes back a text before it leaves.`;
    case 'APPROVED':
      return approved(who, entry.words ?? '');
    case 'RETURNED':
      return `${who} returns a text to its writer: ${entry.words ?? ''}`;
    case 'PLANNED':
    case 'PLAN_CHANGED':
    case 'PLAN_SKIPPED':
    case 'PLAN_CANCELLED':
    case 'PLAN_NOT_NEEDED':
      return planned(entry, who, now, zone);
    case 'PLAN_HELD':
      return `A planned text was not sent and waits for someone to decide. ${entry.words ?? ''}`;
    case 'TOPIC_ADDED':
      return `About ${entry.words ?? ''}, says ${who}.`;
    case 'TOPIC_REMOVED':
      return `Not about ${entry.words ?? ''}, says ${who}.`;
    case 'UNDONE':
      return `${who} undoes ${TAKEN_BACK[entry.words ?? ''] ?? 'that'}.`;
    case undefined:
      return '';
  }
}

/** What a text's writer is called: in a group, whose number it came from. */
export function writerName(entry: Entry, members: Member[], customer: string): string {
  const member = members.find(({ address }) => address === entry.number);
  return entry.writer?.name ?? member?.name ?? customer;
}

const STATES = {
  WAITING: 'waiting',
  SENT: 'sent',
  DELIVERED: 'delivered',
  READ: 'read',
  NOT_DELIVERED: 'not delivered',
} as const;

const nameOf = (number: string, members: Member[]) => members.find(({ address }) => address === number)?.name ?? number;

/** How far a text of ours to a group has come with each. */
export function deliveryOfEach({ deliveries }: Entry, members: Member[]): string[] {
  return (deliveries ?? []).map(({ number, delivery, failureReason }) => {
    const why = failureReason === undefined ? '' : ` (${failureReason.replace(/\.$/, '')})`;
    return `${nameOf(number, members)}: ${STATES[delivery]}${why}.`;
  });
}

/** How far a text of ours has come, in a word with its shape. */
export function deliveryWords(entry: Entry, members: Member[] = []): string {
  const each = entry.deliveries ?? [];
  const lost = each.filter(({ delivery }) => delivery === 'NOT_DELIVERED');
  if (lost.length > 0) {
    const who = lost.map(({ number }) => nameOf(number, members)).join(', ');
    return `× not delivered to ${who}; to ${each.length - lost.length} of ${each.length} it went`;
  }
  switch (entry.delivery) {
    case 'WAITING':
      return '○ waiting to go';
    case 'SENT':
      return '◔ sent';
    case 'DELIVERED':
      return '◑ delivered';
    case 'READ':
      return '● read';
    case 'NOT_DELIVERED':
      return `× not delivered: ${entry.failureReason ?? 'the network gives no reason.'}`;
    case undefined:
      return '';
  }
}

/** The first line that another person, or the customer, said after the user was here; none when that is not known. */
export function firstUnread(lines: Printed[], readBefore: string | undefined, me: number): number | undefined {
  if (readBefore === undefined) return undefined;
  return lines.find(({ entry }) => entry.at > readBefore && entry.kind !== 'EVENT' && entry.speaker?.id !== me)?.entry
    .id;
}

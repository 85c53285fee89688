import { describe, expect, it } from 'vitest';
import type { Entry } from '../../../shared/api/types';
import { deliveryWords, direction, firstUnread, printed } from './scene';

const mark = { shape: 'LEAF', ink: 'PINE' } as const;
const priya = { id: 3, name: 'Priya Nandakumar', initials: 'PN', role: 'STAFF' as const, mark, active: true };
const wen = { ...priya, id: 5, name: 'Wen Zhao', initials: 'WZ' };
const entry = (id: number, at: string, kind: Entry['kind'], more: Partial<Entry> = {}): Entry => ({
  id,
  conversationId: 1,
  at,
  kind,
  automatic: false,
  withdrawn: false,
  needsHand: false,
  mentions: [],
  ...more,
});

describe('what is new since one was here', () => {
  const lines = printed(
    [
      entry(1, '2026-06-09T19:00:00.000Z', 'IN'),
      entry(2, '2026-06-09T19:01:00.000Z', 'EVENT'),
      entry(3, '2026-06-09T19:02:00.000Z', 'OUT', { speaker: wen }),
      entry(4, '2026-06-09T19:03:00.000Z', 'NOTE', { speaker: priya }),
    ],
    'America/Chicago',
  );

  it.each([
    ['what was never opened has no such line', undefined, 3, undefined],
    ['events are not news', '2026-06-09T19:00:00.000Z', 3, 3],
    ['nor is what I said myself', '2026-06-09T19:00:00.000Z', 5, 4],
    ['all of it may have been read', '2026-06-09T19:03:00.000Z', 5, undefined],
  ])('%s', (_, readBefore, me, first) => {
    expect(firstUnread(lines, readBefore, me)).toBe(first);
  });
});

describe('the script', () => {
  it('names a speaker once for lines in a row, and again after another line or a new day', () => {
    const lines = printed(
      [
        entry(1, '2026-06-09T19:00:00Z', 'IN'),
        entry(2, '2026-06-09T19:01:00Z', 'IN'),
        entry(3, '2026-06-09T19:02:00Z', 'OUT', { speaker: priya }),
        entry(4, '2026-06-09T19:03:00Z', 'NOTE', { speaker: priya }),
        entry(5, '2026-06-10T05:30:00Z', 'NOTE', { speaker: priya }),
      ],
      'America/Chicago',
    );
    expect(lines.map((line) => line.named)).toEqual([true, false, true, true, true]);
    expect(lines.map((line) => line.newDay)).toEqual([true, false, false, false, true]);
  });

  it.each([
    ['TAKEN', undefined, 'Priya Nandakumar takes it.'],
    ['DONE_UNANSWERED', undefined, 'Done without an answer, by Priya Nandakumar.'],
    ['PLANNED', '2026-06-11T19:30:00Z', 'Priya Nandakumar planned a text for Thu 11 Jun 14:30.'],
    ['PLAN_SKIPPED', '2026-06-11T19:30:00Z', 'Priya Nandakumar skips the planned text of Thu 11 Jun 14:30.'],
    [
      'PLAN_CANCELLED',
      '2026-06-11T19:30:00Z See you then.',
      'Priya Nandakumar cancels the text planned for Thu 11 Jun 14:30: “See you then.”',
    ],
    ['SET_ASIDE', '2026-06-10T12:00:00Z', 'Priya Nandakumar sets it aside until tomorrow 07:00.'],
    ['SET_ASIDE', undefined, 'Priya Nandakumar sets it aside until the customer writes.'],
    ['BACK', 'CUSTOMER_WROTE', 'It is back: the customer wrote.'],
    ['BACK', 'TO_DO Call back', 'It is back, to do: Call back'],
    ['BACK', 'TAKEN_UP', 'Priya Nandakumar brings it back.'],
    ['TOPIC_ADDED', 'berths', 'About berths, says Priya Nandakumar.'],
    ['UNDONE', 'DONE', 'Priya Nandakumar undoes done.'],
  ] as const)('tells %s as a stage direction', (event, words, said) => {
    const now = new Date('2026-06-09T19:05:00Z');
    const told = entry(1, '', 'EVENT', { event, speaker: priya, ...(words ? { words } : {}) });
    expect(direction(told, now, 'America/Chicago')).toBe(said);
  });

  it.each([
    ['HANDED_OVER', { speaker: priya, about: wen }, 'Priya Nandakumar hands it over to Wen Zhao.'],
    ['HANDED_OVER', { speaker: priya, aboutTeam: 2 }, 'Priya Nandakumar hands it over to Yard.'],
    ['GIVEN', { about: wen, words: 'least waiting, 2' }, 'To Wen Zhao: least waiting, 2.'],
    ['COVERED', { about: wen, words: 'Priya is away' }, 'To Wen Zhao: Priya is away.'],
    ['NOT_GIVEN', { words: 'nobody is in' }, 'To nobody: nobody is in.'],
    ['LET_GO', { words: 'nobody covers' }, 'It is nobody’s: nobody covers.'],
  ] as const)('tells who has it now and why: %s', (event, more, said) => {
    const told = entry(1, '', 'EVENT', { event, ...more });
    expect(direction(told, new Date(), 'America/Chicago', (team) => (team === 2 ? 'Yard' : ''))).toBe(said);
  });

  it('says why a text was not delivered', () => {
    expect(
      deliveryWords(
        entry(1, '', 'OUT', { delivery: 'NOT_DELIVERED', failureReason: 'This number is no longer in service.' }),
      ),
    ).toBe('× not delivered: This number is no longer in service.');
  });
});

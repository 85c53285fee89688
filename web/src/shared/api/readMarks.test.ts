import { expect, it } from 'vitest';
import { conversation } from '../../testing/data';
import { isUnread, withRead } from './readMarks';

const row = conversation(1, { lastAt: '2026-06-09T19:00:00.000Z' });

it('what a customer wrote since I looked is unread, what we said is not', () => {
  expect(isUnread(row, undefined)).toBe(true);
  expect(isUnread(row, '2026-06-09T18:59:59.000Z')).toBe(true);
  expect(isUnread(row, '2026-06-09T19:00:00.000Z')).toBe(false);
  expect(isUnread({ ...row, lastSpeaker: 'US' }, undefined)).toBe(false);
  expect(isUnread({ ...row, group: 'DONE' }, undefined)).toBe(false);
});

it('what is opened is read up to its last text, in every list that shows it', () => {
  const other = conversation(2);
  const list = {
    pages: [{ places: [], ascending: true, rows: [row, other], seen: [{ conversationId: 2, at: 'then' }] }],
    pageParams: [''],
  };
  const read = withRead(list, 1);
  expect(read.pages[0]?.seen).toEqual([
    { conversationId: 2, at: 'then' },
    { conversationId: 1, at: row.lastAt },
  ]);
  expect(withRead(read, 1).pages[0]).toBe(read.pages[0]);
});

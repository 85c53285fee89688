import { QueryClient } from '@tanstack/react-query';
import { describe, expect, it } from 'vitest';
import type { Conversation, Entry } from '../shared/api';
import { keys } from '../shared/api';
import { applyLive, withEntries, withRow } from './apply';

const row = (id: number, version: number): Conversation => ({
  id,
  version,
  group: 'OUR_TURN',
  since: '2026-06-09T19:00:00.000Z',
  lineId: 1,
  number: '(312) 555-0123',
  address: '+13125550123',
  answerable: true,
  toIdentify: false,
  lastAt: '2026-06-09T19:00:00.000Z',
  lastWords: `version ${version}`,
  lastSpeaker: 'CUSTOMER',
  failed: false,
  openedAt: '2026-06-09T19:00:00.000Z',
  topics: [],
});

const entry = (id: number, at: string, words: string): Entry => ({
  id,
  conversationId: 1,
  at,
  kind: 'IN',
  words,
  automatic: false,
  withdrawn: false,
  mentions: [],
});

describe('live messages', () => {
  it('never let an older row replace a newer one', () => {
    const list = { pages: [{ rows: [row(1, 5), row(2, 1)] }], pageParams: [''] };
    expect(withRow(list, row(1, 4)).pages[0]?.rows[0]?.version).toBe(5);
    expect(withRow(list, row(1, 6)).pages[0]?.rows[0]?.version).toBe(6);
    expect(withRow(list, row(1, 6)).pages[0]?.rows[1]?.version).toBe(1);
  });

  it('add new entries once and in order, and replace changed ones where they stand', () => {
    const script = {
      pages: [
        { entries: [entry(5, '2026-06-09T19:05:00Z', 'five')] },
        { entries: [entry(1, '2026-06-09T19:01:00Z', 'one')] },
      ],
      pageParams: ['', 'x'],
    };
    const once = withEntries(script, [
      entry(7, '2026-06-09T19:07:00Z', 'seven'),
      entry(6, '2026-06-09T19:04:00Z', 'late'),
    ]);
    const twice = withEntries(once, [
      entry(7, '2026-06-09T19:07:00Z', 'seven again'),
      entry(1, '2026-06-09T19:01:00Z', 'one again'),
    ]);
    expect(twice.pages[0]?.entries.map((e) => e.words)).toEqual(['late', 'five', 'seven again']);
    expect(twice.pages[1]?.entries.map((e) => e.words)).toEqual(['one again']);
  });

  it('after a gap everything is read again, but nobody is signed out', () => {
    const queries = new QueryClient();
    queries.setQueryData(keys.session, { staff: { id: 1 } });
    queries.setQueryData(keys.counts, { ourTurn: 1 });
    applyLive(queries, { type: 'READ_AGAIN', entries: [], by: [] });
    expect(queries.getQueryState(keys.counts)?.isInvalidated).toBe(true);
    expect(queries.getQueryState(keys.session)?.isInvalidated).toBe(false);
  });
});

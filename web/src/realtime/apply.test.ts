import { type InfiniteData, QueryClient, QueryObserver } from '@tanstack/react-query';
import { describe, expect, it, onTestFinished, vi } from 'vitest';
import {
  type Conversation,
  type Dossier,
  type Entry,
  type InboxPage,
  keys,
  type LiveMessage,
  type Watched,
} from '../shared/api';
import { conversation } from '../testing/data';
import { applyLive, withEntries, withRow } from './apply';

const row = (id: number, version: number) => conversation(id, { version, lastWords: `version ${version}` });

const entry = (id: number, at: string, words: string): Entry => ({
  id,
  conversationId: 1,
  at,
  kind: 'IN',
  words,
  automatic: false,
  withdrawn: false,
  needsHand: false,
  mentions: [],
});

describe('live messages', () => {
  it('never let an older row replace a newer one', () => {
    const list = { pages: [{ places: [], ascending: true, seen: [], rows: [row(1, 5), row(2, 1)] }], pageParams: [''] };
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

  const mark = { shape: 'LEAF', ink: 'PINE' } as const;
  const wen = { id: 5, name: 'Wen Zhao', initials: 'WZ', role: 'STAFF' as const, mark, active: true };
  const message = (more: Partial<LiveMessage> & Pick<LiveMessage, 'type'>): LiveMessage => ({
    entries: [],
    by: [],
    ...more,
  });

  it('a dossier that was being read when something happened is read once more, so the older never stays', async () => {
    const queries = new QueryClient();
    const read = (version: number) => ({ conversation: row(1, version), drafts: [] }) as unknown as Dossier;
    const answers: ((dossier: Dossier) => void)[] = [];
    const queryFn = () => new Promise<Dossier>((answer) => answers.push(answer));
    queries.setQueryData(keys.dossier(1), read(1));
    const watching = new QueryObserver(queries, { queryKey: keys.dossier(1), queryFn });
    const stop = watching.subscribe(() => undefined);
    applyLive(queries, message({ type: 'CONVERSATION', conversation: row(1, 2) }));
    answers[0]?.(read(1));
    answers[1]?.(read(2));
    await vi.waitFor(() => expect(watching.getCurrentResult().fetchStatus).toBe('idle'));
    expect(watching.getCurrentResult().data?.conversation.version).toBe(2);
    stop();
  });

  describe('when a text of ours got further', () => {
    const sent = (more: Partial<Entry> = {}): Entry => ({
      ...entry(5, '2026-06-09T19:05:00Z', 'five'),
      kind: 'OUT',
      delivery: 'SENT',
      ...more,
    });

    function shown() {
      const queries = new QueryClient();
      const list = { pages: [{ places: [], ascending: true, seen: [], rows: [row(1, 5)] }], pageParams: [''] };
      queries.setQueryData([...keys.lists, { group: 'OUR_TURN' }], list);
      queries.setQueryData(keys.dossier(1), { conversation: row(1, 5), drafts: [] });
      queries.setQueryData(keys.script(1), { pages: [{ entries: [sent()] }], pageParams: [''] });
      queries.setQueryData(keys.counts, { ourTurn: 1 });
      return queries;
    }

    const now = (version: number, more: Partial<Conversation> = {}) => ({
      ...row(1, version),
      lastWords: 'version 5',
      ...more,
    });
    const isRead = (queries: QueryClient, key: readonly unknown[]) => !queries.getQueryState(key)?.isInvalidated;

    it('its script shows that, and nothing is read again', () => {
      const queries = shown();
      const entries = [sent({ delivery: 'DELIVERED' })];
      applyLive(queries, message({ type: 'CONVERSATION', conversation: now(6, { secondsLeft: 7 }), entries }));
      const script = queries.getQueryData<InfiniteData<{ entries: Entry[] }>>(keys.script(1));
      expect(script?.pages[0]?.entries.map(({ delivery }) => delivery)).toEqual(['DELIVERED']);
      expect(isRead(queries, keys.counts)).toBe(true);
      expect(isRead(queries, keys.dossier(1))).toBe(true);
      // Requests for what stands beside the script have the version in their key: the same version, no new request.
      expect(queries.getQueryData<Dossier>(keys.dossier(1))?.conversation.version).toBe(5);
    });

    it.each([
      ['it was not delivered', [sent({ delivery: 'NOT_DELIVERED' })], {}],
      ['it needs a hand', [sent({ needsHand: true })], {}],
      ['there is a note as well', [sent(), { ...entry(6, '2026-06-09T19:06:00Z', 'six'), kind: 'NOTE' as const }], {}],
      ['the conversation is another than shown', [sent()], { group: 'DONE' as const }],
      ['nothing is said of its texts', [], {}],
    ])('all is read again when %s', (_, entries, more) => {
      const queries = shown();
      applyLive(queries, message({ type: 'CONVERSATION', conversation: now(6, more), entries }));
      expect(isRead(queries, keys.counts)).toBe(false);
      expect(queries.getQueryData<Dossier>(keys.dossier(1))?.conversation.version).toBe(6);
    });

    it('all is read again when no list shows its conversation', () => {
      const queries = new QueryClient();
      queries.setQueryData(keys.counts, { ourTurn: 1 });
      applyLive(queries, message({ type: 'CONVERSATION', conversation: now(6), entries: [sent()] }));
      expect(isRead(queries, keys.counts)).toBe(false);
    });
  });

  it('what is no longer for us to see leaves every list, and its script is forgotten', () => {
    const queries = new QueryClient();
    queries.setQueryData([...keys.lists, 'one'], {
      pages: [{ places: [], ascending: true, seen: [], rows: [row(1, 5), row(2, 1)] }],
      pageParams: [''],
    });
    queries.setQueryData(keys.script(1), {
      pages: [{ entries: [entry(5, '2026-06-09T19:05:00Z', 'five')] }],
      pageParams: [''],
    });
    applyLive(queries, message({ type: 'GONE', gone: 1, why: 'It was handed over.' }));
    expect(queries.getQueryData(keys.gone(1))).toBe('It was handed over.');
    const list = queries.getQueryData<InfiniteData<InboxPage>>([...keys.lists, 'one']);
    expect(list?.pages[0]?.rows.map((each) => each.id)).toEqual([2]);
    expect(queries.getQueryData(keys.script(1))).toBeUndefined();
  });

  it('who is where is kept up, and a conversation nobody is at any more is left out', () => {
    const queries = new QueryClient();
    queries.setQueryData(keys.watchers, []);
    const there = { conversationId: 7, watchers: [{ staff: wen, writing: true }] };
    applyLive(queries, message({ type: 'WATCHED', watched: there }));
    expect(queries.getQueryData(keys.watchers)).toEqual([there]);
    applyLive(
      queries,
      message({ type: 'WATCHED', watched: { conversationId: 8, watchers: [{ staff: wen, writing: false }] } }),
    );
    applyLive(queries, message({ type: 'WATCHED', watched: { conversationId: 7, watchers: [] } }));
    expect(queries.getQueryData<Watched[]>(keys.watchers)?.map((each) => each.conversationId)).toEqual([8]);
  });

  it('notices are read again when there is one, and when what one of them tells of changes', () => {
    vi.useFakeTimers();
    onTestFinished(() => void vi.useRealTimers());
    const queries = new QueryClient();
    const notice = { id: 1, kind: 'MINE', words: '', at: '', seen: false, conversation: row(1, 1) };
    const isOld = () => queries.getQueryState(keys.notices)?.isInvalidated;
    queries.setQueryData(keys.notices, { notices: [notice], unseen: 1 });
    applyLive(queries, message({ type: 'CONVERSATION', conversation: row(2, 1) }));
    expect(isOld()).toBe(false);
    applyLive(queries, message({ type: 'CONVERSATION', conversation: row(1, 2) }));
    expect(isOld()).toBe(true);
    queries.setQueryData(keys.notices, { notices: [notice], unseen: 1 });
    for (let i = 0; i < 50; i++) applyLive(queries, message({ type: 'NOTICE' }));
    expect(isOld()).toBe(false);
    vi.advanceTimersByTime(400);
    expect(isOld()).toBe(true);
  });

  it('when colleagues change, who I am and what I may is read again', () => {
    const queries = new QueryClient();
    queries.setQueryData(keys.session, { staff: wen });
    queries.setQueryData(keys.staff, [wen]);
    queries.setQueryData(keys.teams, []);
    queries.setQueryData(keys.counts, { ourTurn: 1 });
    applyLive(queries, message({ type: 'PEOPLE' }));
    expect(queries.getQueryState(keys.session)?.isInvalidated).toBe(true);
    expect(queries.getQueryState(keys.staff)?.isInvalidated).toBe(true);
    expect(queries.getQueryState(keys.teams)?.isInvalidated).toBe(true);
    expect(queries.getQueryState(keys.counts)?.isInvalidated).toBe(false);
  });

  it('a line of others is read again where the set-up is shown, and nowhere else', () => {
    const queries = new QueryClient();
    queries.setQueryData([...keys.setup, 'lines'], []);
    queries.setQueryData(keys.counts, { ourTurn: 1 });
    applyLive(queries, message({ type: 'SET_UP' }));
    expect(queries.getQueryState([...keys.setup, 'lines'])?.isInvalidated).toBe(true);
    expect(queries.getQueryState(keys.counts)?.isInvalidated).toBe(false);
  });
});

import { QueryObserver } from '@tanstack/react-query';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { Readings } from './Readings';
import { type Choice, countsQuery, listQuery } from './queries';
import { markRead } from './readMarks';
import { readListsAgain } from './refresh';
import type { Conversation, Group, InboxPage } from './types';

const OURS: Choice = { group: 'OUR_TURN', order: 'TIME_LEFT', sentence: '' };
const DONE: Choice = { ...OURS, group: 'DONE' };

const changed = (id: number, group: Group) => ({ id, group, lastAt: '2026-06-09T19:05:00Z' }) as Conversation;

let queries: Readings;

/** A list as it was read, with these conversations in it. */
function read(choice: Choice, ...ids: number[]) {
  const rows = ids.map((id) => changed(id, choice.group));
  queries.setQueryData(listQuery(choice).queryKey, {
    pages: [{ places: [], ascending: true, seen: [], rows }],
    pageParams: [''],
  });
}

const isOld = (choice: Choice) => queries.getQueryState(listQuery(choice).queryKey)?.isInvalidated;

beforeEach(() => {
  vi.useFakeTimers();
  queries = new Readings();
  read(OURS, 1, 2);
  read(DONE, 8, 9);
  queries.setQueryData(countsQuery('').queryKey, {
    ourTurn: 2,
    theirTurn: 0,
    setAside: 0,
    done: 2,
    toIdentify: 0,
    notDelivered: 0,
    most: 99,
  });
});

describe('after a change', () => {
  it.each([
    ['what came into a group', changed(3, 'OUR_TURN'), true, false],
    ['what left one group for another', changed(1, 'DONE'), true, true],
    ['what is shown and stays', changed(9, 'DONE'), false, true],
    ['what went where nobody looks', changed(5, 'SET_ASIDE'), false, false],
    ['anything', undefined, true, true],
  ])('%s concerns only the lists it can be seen in', (_, row, ours, done) => {
    readListsAgain(queries, row);
    expect([isOld(OURS), isOld(DONE)]).toEqual([ours, done]);
    expect(queries.getQueryState(countsQuery('').queryKey)?.isInvalidated).toBe(true);
  });

  it('lists are read at once, then no more often than every 400 ms, and no change is left out', () => {
    readListsAgain(queries, changed(3, 'OUR_TURN'));
    read(OURS, 1, 2, 3);
    readListsAgain(queries, changed(4, 'OUR_TURN'));
    readListsAgain(queries, changed(9, 'DONE'));
    expect([isOld(OURS), isOld(DONE)]).toEqual([false, false]);
    vi.advanceTimersByTime(400);
    expect([isOld(OURS), isOld(DONE)]).toEqual([true, true]);
  });
});

it('what is old stays old when a part of it is set, and who comes back to it reads again', () => {
  readListsAgain(queries, changed(3, 'OUR_TURN'));
  markRead(queries, 1);
  expect(isOld(OURS)).toBe(true);
  read(OURS, 1, 2, 3);
  markRead(queries, 1);
  expect(isOld(OURS)).toBe(false);
});

it('a list that shows nothing of it is left alone, so that it is read again in time', () => {
  const writtenTo = (choice: Choice) => queries.getQueryState(listQuery(choice).queryKey)?.dataUpdateCount;
  markRead(queries, 1);
  expect([writtenTo(OURS), writtenTo(DONE)]).toEqual([2, 1]);
  markRead(queries, 1);
  expect([writtenTo(OURS), writtenTo(DONE)]).toEqual([2, 1]);
});

describe('what is on its way when something changes', () => {
  /** A list that is asked for, and answered when told to. */
  function asked(choice: Choice) {
    const answers: ((page: InboxPage) => void)[] = [];
    const queryFn = () => new Promise<InboxPage>((answer) => answers.push(answer));
    const options = { queryKey: listQuery(choice).queryKey, queryFn, staleTime: 60_000 };
    const look = () => new QueryObserver(queries, options).subscribe(() => {});
    return { answers, look };
  }
  const none = { places: [], ascending: true, seen: [], rows: [] };

  it('does not count as new where nobody looks any more: who comes back reads again', async () => {
    const { answers, look } = asked({ ...OURS, sentence: 'mine' });
    look()();
    readListsAgain(queries, changed(3, 'OUR_TURN'));
    answers[0]?.(none);
    await vi.advanceTimersByTimeAsync(0);
    look();
    expect(answers).toHaveLength(2);
  });

  it('is asked for once more where somebody looks, also if the list as it was has nothing to do with it', () => {
    const choice = { ...OURS, sentence: 'mine' };
    read(choice, 1);
    const { answers, look } = asked(choice);
    void queries.invalidateQueries({ queryKey: listQuery(choice).queryKey });
    look();
    expect(answers).toHaveLength(1);
    readListsAgain(queries, changed(8, 'DONE'));
    expect(answers).toHaveLength(2);
  });
});

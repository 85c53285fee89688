import { describe, expect, it } from 'vitest';
import { EVERYTHING, readSentence } from '../../../shared/sentence';
import { inGroup, type ListAddress, nextOrder, ORDERS, readAddress, standing, step, writeAddress } from './choice';

const usual: ListAddress = { group: 'OUR_TURN', order: 'TIME_LEFT', sentence: EVERYTHING };

describe('the address of a list', () => {
  it('reads back as the same list, whatever is chosen', () => {
    for (const group of ['OUR_TURN', 'THEIR_TURN', 'SET_ASIDE', 'DONE'] as const) {
      for (const { value: order } of ORDERS[group]) {
        for (const said of ['', 'mine; line 2', 'saying a\\;b&c=d; left ..0']) {
          const address: ListAddress = { group, order, sentence: readSentence(said) };
          expect(readAddress(new URLSearchParams(writeAddress(address).toString()))).toEqual(address);
        }
      }
    }
  });

  it('falls back to the usual list when somebody typed nonsense', () => {
    expect(readAddress(new URLSearchParams('group=x&order=y&show=line -3'))).toEqual(usual);
    expect(readAddress(new URLSearchParams('order=waiting-longest')).order).toBe('TIME_LEFT');
  });

  it('of another group has the order that is usual there', () => {
    expect(inGroup({ ...usual, order: 'NEWEST' }, 'SET_ASIDE').order).toBe('TIME_LEFT');
    expect(inGroup(usual, 'DONE').order).toBe('NEWEST');
  });

  it('has who waits longest first among those to identify', () => {
    expect(readAddress(new URLSearchParams(), true).order).toBe('OPEN_LONGEST');
    expect(readAddress(new URLSearchParams('order=time-left'), true).order).toBe('TIME_LEFT');
    expect(inGroup(usual, 'OUR_TURN', true).order).toBe('OPEN_LONGEST');
    for (const { value: order } of ORDERS.OUR_TURN) {
      expect(readAddress(writeAddress({ ...usual, order }, true), true).order).toBe(order);
    }
  });

  it('goes through the orders of its group and begins again', () => {
    const second = { ...usual, order: nextOrder(usual) };
    const third = { ...usual, order: nextOrder(second) };
    expect([second.order, third.order, nextOrder(third)]).toEqual(['NEWEST', 'OPEN_LONGEST', 'TIME_LEFT']);
  });
});

describe('how long it stands so', () => {
  const now = new Date('2026-06-09T19:05:00Z');
  it.each([
    ['OUR_TURN', '2026-06-09T18:00:00Z', 'waits 1 h 05'],
    ['OUR_TURN', '2026-06-09T19:04:30Z', 'waits since just now'],
    ['THEIR_TURN', '2026-06-09T18:53:00Z', 'answered 12 min ago'],
    ['DONE', '2026-06-06T18:53:00Z', 'done 3 days ago'],
  ] as const)('%s since %s is said as "%s"', (group, since, said) => {
    expect(standing({ group, since }, now)).toBe(said);
  });
});

describe('arrow keys', () => {
  it('move through the list and stop at its ends', () => {
    expect(step([4, 7, 9], undefined, 1)).toBe(4);
    expect(step([4, 7, 9], undefined, -1)).toBe(9);
    expect(step([4, 7, 9], 4, 1)).toBe(7);
    expect(step([4, 7, 9], 9, 1)).toBe(9);
    expect(step([4, 7, 9], 4, -1)).toBe(4);
    expect(step([], 8, 1)).toBeUndefined();
  });

  it('go on from where a row was that has left the list', () => {
    expect(step([4, 9], 7, 1, 1)).toBe(9);
    expect(step([4, 9], 7, -1, 1)).toBe(4);
    expect(step([4], 9, 1, 1)).toBe(4);
  });
});

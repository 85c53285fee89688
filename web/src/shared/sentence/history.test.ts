import { describe, expect, it } from 'vitest';
import table from '../../../../core/src/test/resources/sentences-history.txt?raw';
import { type HistoryTerms, historyWords, readHistory, USUAL_HISTORY, writeHistory } from './history';

const texts = table.split('\n').filter((line) => line !== '' && !line.startsWith('#'));

const terms: HistoryTerms = {
  lines: [{ id: 2, name: 'Dock office' }],
  sites: [],
  teams: [],
  staff: [{ id: 4, name: 'Eli' }],
  topics: [],
  customers: [],
  today: '2026-06-09',
};

const said = (text: string) => historyWords(readHistory(text), terms);

describe('sentences of History', () => {
  it.each(texts)('%s is read and written unchanged', (text) => {
    expect(writeHistory(readHistory(text))).toBe(text);
  });

  it.each([
    ['', 'texts sent and received on any line since Monday of last week'],
    ['sent; line 2; ever; by 4', 'texts we sent on Dock office at any time, by Eli'],
    ['notes; last 30; mention lift', 'notes on any line in the last 30 days, that mention lift'],
    ['events; from 2026-01-01', 'events on any line between two dates from 2026-01-01 to …'],
    ['line 9', 'texts sent and received on a line you cannot see since Monday of last week'],
    ['alike; mention lift', ', by meaning, not word for word, that mention lift'],
    ['automatic; state not delivered', ', sent or done by Fabulum itself, not delivered'],
  ])('%s reads as people say it', (text, words) => {
    expect(said(text)).toContain(words);
  });

  it('leaves out what cannot be read', () => {
    expect(readHistory('texts; site 0; ever 3; state lost; ever; last 3; from 2026-02-30; mention')).toEqual({
      ...USUAL_HISTORY,
      when: { ever: true },
    });
  });
});

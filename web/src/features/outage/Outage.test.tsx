// @vitest-environment happy-dom
import { fireEvent, screen, waitFor } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { Comparison } from '../../shared/api';
import { type Answers, No, show } from '../../testing/show';
import { OutagePage } from './OutagePage';

const comparison: Comparison = {
  first: '2026-06-08',
  last: '2026-06-09',
  from: '2026-06-08T00:00:00Z',
  to: '2026-06-10T00:00:00Z',
  doing: 'RESTING',
  days: 2,
  daysDone: 2,
  known: 40,
  missing: 1,
  different: 1,
  taken: 0,
  cannot: 0,
  unreadable: 0,
  texts: [
    {
      networkId: 'r1',
      day: '2026-06-09',
      at: '2026-06-09T02:30:00Z',
      number: '(312) 555-0142',
      lineId: 1,
      words: 'Is anybody there?',
      state: 'MISSING',
    },
    {
      networkId: 'r2',
      day: '2026-06-09',
      at: '2026-06-09T12:00:00Z',
      number: '(312) 555-0143',
      lineId: 1,
      words: 'as they have it',
      ours: 'as we have it',
      state: 'DIFFERENT',
      entryId: 30,
      conversationId: 3,
    },
  ],
};

function look(outage: unknown, more: Answers = {}) {
  return show(<OutagePage />, {
    'GET /api/lines': [{ id: 1, name: 'Dock office', zone: 'America/Chicago' }],
    'GET /api/outage': outage,
    ...more,
  });
}

describe('after an outage', () => {
  it('shows what is missing with the day of the network and our time', async () => {
    look({ comparison, unreported: 0 });
    expect(await screen.findByText('1 missing, 1 different, 40 known')).toBeTruthy();
    const row = (await screen.findByText('Is anybody there?')).closest('tr');
    expect(row?.textContent).toContain('2026-06-09');
    expect(row?.textContent).toMatch(/21:30/);
    expect(screen.getByText('ours: as we have it')).toBeTruthy();
    expect(screen.getByRole('link', { name: 'different' }).getAttribute('href')).toBe('/inbox/3?text=30');
  });

  it('takes in what is missing, and nobody is alerted unless they are to be', async () => {
    const page = look({ comparison, unreported: 0 }, { 'POST /api/outage/take': null });
    fireEvent.click(await screen.findByRole('button', { name: /^Who waits for an answer/ }));
    fireEvent.click(await screen.findByRole('menuitem', { name: 'None of them waits for an answer' }));
    fireEvent.click(screen.getByRole('button', { name: 'Take in 1' }));
    await waitFor(() => expect(page.told('POST', '/api/outage/take')).toEqual([{}]));
  });

  it('says why days cannot be compared, and keeps them', async () => {
    const page = look(
      { unreported: 0 },
      { 'POST /api/outage/compare': new No(422, 'bad-fields', 'The last day comes before the first.') },
    );
    fireEvent.click(await screen.findByRole('button', { name: 'Compare' }));
    expect(await screen.findByText(/last day comes before the first/)).toBeTruthy();
    expect(page.told('POST', '/api/outage/compare')).toHaveLength(1);
  });

  it('says how far it is, and cannot be begun twice', async () => {
    look({ comparison: { ...comparison, doing: 'COMPARING', daysDone: 1, texts: [] }, unreported: 0 });
    expect(await screen.findByText('Comparing, 1 of 2 days')).toBeTruthy();
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Compare' }).disabled).toBe(true);
  });

  it('asks about texts of ours of which nothing is known', async () => {
    const page = look({ unreported: 2 }, { 'POST /api/outage/ask': { texts: 2 } });
    fireEvent.click(await screen.findByRole('button', { name: 'Ask about them now' }));
    expect(await screen.findByText(/Fabulum is asking/)).toBeTruthy();
    expect(page.told('POST', '/api/outage/ask')).toHaveLength(1);
  });
});

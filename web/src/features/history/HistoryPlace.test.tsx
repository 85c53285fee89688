// @vitest-environment jsdom
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { HistoryPage, HistoryRow } from '../../shared/api';
import { harbour, session } from '../../testing/data';
import { type Answers, No, show } from '../../testing/show';
import { HistoryPlace } from './HistoryPlace';

function row(id: number, words: string, more: Partial<HistoryRow> = {}): HistoryRow {
  return {
    entry: {
      id,
      conversationId: 7,
      at: '2026-06-09T14:00:00Z',
      kind: 'IN',
      words,
      automatic: false,
      withdrawn: false,
      needsHand: false,
      mentions: [],
    },
    lineId: 1,
    address: '+13125550142',
    group: false,
    customerName: 'Maud Whitlock',
    toIdentify: false,
    hits: [],
    ...more,
  };
}

const page = (rows: HistoryRow[], more: Partial<HistoryPage> = {}): HistoryPage => ({
  rows,
  count: rows.length,
  many: false,
  hints: [],
  nearMisses: [],
  percent: 100,
  ...more,
});

function look(found: unknown, answers: Answers = {}) {
  return show(<HistoryPlace session={session} />, {
    'GET /api/history': found,
    'GET /api/lines': [{ id: 1, name: 'Dock office', zone: 'America/Chicago' }],
    'GET /api/setup/sites': [],
    'GET /api/staff': [],
    'GET /api/topics': [],
    'GET /api/teams': [harbour],
    'GET /api/sentences': [],
    ...answers,
  });
}

describe('History', () => {
  it('shows what was said with what was looked for marked, and asks for what is typed', async () => {
    const seen = look((asked: { query: URLSearchParams }) =>
      (asked.query.get('sentence') ?? '') === ''
        ? page([row(1, 'a lift slot')])
        : page([row(2, 'the lift is broken', { hits: [{ from: 4, to: 8 }] })], { many: true, count: 1000 }),
    );
    const list = await screen.findByRole('region', { name: 'Found' });
    expect(within(list).getByText(/a lift slot/)).toBeTruthy();
    fireEvent.change(screen.getByLabelText('Words'), { target: { value: 'lift' } });
    expect((await screen.findByText('lift')).tagName).toBe('MARK');
    expect(screen.getByText(/more than 1,000 found/)).toBeTruthy();
    expect(within(list).getByRole('link').getAttribute('href')).toBe('/inbox/7?text=2');
    expect(seen.told('GET', '/api/history')).toHaveLength(2);
  });

  it('offers what may have been meant where nothing was found, and to look further back', async () => {
    const seen = look((asked: { query: URLSearchParams }) =>
      page([], (asked.query.get('sentence') ?? '').includes('windlas') ? { nearMisses: ['windlass'] } : {}),
    );
    fireEvent.change(await screen.findByLabelText('Words'), { target: { value: 'windlas' } });
    fireEvent.click(await screen.findByRole('button', { name: 'windlass' }));
    expect(screen.getByLabelText<HTMLInputElement>('Words').value).toBe('windlass');
    fireEvent.click(await screen.findByRole('button', { name: /at any time/ }));
    await waitFor(() => expect(screen.queryByRole('button', { name: /Look at any time/ })).toBeNull());
    expect(seen.address()).toContain('ever');
  });

  it('says how much can be found so far, and what could not be understood', async () => {
    look(page([row(1, 'a lift slot')], { percent: 37, hints: ['A star stands after the beginning of a word.'] }));
    expect(await screen.findByText(/37 % can be found so far/)).toBeTruthy();
    expect(screen.getByText(/A star stands after/)).toBeTruthy();
  });

  it('says why it cannot be searched', async () => {
    look(new No(503, 'cannot-search', 'History cannot be searched at the moment. Nothing is lost.'));
    expect(await screen.findByText(/Nothing is lost/)).toBeTruthy();
  });
});

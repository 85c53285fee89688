// @vitest-environment happy-dom
import { fireEvent, screen, waitFor } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { HistoryPage, HistoryRow } from '../../shared/api';
import { harbour, session } from '../../testing/data';
import { type Answers, No, show } from '../../testing/show';
import { HistoryPlace } from './HistoryPlace';
import { HistoryRow as HistoryRowOf } from './HistoryRow';

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
  it('asks for what is typed, and says how many there are', async () => {
    const seen = look((asked: { query: URLSearchParams }) =>
      (asked.query.get('sentence') ?? '') === ''
        ? page([row(1, 'a lift slot')])
        : page([row(2, 'the lift')], { many: true, count: 1000, next: 'on' }),
    );
    expect(await screen.findByText(/1 found/)).toBeTruthy();
    fireEvent.change(screen.getByLabelText('Words'), { target: { value: 'lift' } });
    expect(await screen.findByText(/more than 1,000 found/)).toBeTruthy();
    expect(seen.asked.map(({ query }) => query.get('sentence'))).toContain('mention lift');
  });

  it('shows each with what was looked for marked, near it in a long text, and what became of it', () => {
    const words = `${'We looked at everything else first. '.repeat(8)}The lift is broken`;
    const at = words.indexOf('lift');
    const sent: HistoryRow = row(2, words, { hits: [{ from: at, to: at + 4 }] });
    sent.entry.kind = 'OUT';
    sent.entry.delivery = 'NOT_DELIVERED';
    sent.entry.failureReason = 'The phone is off.';
    show(<HistoryRowOf row={sent} line={undefined} chosen={false} teamName={() => ''} onOpen={() => undefined} />);
    expect(screen.getByText('lift').tagName).toBe('MARK');
    const link = screen.getByRole('link');
    expect(link.getAttribute('href')).toBe('/inbox/7?text=2');
    expect(link.textContent).toMatch(
      /^Maud Whitlock.*our office: … .{0,80}The lift is broken.*not delivered: The phone is off/,
    );
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
    fireEvent.click(screen.getByRole('button', { name: /mean this in other words/ }));
    expect(await screen.findByText('Nothing was found that means “windlass”.')).toBeTruthy();
    expect(seen.address()).toContain('alike');
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

// @vitest-environment happy-dom
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import type { Report, Week } from '../../shared/api';
import { maren, session } from '../../testing/data';
import { type Answers, No, show } from '../../testing/show';
import { Costs } from './Costs';
import { MyFigures } from './MyFigures';
import { ReportsPage } from './ReportsPage';
import { timeTicks, timeWords, totalWords, valueWords } from './model/values';

// What is drawn is looked at in a browser.
vi.mock('./ReportChart', () => ({ ReportChart: () => null }));

const answers: Report = {
  said: 'by line',
  subject: 'ANSWERS',
  by: 'LINE',
  first: '2026-05-13',
  last: '2026-06-09',
  columns: [
    { name: 'Answers', unit: 'COUNT' },
    { name: 'Half within', unit: 'SECONDS' },
    { name: 'In time', unit: 'SHARE' },
    { name: 'Late', unit: 'COUNT' },
  ],
  rows: [
    { key: '1', label: 'Dock office', values: [12, 840, 0.916, 1] },
    // The server says nothing as null.
    { key: '2', label: 'Yard', values: [0, null, null, 0] as unknown as number[] },
  ],
  total: { key: '', label: 'All', values: [12, 840, 0.916, 1] },
  percent: 100,
};

const late = {
  conversationId: 7,
  entryId: 70,
  name: 'Maud Whitlock',
  lineId: 1,
  at: '2026-06-08T15:00:00Z',
  by: 'Priya Nandakumar',
  seconds: 7_500,
  promiseSeconds: 3_600,
};

const common: Answers = {
  'GET /api/lines': [{ id: 1, name: 'Dock office', zone: 'America/Chicago' }],
  'GET /api/setup/sites': [],
  'GET /api/staff': [maren],
  'GET /api/topics': [],
  'GET /api/teams': [],
  'GET /api/sentences': [],
};

function look(report: unknown, more: Answers = {}) {
  return show(<ReportsPage session={session} />, { ...common, 'GET /api/reports': report, ...more });
}

/** What was asked for there last. */
const last = (asked: { path: string; query: URLSearchParams }[], path: string) =>
  asked.filter((one) => one.path === path).at(-1);

const chooses = async (blank: RegExp, words: string) => {
  fireEvent.click(await screen.findByRole('button', { name: blank }));
  fireEvent.click(await screen.findByRole('menuitem', { name: words }));
};

describe('Reports', () => {
  it('says all figures in words and as a table, with a dash for what there is nothing to say of', async () => {
    look(answers);
    expect(await screen.findByText('12 answers, half within 14 min, 91 % in time, 1 late')).toBeTruthy();
    const yard = (await screen.findByText('Yard')).closest('tr');
    expect(
      within(yard as HTMLElement)
        .getAllByRole('cell')
        .map((cell) => cell.textContent),
    ).toEqual(['0', '–', '–', '0']);
  });

  it('lists the conversations behind a figure, each with a way into its script', async () => {
    const page = look(answers, { 'GET /api/reports/behind': { cases: [late], more: false } });
    fireEvent.click(await screen.findByRole('button', { name: '1 late, Dock office: show conversations' }));
    const row = await screen.findByRole('link', { name: /Maud Whitlock/ });
    expect(row.getAttribute('href')).toBe('/inbox/7?text=70');
    expect(row.textContent).toContain('late 1 h 05');
    const asked = last(page.asked, '/api/reports/behind');
    expect(asked?.query.get('key')).toBe('1');
    expect(asked?.query.get('late')).toBe('true');
  });

  it('does not take the figures before for those that are on their way', async () => {
    let asked = 0;
    look(() => (asked++ === 0 ? answers : new Promise(() => undefined)));
    await screen.findByRole('button', { name: '1 late, Dock office: show conversations' });
    await chooses(/^Rows/, 'by person');
    await waitFor(() => expect(asked).toBe(2));
    expect(screen.getByText('12 answers, half within 14 min, 91 % in time, 1 late')).toBeTruthy();
    expect(screen.queryByRole('button', { name: /show conversations$/ })).toBeNull();
  });

  it('leaves out rows that other figures cannot have', async () => {
    const page = look(answers);
    await chooses(/^Rows/, 'by person');
    await waitFor(() => expect(last(page.asked, '/api/reports')?.query.get('sentence')).toBe('by person'));
    await chooses(/^Figures/, 'texts in and out');
    await waitFor(() => expect(last(page.asked, '/api/reports')?.query.get('sentence')).toBe('texts'));
    expect(screen.getByRole('link', { name: 'Save as CSV' }).getAttribute('href')).toBe(
      '/api/reports/csv?sentence=texts',
    );
  });

  it('shows the week, and its fullest hour in words', async () => {
    const hours = Array.from({ length: 168 }, (_, i) => ({
      weekday: Math.floor(i / 24) + 1,
      hour: i % 24,
      waiting: i === 32 ? 2.5 : 0,
      answers: i === 32 ? 4 : 0,
      ...(i === 32 ? { halfWithin: 600 } : {}),
      open: true,
    }));
    const week: Week = { said: 'waits', first: '2026-05-13', last: '2026-06-09', hours, percent: 100 };
    look({ ...answers, subject: 'WAITS', by: 'HOUR' }, { 'GET /api/reports/week': week });
    await chooses(/^Figures/, 'customers waiting through the week');
    expect(
      await screen.findByText(
        'Most wait on Tue 8:00: 2.5 waiting on average; 4 answered that came in this hour, half within 10 min',
      ),
    ).toBeTruthy();
  });

  it('says what is wrong with what it was asked, and that days are being summed', async () => {
    look({ ...answers, percent: 40 });
    expect(await screen.findByText('Days are being summed up. 40 % are done, the latest first.')).toBeTruthy();
    look(new No(422, 'invalid', 'There is no line like that any more.'));
    expect(await screen.findByText(/no line like that/)).toBeTruthy();
  });

  it('mails a saved report of mine on Mondays', async () => {
    const saved = { id: 4, name: 'Late', said: '', place: 'REPORTS', many: false, mine: true, mailed: false };
    const page = look(answers, { 'GET /api/sentences': [saved], 'PUT /api/sentences/4/mail': null });
    fireEvent.click(await screen.findByRole('button', { name: 'Mail it to me on Mondays' }));
    await waitFor(() => expect(page.told('PUT', '/api/sentences/4/mail')).toEqual([{ mailed: true }]));
  });

  it('changes a price plan, begun with what it says', async () => {
    const plan = { id: 3, name: 'Flat', currency: 'USD', fee: 20, included: 1000, overPrice: 0.01 };
    const page = show(<Costs />, {
      'GET /api/reports/costs': {
        months: [],
        coming: { month: '2026-06-01', parts: 10, costs: [] },
        allowances: [],
        plans: [{ plan, coming: 20, months: [] }],
      },
      'PUT /api/reports/plans/3': { id: 3 },
    });
    fireEvent.click(await screen.findByRole('button', { name: 'Change the plan Flat' }));
    fireEvent.change(screen.getByLabelText('Parts included'), { target: { value: '1500' } });
    fireEvent.click(screen.getByRole('button', { name: 'Save' }));
    await waitFor(() => expect(page.told('PUT', '/api/reports/plans/3')).toHaveLength(1));
    expect(page.told('PUT', '/api/reports/plans/3')).toMatchObject([{ name: 'Flat', included: 1500, fee: 20 }]);
    expect(screen.queryByRole('button', { name: 'Save' })).toBeNull();
  });

  it('asks for my own figures only', async () => {
    const page = show(<MyFigures session={session} />, { ...common, 'GET /api/reports': answers });
    await screen.findByText('Dock office');
    expect(last(page.asked, '/api/reports')?.query.get('sentence')).toBe(`by week; person ${session.staff.id}`);
    expect(screen.queryByRole('button', { name: /^Colleague/ })).toBeNull();
  });
});

describe('figures in words', () => {
  it.each([
    [59, '59 s'],
    [60, '1 min'],
    [3_599, '59 min'],
    [3_600, '1 h'],
    [3_900, '1 h 05'],
  ])('%i seconds are %s', (seconds, words) => expect(timeWords(seconds)).toBe(words));

  it('only all are 100 %', () => {
    expect(valueWords(0.9999, { name: '', unit: 'SHARE' })).toBe('99 %');
    expect(valueWords(1, { name: '', unit: 'SHARE' })).toBe('100 %');
  });

  it('an axis of times has at most six round marks', () => {
    expect(timeTicks(4_000)).toEqual([0, 900, 1_800, 2_700, 3_600]);
    expect(timeTicks(0)).toEqual([0]);
    expect(timeTicks(10_000_000).length).toBeLessThanOrEqual(7);
  });

  it('leaves out of the total what there is nothing to say of', () => {
    expect(
      totalWords({ ...answers, total: { key: '', label: 'All', values: [0, null, null, 0] as unknown as number[] } }),
    ).toBe('0 answers, 0 late');
  });
});

// @vitest-environment happy-dom
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { expect, it, vi } from 'vitest';
import type { Candidate, Likely } from '../../shared/api';
import { conversation, dock, session } from '../../testing/data';
import { type Answers, No, show } from '../../testing/show';
import { IdentifyBand } from './IdentifyBand';

const LIKELY = 'GET /api/conversations/7/likely';
const CUSTOMER = 'POST /api/conversations/7/identify/customer';

function candidate(customerId: number, name: string, likelihood: number, more: Partial<Candidate> = {}): Candidate {
  return {
    customerId,
    name,
    likelihood,
    holds: false,
    details: ['North Dock', 'Kittiwake II'],
    numbers: [{ numberId: 40 + customerId, number: '+13125550188' }],
    reasons: [
      { clue: 'FULL_NAME', sentence: `Says “${name}”.`, points: 6 },
      { clue: 'JUST_WROTE', sentence: 'They wrote from their own number not long before.', points: -1 },
    ],
    ...more,
  };
}

const FOUND: Likely = {
  candidates: [
    candidate(3, 'Vera Lund', 0.93),
    candidate(4, 'Otto Lund', 0.04),
    candidate(5, 'Ines Berg', 0.01),
    candidate(6, 'Bo Lind', 0.01),
  ],
  holders: [],
  nobody: 0.01,
  nobodysReasons: [{ clue: 'NOBODY', sentence: 'Most who write from an unknown number are new.', points: 5 }],
  guessedName: 'Vera Lund',
  acts: [],
  canCheck: false,
};

function band(answers: Answers, likely: Likely = FOUND, me = session) {
  const onAsk = vi.fn();
  const page = show(
    <IdentifyBand conversation={conversation(7, { toIdentify: true })} onAsk={onAsk} />,
    { [LIKELY]: likely, 'GET /api/lines': [dock], ...answers },
    me,
  );
  return { ...page, onAsk };
}

const first = () => screen.findByRole('listitem', { name: 'Vera Lund' });

it('shows the likeliest with why, also what speaks against, and more when asked', async () => {
  band({});
  const row = await first();
  expect(row.textContent).toContain('93 %');
  expect(row.textContent).toContain('almost certainly');
  expect(row.textContent).toContain('Says “Vera Lund”. But: They wrote from their own number');
  expect(screen.queryByRole('listitem', { name: 'Bo Lind' })).toBeNull();
  fireEvent.click(screen.getByRole('button', { name: 'Show 1 more' }));
  expect(screen.getByRole('listitem', { name: 'Bo Lind' })).toBeTruthy();
});

it('puts nobody we know among the candidates where it belongs, with the way to make a customer', async () => {
  const stranger = {
    ...FOUND,
    nobody: 0.7,
    candidates: FOUND.candidates.map((each) => ({ ...each, likelihood: 0.1 })),
  };
  band({}, stranger);
  await first();
  const names = screen.getAllByRole('listitem').map((row) => row.getAttribute('aria-label'));
  expect(names.filter(Boolean)).toEqual(['Nobody we know', 'Vera Lund', 'Otto Lund']);
  const nobody = within(screen.getByRole('listitem', { name: 'Nobody we know' }));
  nobody.getByText('70 %');
  fireEvent.click(nobody.getByRole('button', { name: /^New customer/ }));
  expect(await screen.findByRole('form', { name: 'New customer' })).toBeTruthy();
});

it('Y says it is the first, with what the page showed', async () => {
  const page = band({ [CUSTOMER]: { act: 9 } });
  await first();
  fireEvent.keyDown(document.body, { key: 'y' });
  await waitFor(() =>
    expect(page.told('POST', '/api/conversations/7/identify/customer')).toEqual([
      { customerId: 3, shared: false, seen: [] },
    ]),
  );
});

it('J says it is the second, and an old number can be given up with it', async () => {
  const page = band({ [CUSTOMER]: { act: 9 } });
  await first();
  fireEvent.keyDown(document.body, { key: 'j' });
  const row = await first();
  fireEvent.click(within(row).getByRole('button', { name: 'old number is gone…' }));
  fireEvent.click(within(row).getByRole('button', { name: /\+13125550188 is no longer theirs/ }));
  await waitFor(() =>
    expect(page.told('POST', '/api/conversations/7/identify/customer')).toEqual([
      { customerId: 4, shared: false, seen: [] },
      { customerId: 3, shared: false, givesUp: 43, seen: [] },
    ]),
  );
});

it('a new customer has the name the writer gave, and the page says what is wrong with another', async () => {
  const wrong = new No(422, 'bad-fields', 'A name has 1 to 160 characters.', [
    { field: 'name', why: 'A name has 1 to 160 characters.' },
  ]);
  const page = band({ 'POST /api/conversations/7/identify/new': wrong });
  await first();
  fireEvent.keyDown(document.body, { key: 'p' });
  const name = await screen.findByLabelText('Name');
  expect((name as HTMLInputElement).value).toBe('Vera Lund');
  fireEvent.submit(screen.getByRole('form', { name: 'New customer' }));
  await waitFor(() =>
    expect(page.told('POST', '/api/conversations/7/identify/new')).toEqual([{ name: 'Vera Lund', seen: [] }]),
  );
  expect((await screen.findAllByText('A name has 1 to 160 characters.')).length).toBeGreaterThan(0);
});

it('of several holders one wrote what is chosen', async () => {
  const both = {
    ...FOUND,
    candidates: [candidate(3, 'Vera Lund', 0.6, { holds: true }), candidate(4, 'Otto Lund', 0.4, { holds: true })],
    holders: [3, 4],
  };
  const page = band({ 'POST /api/conversations/7/identify/holder': { act: 9 } }, both);
  await first();
  fireEvent.click(screen.getByRole('radio', { name: 'the last text only' }));
  fireEvent.click(screen.getByRole('button', { name: 'It is Otto Lund' }));
  await waitFor(() =>
    expect(page.told('POST', '/api/conversations/7/identify/holder')).toEqual([
      { customerId: 4, scope: 'TEXT', seen: [3, 4] },
    ]),
  );
  fireEvent.keyDown(document.body, { key: 'q' });
  expect(page.onAsk).toHaveBeenCalledWith(expect.stringContaining('Several people use this number'));
});

it('what a colleague said meanwhile is told, and nothing is changed', async () => {
  const said = new No(409, 'changed-meanwhile', 'A colleague has just said whose number this is: Bo Lind.');
  band({ [CUSTOMER]: said });
  await first();
  fireEvent.keyDown(document.body, { key: 'y' });
  expect(await screen.findByText(/A colleague has just said whose number this is: Bo Lind/)).toBeTruthy();
});

it('who may only look has no keys for it', async () => {
  const page = band({}, FOUND, { ...session, may: [] });
  await first();
  fireEvent.keyDown(document.body, { key: 'y' });
  fireEvent.click(screen.getByRole('button', { name: 'It is Vera Lund' }));
  expect(page.told('POST', '/api/conversations/7/identify/customer')).toEqual([]);
});

it('says what the number check found, and has it asked again', async () => {
  const check = {
    number: '+13125550123',
    reach: 'LANDLINE',
    carrier: 'Northline',
    registeredTo: 'Vera Lund',
    checkedAt: '2026-06-01T15:00:00Z',
    asked: false,
  } as const;
  const page = band({ 'POST /api/number-checks': undefined }, { ...FOUND, canCheck: true, check });
  expect(await screen.findByText(/landline, cannot receive texts, Northline, registered to Vera Lund/)).toBeTruthy();
  fireEvent.click(screen.getByRole('button', { name: 'Check it again' }));
  await waitFor(() => expect(page.told('POST', '/api/number-checks')).toHaveLength(1));
});

// @vitest-environment happy-dom
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { useState } from 'react';
import { expect, it } from 'vitest';
import type { Dossier } from '../../shared/api';
import { Beside } from '../../shared/sheet';
import { conversation, customerTerms, dock, dossierWith, maren, vera, yard } from '../../testing/data';
import { type Answers, show } from '../../testing/show';
import { CustomerSheet } from './CustomerSheet';

const DOSSIER = dossierWith({
  customer: {
    id: 3,
    name: 'Vera Lund',
    email: 'vera@lund.example',
    details: [{ name: 'Boat', detail: 'Kittiwake II' }],
    otherNumbers: ['(312) 555-0108'],
    openJobs: [{ what: 'bilge pump', standing: 'waiting for parts' }],
  },
  holders: ['Vera Lund'],
});
const ELSEWHERE = 'GET /api/conversations/7/elsewhere';
const AGREEMENT = {
  number: 'GOOD',
  service: { answer: 'OPTED_OUT', ground: 'KEYWORD', since: '2026-06-08T19:05:00Z' },
  news: { answer: 'NOT_SAID' },
  history: [
    {
      id: 1,
      numberId: 4,
      notedAt: '2026-06-08T19:05:00Z',
      given: false,
      service: true,
      news: true,
      ground: 'KEYWORD',
      words: 'STOP',
    },
  ],
};

const LIKELY = {
  candidates: [],
  holders: [3],
  nobody: 1,
  nobodysReasons: [],
  guessedName: '',
  acts: [{ id: 12, kind: 'CUSTOMER', numberId: 4, customerId: 3, staffId: 1, doneAt: '2026-06-02T19:05:00Z' }],
};

function Desk({ dossier }: { dossier: Dossier }) {
  const [open, setOpen] = useState(false);
  const sheet = open && <CustomerSheet dossier={dossier} zone={dock.zone} asked onClose={() => setOpen(false)} />;
  return (
    <Beside sheet={sheet}>
      <button onClick={() => setOpen(true)}>the script</button>
    </Beside>
  );
}

function lay(answers: Answers, dossier = DOSSIER) {
  const page = show(<Desk dossier={dossier} />, {
    'GET /api/lines': [dock, yard],
    'GET /api/conversations/7/agreement': AGREEMENT,
    'GET /api/conversations/7/likely': LIKELY,
    'GET /api/staff': [maren],
    'GET /api/customers/3': vera,
    'GET /api/customers/3/twins': [],
    'GET /api/customers/terms': customerTerms,
    ...answers,
  });
  const script = screen.getByRole('button', { name: 'the script' });
  script.focus();
  fireEvent.click(script);
  return { ...page, script };
}

it('says who it is and what else is said with them, takes the keys, and gives them back', async () => {
  const other = conversation(8, { lineId: yard.id, group: 'DONE', lastWords: 'Is she out of the slings yet?' });
  const { script } = lay({ [ELSEWHERE]: [other] });
  expect(document.activeElement?.textContent).toBe('Vera Lund');
  expect(await screen.findByText('(312) 555-0108')).toBeTruthy();
  for (const said of ['vera@lund.example', 'Kittiwake II', 'waiting for parts'])
    expect(await screen.findByDisplayValue(said)).toBeTruthy();
  expect(screen.getByText('Shared with Otto Lund.')).toBeTruthy();
  expect(screen.getByText('Texts, never calls.')).toBeTruthy();
  const link = await screen.findByRole('link', { name: /Is she out of the slings yet/ });
  expect(link.getAttribute('href')).toBe('/inbox/8');
  expect(link.textContent).toContain('Yard and lift, done');
  fireEvent.keyDown(screen.getByRole('complementary'), { key: 'Escape' });
  expect(screen.queryByRole('complementary')).toBeNull();
  expect(document.activeElement).toBe(script);
});

it('says of a number nobody is known to hold what else it wrote', async () => {
  lay({ [ELSEWHERE]: [] }, { ...DOSSIER, customer: undefined, holders: ['Vera Lund', 'Otto Lund'] });
  expect(screen.getByRole('complementary', { name: '(312) 555-0107' })).toBeTruthy();
  expect(screen.getByText('Vera Lund, Otto Lund')).toBeTruthy();
  expect(await screen.findByText(/What this number writes to other lines/)).toBeTruthy();
});

it('says what they allow us to text, on what ground, and notes what they say', async () => {
  const page = lay({ [ELSEWHERE]: [], 'POST /api/conversations/7/agreement': undefined });
  expect(await screen.findByText(/× opted out, by text/)).toBeTruthy();
  expect(screen.getByText(/Only START from their phone/)).toBeTruthy();
  expect(screen.getByRole('list', { name: 'What was noted' }).textContent).toContain(
    'opted out of all texts, by text (“STOP”)',
  );
  fireEvent.click(screen.getByRole('button', { name: 'Note what they said…' }));
  fireEvent.click(screen.getByRole('checkbox', { name: 'news and offers' }));
  fireEvent.change(screen.getByRole('textbox', { name: /How they said it/ }), { target: { value: 'at the counter' } });
  fireEvent.click(screen.getByRole('button', { name: 'Note it' }));
  await waitFor(() =>
    expect(page.told('POST', '/api/conversations/7/agreement')).toEqual([
      { given: true, kinds: ['SERVICE', 'NEWS'], words: 'at the counter' },
    ]),
  );
});

it('a number that belongs to someone else is marked, and right again', async () => {
  const marked = { ...AGREEMENT, number: 'MARKED_WRONG' };
  const page = lay({
    [ELSEWHERE]: [],
    'GET /api/conversations/7/agreement': marked,
    'PUT /api/conversations/7/agreement/number': undefined,
  });
  expect(await screen.findByText('× marked as wrong')).toBeTruthy();
  fireEvent.click(screen.getByRole('button', { name: 'The number is right' }));
  await waitFor(() => expect(page.told('PUT', '/api/conversations/7/agreement/number')).toEqual([{ wrong: false }]));
});

it('what was said of who writes a week ago can be taken back', async () => {
  const page = lay({ [ELSEWHERE]: [], 'POST /api/identifying/12/undo': undefined });
  const part = await screen.findByRole('region', { name: 'Who writes from this number' });
  expect(part.textContent).toContain('Maren Oduya said whose number this is.');
  fireEvent.click(within(part).getByRole('button', { name: 'Take back' }));
  await waitFor(() => expect(page.told('POST', '/api/identifying/12/undo')).toHaveLength(1));
});

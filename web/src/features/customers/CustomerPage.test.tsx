// @vitest-environment happy-dom
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { Route, Routes } from 'react-router';
import { beforeEach, describe, expect, it } from 'vitest';
import { customerTerms, dock, maren, session, vera, yard } from '../../testing/data';
import { type Answers, No, show } from '../../testing/show';
import { makeRoom } from '../../testing/room';
import { CustomerPage } from './CustomerPage';

const entry = (id: number, conversationId: number, words: string) => ({
  id,
  conversationId,
  at: `2026-06-09T18:0${id}:00Z`,
  kind: 'IN',
  words,
  automatic: false,
  withdrawn: false,
  needsHand: false,
  mentions: [],
});

const STORY = {
  entries: [entry(1, 7, 'one'), entry(2, 7, 'two'), entry(3, 8, 'three')],
  where: [
    { conversationId: 7, lineId: dock.id, address: '+13125550107', group: false },
    { conversationId: 8, lineId: yard.id, address: '+13125550108', group: false },
  ],
};

function open(answers: Answers = {}) {
  const routes = (
    <Routes>
      <Route path="/customers/:id" element={<CustomerPage />} />
      <Route path="*" element={null} />
    </Routes>
  );
  return show(
    routes,
    {
      'GET /api/lines': [dock, yard],
      'GET /api/teams': [],
      'GET /api/staff': [maren],
      'GET /api/customers/3/files': [],
      'GET /api/customers/3': vera,
      'GET /api/customers/3/twins': [],
      'GET /api/customers/3/story': STORY,
      'GET /api/customers/terms': customerTerms,
      ...answers,
    },
    session,
    '/customers/3',
  );
}

const put = async (name: string, words: string) => {
  const blank = await screen.findByLabelText(name);
  fireEvent.change(blank, { target: { value: words } });
  fireEvent.blur(blank);
};

beforeEach(makeRoom);

describe('a customer’s page', () => {
  it('says each time where the story goes on', async () => {
    open();
    const story = await screen.findByRole('region', { name: 'All that was said with Vera Lund' });
    await within(story).findByText('three');
    const places = within(story).getAllByRole('link', { name: 'Open this conversation' });
    expect(places.map((link) => link.getAttribute('href'))).toEqual(['/inbox/7', '/inbox/8']);
    expect(within(story).getByText('Dock office, (312) 555-0107')).toBeTruthy();
    expect(within(story).getByText('Yard and lift, (312) 555-0108')).toBeTruthy();
  });

  it('changes a field from what it showed, and says why it was refused', async () => {
    const page = open({
      'PUT /api/customers/3/field': new No(409, 'changed-meanwhile', 'A colleague has changed this e-mail.'),
      'PUT /api/customers/3/details/1': undefined,
    });
    await put('E-mail', 'v@lund.example');
    expect(await screen.findByText(/A colleague has changed this e-mail/)).toBeTruthy();
    await put('Boat', 'Tansy');
    await waitFor(() =>
      expect(page.told('PUT', '/api/customers/3/details/1')).toEqual([{ was: 'Kittiwake II', now: 'Tansy' }]),
    );
    expect(page.told('PUT', '/api/customers/3/field')).toEqual([
      { field: 'EMAIL', was: 'vera@lund.example', now: 'v@lund.example' },
    ]);
  });

  it('makes an appointment of a few typed words, also while they are read once more', async () => {
    let reads = 0;
    const page = open({
      'GET /api/appointments/read': () =>
        reads++ === 0 ? { at: '2026-06-11T19:30:00Z', open: true } : new Promise(() => undefined),
      'POST /api/customers/3/appointments': { id: 9 },
    });
    fireEvent.click(await screen.findByRole('button', { name: 'Add an appointment' }));
    const form = screen.getByRole('form', { name: 'New appointment' });
    fireEvent.change(within(form).getByLabelText('What'), { target: { value: 'Lift-out' } });
    fireEvent.change(within(form).getByLabelText('When'), { target: { value: 'Thu 14:30' } });
    await within(form).findByText('Thu 11 Jun 14:30');
    void page.queries.invalidateQueries();
    await waitFor(() => expect(reads).toBe(2));
    fireEvent.submit(form);
    await waitFor(() =>
      expect(page.told('POST', '/api/customers/3/appointments')).toMatchObject([
        { what: 'Lift-out', startsAt: '2026-06-11T19:30:00Z', state: 'AGREED' },
      ]),
    );
  });

  it('writes from the line on which something was said last, to the number that is texted first', async () => {
    const page = open({ 'POST /api/write-to': { id: 7 } });
    const story = await screen.findByRole('region', { name: 'All that was said with Vera Lund' });
    await within(story).findByText('three');
    fireEvent.click(screen.getByRole('button', { name: 'Write to Vera Lund' }));
    await waitFor(() =>
      expect(page.told('POST', '/api/write-to')).toEqual([
        { line: yard.id, number: '+13125550107', makeCustomer: false, name: '' },
      ]),
    );
    await waitFor(() => expect(sessionStorage.getItem('fabulum.writing-in')).toBe('7'));
  });

  it('links a job with the conversation in which one writes about it', async () => {
    const page = open({ 'POST /api/write-to': { id: 7 }, 'PUT /api/jobs/2': undefined });
    fireEvent.click(await screen.findByRole('button', { name: 'Write about bilge pump' }));
    await waitFor(() => expect(page.told('PUT', '/api/jobs/2')).toMatchObject([{ conversationId: 7, version: 1 }]));
  });

  it('joins whom it asks about, and offers to take that back', async () => {
    const page = open({
      'GET /api/customers/3/twins': [{ id: 12, name: 'V. Lund', reasons: ['Nearly the same name', 'The same number'] }],
      'POST /api/customers/3/join': { act: 44 },
    });
    const note = await screen.findByRole('note', { name: 'Perhaps on file twice' });
    expect(note.textContent).toContain('nearly the same name, the same number');
    fireEvent.click(within(note).getByRole('button', { name: 'Join V. Lund with Vera Lund' }));
    await waitFor(() => expect(page.told('POST', '/api/customers/3/join')).toEqual([{ gone: 12 }]));
  });

  it('says of somebody who is on file as another where they are', async () => {
    const joined = { ...vera, file: { ...vera.file, joinedInto: 12 }, joinedIntoName: 'V. Lund' };
    open({ 'GET /api/customers/3': joined });
    expect((await screen.findByRole('link', { name: 'V. Lund' })).getAttribute('href')).toBe('/customers/12');
    expect(screen.queryByRole('button', { name: /^Write to/ })).toBeNull();
    expect(screen.queryByLabelText('E-mail')).toBeNull();
  });

  it('says what changed, and takes back what was said of numbers', async () => {
    const page = open({
      'GET /api/customers/3/changes': [
        { id: 2, at: '2026-06-08T19:05:00Z', staffId: 1, what: 'GIVEN_UP', after: '+13125550109', act: 2 },
        { id: 9, at: '2026-06-07T19:05:00Z', staffId: 1, what: 'Boat', before: 'Tansy', after: 'Kittiwake II' },
      ],
      'POST /api/identifying/2/undo': undefined,
    });
    const part = await screen.findByRole('region', { name: 'What changed' });
    fireEvent.click(within(part).getByRole('button', { name: 'Show' }));
    expect(await within(part).findByText(/changed Boat from “Tansy” to “Kittiwake II”/)).toBeTruthy();
    expect(part.textContent).toContain('Maren Oduya said that they gave up the number +13125550109.');
    fireEvent.click(within(part).getByRole('button', { name: 'Take back' }));
    await waitFor(() => expect(page.told('POST', '/api/identifying/2/undo')).toHaveLength(1));
  });

  it('removes a customer for good only when the name was typed', async () => {
    const found = { name: 'Vera Lund', numbers: 1, shared: 1, conversations: 2, texts: 14, work: 1 };
    const page = open({
      'GET /api/customers/3/removal': found,
      'POST /api/customers/3/removal': found,
    });
    fireEvent.click(await screen.findByRole('button', { name: 'Remove for good…' }));
    const dialog = await screen.findByRole('dialog');
    expect(await within(dialog).findByText(/2 conversations with 14 texts/)).toBeTruthy();
    const go = within(dialog).getByRole<HTMLButtonElement>('button', { name: 'Remove for good' });
    expect(go.disabled).toBe(true);
    fireEvent.change(within(dialog).getByLabelText(/Type the name/), { target: { value: 'vera lund' } });
    expect(go.disabled).toBe(false);
    fireEvent.click(go);
    await waitFor(() => expect(page.told('POST', '/api/customers/3/removal')).toEqual([{ name: 'vera lund' }]));
    await waitFor(() => expect(page.address()).toBe('/customers'));
  });
});

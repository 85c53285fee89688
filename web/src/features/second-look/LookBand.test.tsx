// @vitest-environment happy-dom
import { fireEvent, screen, waitFor } from '@testing-library/react';
import { useState } from 'react';
import { describe, expect, it } from 'vitest';
import { checked, conversation, maren, priya, session } from '../../testing/data';
import { type Answers, No, show } from '../../testing/show';
import { LookBand } from './LookBand';

const WAITING = { id: 4, staff: priya.id, words: 'It is free.', askedAt: '2026-06-09T19:00:00Z', attachments: [] };
const APPROVE = 'POST /api/second-looks/4/approve';
const ANSWERS: Answers = {
  'GET /api/conversations/7/second-looks': [WAITING],
  'POST /api/second-looks/4/check': checked,
  'GET /api/staff': [maren, priya],
};

function lay(answers: Answers = {}, me = session) {
  return show(<LookBand conversation={conversation(7)} zone="America/Chicago" />, { ...ANSWERS, ...answers }, me);
}

const press = async (name: string) => fireEvent.click(await screen.findByRole('button', { name }));
const first = priya.name.split(' ')[0] ?? '';

describe('a text that waits for a second look', () => {
  it('is changed and sent for its writer', async () => {
    const page = lay({ [APPROVE]: { parts: 1, pauseSeconds: 0, waitsForLook: false } });
    await press('Change');
    fireEvent.change(screen.getByRole('textbox'), { target: { value: 'Berth 4 is free.' } });
    await press(`Send for ${first}`);
    await waitFor(() => expect(page.told('POST', '/api/second-looks/4/approve')).toHaveLength(1));
    expect(page.told('POST', '/api/second-looks/4/approve')).toMatchObject([{ words: 'Berth 4 is free.' }]);
  });

  it('says what speaks against it, confirms it, and says when another was first', async () => {
    const night = { code: 'night', severity: 'ASK', sentence: 'It is night there.' };
    const page = lay({
      'POST /api/second-looks/4/check': { ...checked, objections: [night] },
      [APPROVE]: new No(409, 'changed-meanwhile', 'This text does not wait any more.'),
    });
    await screen.findByText('It is night there.');
    await press(`Send anyway for ${first}`);
    await screen.findByText(/does not wait any more/);
    expect(page.told('POST', '/api/second-looks/4/approve')).toMatchObject([{ confirmed: ['night'] }]);
  });

  it('is returned with a word, and only with one', async () => {
    const page = lay({ 'POST /api/second-looks/4/return': undefined });
    await press(`Return to ${first}…`);
    const button = await screen.findByRole<HTMLButtonElement>('button', { name: `Return to ${first}` });
    expect(button.disabled).toBe(true);
    fireEvent.change(screen.getByLabelText(`A word to ${first}`), { target: { value: 'Look it up' } });
    await press(`Return to ${first}`);
    await waitFor(() => expect(page.told('POST', '/api/second-looks/4/return')).toEqual([{ why: 'Look it up' }]));
  });

  it('keeps the word that is being typed when something happens in the conversation', async () => {
    function Happening() {
      const [version, setVersion] = useState(1);
      return (
        <>
          <button onClick={() => setVersion(2)}>something happens</button>
          <LookBand conversation={{ ...conversation(7), version }} zone="America/Chicago" />
        </>
      );
    }
    let asked = 0;
    show(<Happening />, {
      ...ANSWERS,
      'GET /api/conversations/7/second-looks': () => (asked++ === 0 ? [WAITING] : new Promise(() => undefined)),
    });
    await press(`Return to ${first}…`);
    fireEvent.change(screen.getByLabelText(`A word to ${first}`), { target: { value: 'Look it' } });
    await press('something happens');
    await waitFor(() => expect(asked).toBe(2));
    expect(screen.getByLabelText<HTMLInputElement>(`A word to ${first}`).value).toBe('Look it');
  });

  it('is gone as soon as it was sent, before the texts that wait were read again', async () => {
    let asked = 0;
    const page = lay({
      'GET /api/conversations/7/second-looks': () => (asked++ === 0 ? [WAITING] : new Promise(() => undefined)),
      [APPROVE]: { parts: 1, pauseSeconds: 0, waitsForLook: false },
    });
    await press(`Send for ${first}`);
    await waitFor(() => expect(page.told('POST', '/api/second-looks/4/approve')).toHaveLength(1));
    await waitFor(() => expect(screen.queryByRole('region', { name: 'Second look' })).toBeNull());
  });

  it('is taken back by its writer, who cannot approve it', async () => {
    const me = { ...session, staff: priya, page: { ...session.page, secondLook: true } };
    const page = lay({ 'POST /api/second-looks/4/take-back': undefined }, me);
    await press('Take back');
    await waitFor(() => expect(page.told('POST', '/api/second-looks/4/take-back')).toHaveLength(1));
    expect(screen.queryByRole('button', { name: /^Send/ })).toBeNull();
  });

  it('cannot be approved by those whose own texts wait', async () => {
    lay({}, { ...session, page: { ...session.page, secondLook: true } });
    const send = await screen.findByRole<HTMLButtonElement>('button', { name: `Send for ${first}` });
    expect(send.getAttribute('aria-disabled') === 'true' || send.disabled).toBe(true);
  });
});

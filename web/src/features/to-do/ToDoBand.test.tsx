// @vitest-environment happy-dom
import { fireEvent, screen, waitFor } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { conversation, maren, priya } from '../../testing/data';
import { type Answers, No, show } from '../../testing/show';
import { ToDoBand } from './ToDoBand';

const CALL = { note: 31, words: 'Call back', staff: priya.id, dueAt: '2026-06-09T22:00:00Z' };
const MAST = {
  note: 32,
  words: 'Look for the mast',
  staff: maren.id,
  dueAt: '2026-06-09T19:00:00Z',
  broughtAt: '2026-06-09T19:00:00Z',
};

function lay(answers: Answers = {}) {
  return show(<ToDoBand conversation={conversation(7)} me={maren.id} zone="America/Chicago" />, {
    'GET /api/conversations/7/to-dos': [CALL, MAST],
    'GET /api/staff': [maren, priya],
    ...answers,
  });
}

describe('what is to be done in a conversation', () => {
  it('says by whom and when, and what has come due', async () => {
    lay();
    const band = await screen.findByRole('region', { name: 'To do' });
    await waitFor(() =>
      expect(band.textContent).toMatch(/^To doCall back Priya Nandakumar, .*Tick offTo do nowLook for the mast you, /),
    );
  });

  it('is ticked off one by one, and says when that did not work', async () => {
    const page = lay({ 'POST /api/to-dos/32/done': new No(404, 'gone', 'This is not here any more.') });
    fireEvent.click(await screen.findByRole('button', { name: 'Tick off: Look for the mast' }));
    await screen.findByText(/not here any more/);
    expect(page.told('POST', '/api/to-dos/32/done')).toHaveLength(1);
    expect(page.told('POST', '/api/to-dos/31/done')).toHaveLength(0);
  });
});

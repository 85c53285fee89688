// @vitest-environment happy-dom
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import type { SavedSentence } from '../../shared/api';
import { harbour, session } from '../../testing/data';
import { type Answers, No, show } from '../../testing/show';
import type { Sayable } from './queries';
import { SavedSentences } from './SavedSentences';

const parcels: SavedSentence = {
  id: 4,
  name: 'Parcels',
  said: "nobody's; saying parcels",
  place: 'INBOX',
  group: 'DONE',
  order: 'NEWEST',
  count: 3,
  many: false,
  mailed: false,
  mine: true,
  teamId: 1,
};
const PLAIN: Sayable = { place: 'INBOX', said: '', group: 'OUR_TURN', order: 'TIME_LEFT' };
const HERE: Sayable = { place: 'INBOX', said: "nobody's; saying parcels", group: 'DONE', order: 'NEWEST' };

function look(here: Sayable, saved: SavedSentence[], answers: Answers = {}) {
  const onChoose = vi.fn<(saved: SavedSentence) => void>();
  const page = show(<SavedSentences session={session} here={here} plain={here === PLAIN} onChoose={onChoose} />, {
    'GET /api/sentences': saved,
    'GET /api/teams': [harbour, { id: 2, name: 'Yard crew', members: [2] }],
    ...answers,
  });
  return { ...page, onChoose };
}

describe('saved sentences', () => {
  it('stand with their count, and show exactly what was saved', async () => {
    const page = look(PLAIN, [parcels, { ...parcels, id: 5, name: 'Old', count: 999, many: true }]);
    expect(await screen.findByRole('button', { name: /^Old ?999\+$/ })).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: /^Parcels ?3$/ }));
    expect(page.onChoose).toHaveBeenCalledWith(parcels);
    expect(screen.queryByRole('button', { name: 'Save this sentence…' })).toBeNull();
  });

  it('show which of them one is in, and can be dropped by who made them', async () => {
    const page = look(HERE, [parcels], { 'DELETE /api/sentences/4': undefined });
    const here = await screen.findByRole('button', { name: /^Parcels ?3$/ });
    expect(here.getAttribute('aria-pressed')).toBe('true');
    fireEvent.click(screen.getByRole('button', { name: 'Delete it' }));
    await waitFor(() => expect(page.told('DELETE', '/api/sentences/4')).toHaveLength(1));
  });

  it('of another place are not shown', async () => {
    look(HERE, [parcels, { ...parcels, id: 9, name: 'Storms', place: 'HISTORY' }]);
    await screen.findByRole('button', { name: /^Parcels ?3$/ });
    expect(screen.queryByRole('button', { name: /Storms/ })).toBeNull();
  });

  it('of a colleague cannot be dropped', async () => {
    look(HERE, [{ ...parcels, mine: false }]);
    await screen.findByRole('button', { name: /^Parcels ?3$/ });
    expect(screen.queryByRole('button', { name: 'Delete it' })).toBeNull();
  });

  it('are saved for oneself or one of one’s own teams; a name that is taken is said, and what was typed is kept', async () => {
    const page = look(HERE, [], {
      'POST /api/sentences': new No(409, 'conflict', 'There is one called “Parcels” already.'),
    });
    fireEvent.click(await screen.findByRole('button', { name: 'Save this sentence…' }));
    const form = await screen.findByRole('dialog', { name: 'Save this sentence' });
    fireEvent.change(within(form).getByLabelText('Name'), { target: { value: 'Parcels' } });
    fireEvent.click(within(form).getByRole('button', { name: 'For whom: me' }));
    await screen.findByRole('menuitem', { name: 'everyone in Harbour office' });
    expect(screen.getAllByRole('menuitem').map((item) => item.textContent)).toEqual([
      'me',
      'everyone in Harbour office',
    ]);
    fireEvent.click(screen.getByRole('menuitem', { name: 'everyone in Harbour office' }));
    fireEvent.click(within(form).getByRole('button', { name: 'Save' }));
    expect(await within(form).findByText(/There is one called “Parcels” already/)).toBeTruthy();
    page.answers['POST /api/sentences'] = { id: 6 };
    fireEvent.change(within(form).getByLabelText('Name'), { target: { value: 'Parcels of ours' } });
    fireEvent.click(within(form).getByRole('button', { name: 'Save' }));
    await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());
    expect(page.told('POST', '/api/sentences')[1]).toEqual({
      name: 'Parcels of ours',
      said: "nobody's; saying parcels",
      place: 'INBOX',
      group: 'DONE',
      order: 'NEWEST',
      teamId: 1,
    });
  });
});

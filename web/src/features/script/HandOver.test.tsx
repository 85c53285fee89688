// @vitest-environment happy-dom
import { act, fireEvent, screen, within } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import { harbour, maren, priya } from '../../testing/data';
import { type Answers, No, show } from '../../testing/show';
import { HandOver } from './HandOver';

const RECEIVERS = {
  people: [
    { staff: priya, in: true },
    { staff: { ...maren, id: 5, name: 'Tobias Renner' }, in: false, until: '2026-06-10T12:00:00Z' },
  ],
  teams: [harbour],
};

function look(answer: Answers[string]) {
  const onHandOver = vi.fn();
  const onClose = vi.fn();
  const page = show(
    <HandOver id={7} name="Greta Moss" zone="America/Chicago" onClose={onClose} onHandOver={onHandOver} />,
    { 'GET /api/conversations/7/hand-to': answer },
  );
  return { ...page, onHandOver, onClose };
}

const whom = () => screen.getByLabelText('To whom');
const type = (words: string) => fireEvent.change(whom(), { target: { value: words } });
const chosen = () => screen.getAllByRole('option', { selected: true }).map((option) => option.textContent);

describe('handing over', () => {
  it('offers who may have it, with who is in and who is away', async () => {
    look(RECEIVERS);
    const list = screen.getByRole('listbox', { name: 'Who can take it' });
    await within(list).findByText('Priya Nandakumar');
    expect(
      within(list)
        .getAllByRole('option')
        .map((option) => option.textContent),
    ).toEqual(['Priya Nandakumarin', 'Tobias Renneraway until tomorrow 07:00', 'Harbour officeteam of 2']);
  });

  it('takes a few letters or the arrows, and a word why', async () => {
    const page = look(RECEIVERS);
    await screen.findByText('Priya Nandakumar');
    fireEvent.keyDown(whom(), { key: 'ArrowDown' });
    expect(chosen()).toEqual(['Tobias Renneraway until tomorrow 07:00']);
    type('harb');
    expect(chosen()).toEqual(['Harbour officeteam of 2']);
    fireEvent.change(screen.getByLabelText(/^Reason/), { target: { value: ' you have the key ' } });
    fireEvent.click(screen.getByRole('button', { name: 'Hand over to Harbour' }));
    expect(page.onHandOver).toHaveBeenCalledWith({ team: 1 }, 'you have the key', 'Handed over to Harbour office');
    expect(page.onClose).toHaveBeenCalled();
  });

  it.each(['Enter', 'the button'])(
    'hands over when the names are there, to whoever pressed %s before',
    async (pressed) => {
      let give: (body: unknown) => void = () => undefined;
      const page = look(() => new Promise((resolve) => (give = resolve)));
      type('pri');
      if (pressed === 'Enter') fireEvent.submit(whom());
      else fireEvent.click(screen.getByRole('button', { name: /^Hand over/ }));
      expect(page.onHandOver).not.toHaveBeenCalled();
      await act(async () => give(await Promise.resolve(RECEIVERS)));
      await vi.waitFor(() => expect(page.onHandOver).toHaveBeenCalledTimes(1));
      expect(page.onHandOver).toHaveBeenCalledWith({ person: 2 }, '', 'Handed over to Priya Nandakumar');
    },
  );

  it('does nothing for unknown name, and says so', async () => {
    const page = look(RECEIVERS);
    await screen.findByText('Priya Nandakumar');
    type('zzz');
    expect(screen.getByText('No colleague or team with that name can take it.')).toBeTruthy();
    fireEvent.submit(whom());
    expect(page.onHandOver).not.toHaveBeenCalled();
  });

  it('says when the names cannot be had, and asks again when told to', async () => {
    const page = look(new No(503, 'busy', 'Try again in a moment.'));
    expect(await screen.findByText(/Try again in a moment/)).toBeTruthy();
    page.answers['GET /api/conversations/7/hand-to'] = { people: [], teams: [] };
    fireEvent.click(screen.getByRole('button', { name: /again/i }));
    expect(await screen.findByText('Nobody else may work on this line.')).toBeTruthy();
  });
});

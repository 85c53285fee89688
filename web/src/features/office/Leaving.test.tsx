// @vitest-environment happy-dom
import { fireEvent, screen, waitFor } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import { conversation, harbour, maren, priya } from '../../testing/data';
import { type Answers, No, show } from '../../testing/show';
import { Leaving } from './Leaving';

const WORK = `GET /api/office/people/${maren.id}/work`;
const MOVE = `/api/office/people/${maren.id}/move`;
const OWNED = [
  { ...conversation, id: 71, customerName: 'Ines Halloran' },
  { ...conversation, id: 72, customerName: 'Piet Vandermeer' },
];

function look(answers: Answers) {
  const onLeft = vi.fn();
  const page = show(<Leaving staff={maren} onClose={() => undefined} onLeft={onLeft} />, {
    'GET /api/staff': [maren, priya],
    'GET /api/teams': [harbour],
    ...answers,
  });
  return { ...page, onLeft };
}

async function handOverTo(name: string) {
  fireEvent.click(await screen.findByRole('button', { name: /^What happens to them/ }));
  fireEvent.click(await screen.findByRole('menuitem', { name: `hand them over to ${name}` }));
}

describe('going away', () => {
  it('asks nothing of what one owns before that is known', async () => {
    let tell: (rows: unknown) => void = () => undefined;
    look({ [WORK]: () => new Promise((resolve) => (tell = resolve)) });
    expect(screen.getByText('Looking up what you own…')).toBeTruthy();
    expect(screen.queryByRole('button', { name: /^What happens to them/ })).toBeNull();
    await waitFor(() => tell(OWNED));
    expect((await screen.findByText(/^You own/)).textContent).toContain('2 open conversations');
  });

  it('moves what is picked, and nothing else', async () => {
    const page = look({ [WORK]: OWNED, [`POST ${MOVE}`]: { moved: 1, nobodys: 0 } });
    await handOverTo('Priya Nandakumar');
    fireEvent.click(screen.getByRole('checkbox', { name: 'Ines Halloran' }));
    fireEvent.click(screen.getByRole('button', { name: 'Move 1, and go away' }));
    await waitFor(() => expect(page.onLeft).toHaveBeenCalled());
    expect(page.told('POST', MOVE)).toEqual([{ ids: [72], person: priya.id }]);
  });

  it('stays, with what was picked, when it could not be moved', async () => {
    const page = look({
      [WORK]: OWNED,
      [`POST ${MOVE}`]: new No(409, 'changed-meanwhile', 'Priya has just gone away.'),
    });
    await handOverTo('Priya Nandakumar');
    fireEvent.click(screen.getByRole('button', { name: 'Move 2, and go away' }));
    expect(await screen.findByText(/Priya has just gone away/)).toBeTruthy();
    expect(page.onLeft).not.toHaveBeenCalled();
  });

  it('leaves what one owns where it is unless one says otherwise', async () => {
    const page = look({ [WORK]: OWNED });
    await screen.findByText(/^You own/);
    fireEvent.click(screen.getByRole('button', { name: 'Go away, leave them' }));
    await waitFor(() => expect(page.onLeft).toHaveBeenCalled());
    expect(page.told('POST', MOVE)).toEqual([]);
  });
});

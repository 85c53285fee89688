// @vitest-environment happy-dom
import { fireEvent, screen, waitFor } from '@testing-library/react';
import { expect, it, vi } from 'vitest';
import { conversation } from '../../testing/data';
import { show } from '../../testing/show';
import { WrongNumberBand } from './WrongNumberBand';

const ADDRESS = 'GET /api/conversations/7/wrong-number';

function lay(view: object) {
  const onWriteAgain = vi.fn();
  const page = show(<WrongNumberBand conversation={conversation(7)} name="Vera Lund" onWriteAgain={onWriteAgain} />, {
    [ADDRESS]: view,
    'POST /api/conversations/7/wrong-number': undefined,
  });
  return { ...page, onWriteAgain };
}

it('proposes to stop and to ask on the way there is', async () => {
  const page = lay({ says: 40, way: 'MAIL', held: [] });
  fireEvent.click(await screen.findByRole('button', { name: 'Stop texting it and ask them by mail' }));
  await waitFor(() => expect(page.told('POST', '/api/conversations/7/wrong-number')).toHaveLength(1));
});

it('says when nobody can be asked, and leaves it when it is theirs', async () => {
  lay({ says: 40, held: [] });
  expect(await screen.findByText(/no e-mail and no other number/)).toBeTruthy();
  fireEvent.click(screen.getByRole('button', { name: 'No, it is theirs' }));
  expect(screen.queryByRole('note')).toBeNull();
});

it('proposes nothing once the customer was asked', async () => {
  const page = lay({ says: 40, way: 'TEXT', askedBy: 'TEXT', held: [{ id: 9, words: 'Friday at ten.' }] });
  expect(await screen.findByText('Friday at ten.')).toBeTruthy();
  expect(screen.queryByRole('button', { name: /^Stop texting/ })).toBeNull();
  fireEvent.click(screen.getByRole('button', { name: 'Put it on the paper' }));
  expect(page.onWriteAgain).toHaveBeenCalledWith('Friday at ten.', 9);
});

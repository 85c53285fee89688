// @vitest-environment happy-dom
import { fireEvent, screen, waitFor } from '@testing-library/react';
import { expect, it } from 'vitest';
import { useNavigate } from 'react-router';
import { useAddress } from '../../shared/ui';
import { show } from '../../testing/show';
import { useKeptAddress } from './useKeptAddress';

function Place({ who, last }: { who: number; last: string }) {
  const [params, setParams] = useAddress();
  const navigate = useNavigate();
  const keep = useKeptAddress(who, last, params.toString(), (kept) => void navigate(`?${kept}`, { replace: true }));
  const choose = (search: string) => () => {
    keep(search);
    setParams(new URLSearchParams(search));
  };
  return (
    <>
      <button onClick={choose('show=mine')}>mine</button>
      <button onClick={choose('')}>everything</button>
      <button onClick={() => void navigate('/')}>to its bare address</button>
      <button onClick={() => void navigate(-1)}>back</button>
    </>
  );
}

const press = (name: string) => fireEvent.click(screen.getByRole('button', { name }));

it('the inbox comes back as it was left, for its own person, and is kept on the server', async () => {
  const page = show(<Place who={1} last="group=done" />, { 'PUT /api/me/inbox': undefined });
  await waitFor(() => expect(page.address()).toBe('/?group=done'));
  press('mine');
  await waitFor(() => expect(page.address()).toBe('/?show=mine'));
  expect(page.told('PUT', '/api/me/inbox')).toEqual([{ address: 'show=mine' }]);
  press('to its bare address');
  await waitFor(() => expect(page.address()).toBe('/?show=mine'));
  press('everything');
  await waitFor(() => expect(page.address()).toBe('/'));
  press('to its bare address');
  expect(page.address()).toBe('/');
  page.again(<Place key="other" who={2} last="group=set-aside" />);
  await waitFor(() => expect(page.address()).toBe('/?group=set-aside'));
});

it('going back in the history is not undone', async () => {
  const page = show(<Place who={3} last="" />, { 'PUT /api/me/inbox': undefined });
  press('mine');
  await waitFor(() => expect(page.address()).toBe('/?show=mine'));
  press('back');
  await waitFor(() => expect(page.address()).toBe('/'));
  press('to its bare address');
  expect(page.address()).toBe('/');
});

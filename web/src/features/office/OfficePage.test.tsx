// @vitest-environment happy-dom
import { useQuery } from '@tanstack/react-query';
import { createEvent, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { expect, it } from 'vitest';
import { conversation, dock, harbour, maren, priya, session } from '../../testing/data';
import { show } from '../../testing/show';
import { OfficePage } from './OfficePage';
import { officeQuery } from './queries';

const desk = { ourTurn: 0, late: 0, theirTurn: 0, setAside: 0 };
const at = (staff: typeof maren) => ({ staff, in: true, why: 'ALWAYS' as const, teams: [1], desk });
const noor = { ...priya, id: 3, name: 'Noor Lindqvist' };
const office = (...people: (typeof maren)[]) => ({ people: people.map(at), nobodys: { ...desk, ourTurn: 1 } });

/** How many people are known by now. */
function Known() {
  return <output>{useQuery(officeQuery).data?.people.length}</output>;
}

it('moves nobody under the pointer while something is dragged, and gives it to the one it was dropped on', async () => {
  const given = `/api/conversations/7/hand-over`;
  const page = show(
    <>
      <OfficePage session={session} />
      <Known />
    </>,
    {
      'GET /api/office': office(maren, priya),
      'GET /api/lines': [dock],
      'GET /api/teams': [harbour],
      'GET /api/conversations': { rows: [{ ...conversation(7), customerName: 'Ines Halloran' }] },
      [`POST ${given}`]: {},
    },
    session,
  );
  const names = () =>
    within(screen.getByRole('table', { name: 'Who has what' }))
      .getAllByRole('row')
      .slice(2)
      .map((row) => /Maren|Noor|Priya/.exec(row.textContent)?.[0]);
  const row = (await screen.findByText('Ines Halloran')).closest('li') ?? document.body;
  await waitFor(() => expect(names()).toEqual(['Maren', 'Priya']));
  const carried = new Map<string, string>();
  const dataTransfer = {
    setData: (type: string, words: string) => carried.set(type, words),
    getData: (type: string) => carried.get(type),
    types: ['application/x-fabulum-conversation'],
  };
  const drag = (kind: 'dragStart' | 'drop', on: Element) => {
    const event = createEvent[kind](on);
    Object.defineProperty(event, 'dataTransfer', { value: dataTransfer });
    fireEvent(on, event);
  };
  drag('dragStart', row);
  page.queries.setQueryData(officeQuery.queryKey, office(maren, noor, priya));
  await waitFor(() => expect(document.querySelector('output')?.textContent).toBe('3'));
  expect(names()).toEqual(['Maren', 'Priya']);
  drag('drop', screen.getByRole('row', { name: /Priya/ }));
  await waitFor(() => expect(page.told('POST', given)).toEqual([{ person: priya.id }]));
  await waitFor(() => expect(names()).toHaveLength(2));

  drag('dragStart', row);
  page.queries.setQueryData(officeQuery.queryKey, office(maren, noor, priya));
  fireEvent.pointerMove(document.body);
  await waitFor(() => expect(names()).toEqual(['Maren', 'Noor', 'Priya']));
});

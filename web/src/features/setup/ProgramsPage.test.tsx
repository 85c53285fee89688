// @vitest-environment happy-dom
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { expect, it } from 'vitest';
import type { OtherProgram } from '../../shared/api';
import { dock, maren } from '../../testing/data';
import { show } from '../../testing/show';
import { ProgramsPage } from './ProgramsPage';

const books: OtherProgram = {
  id: 4,
  name: 'Books',
  keyStart: 'fabulum_abcd',
  rights: ['CHANGE_CUSTOMERS', 'READ_JOBS'],
  madeBy: maren.id,
  madeAt: '2026-06-01T14:00:00Z',
  reads: 1200,
  changes: 3,
  refused: 0,
};

const world = {
  'GET /api/setup/programs': [books],
  'GET /api/staff': [maren],
  'GET /api/lines': [dock],
  'POST /api/setup/programs': { id: 5, key: 'fabulum_secret' },
  'POST /api/setup/programs/4/end': { id: 4, reckoned: 0 },
};

it('shows the key of a new program once, with what it may do', async () => {
  const page = show(<ProgramsPage />, world);
  fireEvent.click(screen.getByRole('button', { name: 'Add a program' }));
  fireEvent.change(screen.getByLabelText('Name of the program'), { target: { value: 'Till' } });
  fireEvent.click(screen.getByLabelText('read appointments'));
  fireEvent.click(screen.getByRole('button', { name: 'Make its key' }));
  const made = await screen.findByRole('region', { name: 'The new key' });
  expect(within(made).getByText('fabulum_secret')).toBeTruthy();
  expect(within(made).getByText('The key for Till')).toBeTruthy();
  const asked = page.asked.find(({ method }) => method === 'POST');
  expect(asked?.body).toEqual({ name: 'Till', rights: ['READ_APPOINTMENTS'] });
});

it('says what a program may and did, and ends its key only when asked twice', async () => {
  const page = show(<ProgramsPage />, world);
  expect(await screen.findByText('add and change customers, read jobs')).toBeTruthy();
  expect(screen.getByText('1,200 read, 3 changed, 0 refused')).toBeTruthy();
  fireEvent.click(screen.getByRole('button', { name: 'End its key…' }));
  expect(page.asked.some(({ path }) => path.endsWith('/end'))).toBe(false);
  fireEvent.click(screen.getByRole('button', { name: 'End the key of Books' }));
  await waitFor(() => expect(page.asked.some(({ path }) => path.endsWith('/4/end'))).toBe(true));
});

// @vitest-environment happy-dom
import { screen, within } from '@testing-library/react';
import { expect, it } from 'vitest';
import { harbour } from '../../testing/data';
import { show } from '../../testing/show';
import { TeamsPage } from './TeamsPage';

it('shows what every team alerts with one request, however many teams there are', async () => {
  const teams = Array.from({ length: 60 }, (_, i) => ({ ...harbour, id: i + 1, name: `Team ${i + 1}` }));
  const page = show(<TeamsPage />, {
    'GET /api/teams': teams,
    'GET /api/staff': [],
    'GET /api/setup/lines': [],
    'GET /api/setup/teams/escalations': [{ teamId: 60, steps: [{ afterMinutes: 30, told: 'LEADS', staffId: null }] }],
  });
  const last = await screen.findByRole('region', { name: 'Team 60' });
  expect(within(last).getByText('late by 30 min')).toBeTruthy();
  expect(within(screen.getByRole('region', { name: 'Team 1' })).getByText('Only the owner is alerted.')).toBeTruthy();
  expect(page.asked.filter(({ path }) => path.includes('escalation'))).toHaveLength(1);
});

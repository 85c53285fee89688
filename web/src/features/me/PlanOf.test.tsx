// @vitest-environment happy-dom
import { act, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { Plan } from '../../shared/api';
import { maren, priya } from '../../testing/data';
import { type Answers, No, show } from '../../testing/show';
import { PlanOf } from './PlanOf';

const PLAN: Plan = { zone: 'America/Chicago', week: [{ day: 1, from: 480, to: 1020 }], absences: [] };

function look(answers: Answers = {}) {
  return show(<PlanOf staff={maren.id} mine />, {
    'GET /api/me/plan': PLAN,
    'GET /api/staff': [maren, priya],
    ...answers,
  });
}

async function coveredBy(name: string) {
  fireEvent.click(await screen.findByRole('button', { name: /^Cover: / }));
  fireEvent.click(await screen.findByRole('menuitem', { name }));
}

const save = () => screen.getByRole<HTMLButtonElement>('button', { name: 'Save' });

describe('when somebody is in', () => {
  it('is kept when one saves it, and not before', async () => {
    const page = look({ 'PUT /api/me/plan': undefined });
    await coveredBy('Priya Nandakumar');
    fireEvent.click(screen.getByRole('button', { name: 'Add days' }));
    fireEvent.change(screen.getByLabelText('Last day'), { target: { value: '2026-06-12' } });
    const wanted = { ...PLAN, coverId: priya.id, absences: [{ first: '2026-06-09', last: '2026-06-12' }] };
    expect(page.told('PUT', '/api/me/plan')).toEqual([]);
    page.answers['GET /api/me/plan'] = wanted;
    fireEvent.click(save());
    await screen.findByText('Saved.');
    expect(page.told('PUT', '/api/me/plan')).toEqual([wanted]);
    expect(save().disabled).toBe(true);
  });

  it('keeps what one has changed when a lead changes it elsewhere, and says so', async () => {
    const page = look();
    await coveredBy('Priya Nandakumar');
    page.answers['GET /api/me/plan'] = { ...PLAN, week: [], coverId: 3 };
    await act(() => page.queries.invalidateQueries());
    await screen.findByText(/A colleague has changed who covers in the meantime/);
    expect(screen.getByRole<HTMLInputElement>('checkbox').checked).toBe(true);
    expect(screen.getByRole('button', { name: 'Cover: Priya Nandakumar' })).toBeTruthy();
  });

  it('keeps what one has changed when it cannot be read again', async () => {
    const page = look();
    await coveredBy('Priya Nandakumar');
    page.answers['GET /api/me/plan'] = new No(500, 'broken', 'Something broke on our side.');
    await act(() => page.queries.invalidateQueries());
    const alert = await screen.findByRole('alert');
    expect(alert.textContent).toContain('Something broke on our side.');
    expect(screen.getByRole('button', { name: 'Cover: Priya Nandakumar' })).toBeTruthy();
    page.answers['GET /api/me/plan'] = PLAN;
    fireEvent.click(within(alert).getByRole('button', { name: 'Try again' }));
    await waitFor(() => expect(screen.queryByRole('alert')).toBeNull());
    expect(save().disabled).toBe(false);
  });
});

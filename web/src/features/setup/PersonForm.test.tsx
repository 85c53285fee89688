// @vitest-environment happy-dom
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { Person } from '../../shared/api';
import { harbour, maren, priya } from '../../testing/data';
import { type Answers, No, show } from '../../testing/show';
import { PersonForm } from './PersonForm';

const PERSON: Person = {
  staff: priya,
  email: 'priya@quillhaven.example',
  standing: 'ACTIVE',
  permissions: ['TEXT', 'CHANGE_TEMPLATES'],
  secondLook: false,
  teams: [harbour.id],
  in: true,
  why: 'ALWAYS',
};
const PATH = `/api/setup/people/${priya.id}`;

function look(answers: Answers = {}) {
  return show(<PersonForm person={PERSON} me={maren.id} />, {
    'GET /api/lines': [],
    'GET /api/teams': [harbour],
    'GET /api/staff': [maren, priya],
    [`GET ${PATH}/plan`]: { zone: 'America/Chicago', week: [], absences: [] },
    ...answers,
  });
}

const limit = () => screen.getByLabelText<HTMLInputElement>(/^Most open conversations/);
const save = () => screen.getByRole<HTMLButtonElement>('button', { name: 'Save' });

describe('a person as leads set them up', () => {
  it('is changed when it is saved', async () => {
    const page = look({ [`PUT ${PATH}`]: undefined });
    expect(save().disabled).toBe(true);
    fireEvent.change(limit(), { target: { value: '8' } });
    fireEvent.click(save());
    await waitFor(() =>
      expect(page.told('PUT', PATH)).toEqual([
        { role: 'STAFF', permissions: ['TEXT', 'CHANGE_TEMPLATES'], teams: [harbour.id], limit: 8, secondLook: false },
      ]),
    );
    page.again(<PersonForm person={{ ...PERSON, limit: 8 }} me={maren.id} />);
    await waitFor(() => expect(save().disabled).toBe(true));
  });

  it('keeps what was typed when it cannot be so', async () => {
    look({
      [`PUT ${PATH}`]: new No(422, 'bad-fields', 'Not so.', [{ field: 'limit', why: 'Between 1 and 999, or none.' }]),
    });
    fireEvent.change(limit(), { target: { value: '0' } });
    fireEvent.click(save());
    await screen.findByText('Between 1 and 999, or none.');
    expect(limit().value).toBe('0');
  });

  it('is not saved with when they are in, which is another thing', async () => {
    const page = look({ [`PUT ${PATH}/plan`]: undefined });
    fireEvent.change(limit(), { target: { value: '8' } });
    fireEvent.click(screen.getByRole('button', { name: /^Availability of Priya/ }));
    const plan = await screen.findByRole('form', { name: 'Their availability' });
    fireEvent.click(within(plan).getByRole('button', { name: 'Add days' }));
    fireEvent.click(within(plan).getByRole('button', { name: 'Save' }));
    await within(plan).findByText('Saved.');
    expect(page.told('PUT', `${PATH}/plan`)).toHaveLength(1);
    expect(page.told('PUT', PATH)).toEqual([]);
    expect(limit().value).toBe('8');
  });
});

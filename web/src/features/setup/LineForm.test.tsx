// @vitest-environment happy-dom
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { LineSetup } from '../../shared/api';
import { harbour, maren } from '../../testing/data';
import { type Answers, No, show } from '../../testing/show';
import { LineForm } from './LineForm';

const SETUP: LineSetup = {
  name: 'Dock office',
  number: '(920) 555-0101',
  region: 'US',
  zone: 'America/Chicago',
  siteId: 1,
  teamId: 1,
  inUse: true,
  narrowed: false,
  way: 'NOBODY',
  promiseMinutes: 60,
  week: [{ day: 1, from: 420, to: 1020 }],
  closedDays: [],
  openHolidays: [],
  holidays: { country: 'US' },
  tellOfNobodys: [],
  version: 4,
};
const SAVE = 'PUT /api/setup/lines/1';

function look(answers: Answers = {}) {
  return show(<LineForm id={1} first={SETUP} />, {
    'GET /api/setup/sites': [{ id: 1, name: 'North Dock' }],
    'GET /api/teams': [harbour],
    'GET /api/staff': [maren],
    'GET /api/lines': [],
    'GET /api/setup/countries': [{ code: 'US', name: 'United States' }],
    'GET /api/setup/holidays': [{ code: 'US', name: 'United States', regions: [] }],
    'GET /api/setup/holidays/US': [{ day: '2026-06-19', name: 'Juneteenth' }],
    'GET /api/setup/lines/1/escalation': { steps: [] },
    'POST /api/setup/lines/preview': { at: '2026-06-09T19:05:00Z', due: '2026-06-09T20:05:00Z', open: true },
    ...answers,
  });
}

const field = (label: RegExp | string) => screen.getByLabelText<HTMLInputElement>(label);
const fill = (label: RegExp | string, value: string) => fireEvent.change(field(label), { target: { value } });
const save = () => screen.getByRole<HTMLButtonElement>('button', { name: 'Save' });

describe('setting up a line', () => {
  it('changes nothing until it is saved, and then says how many are due at another time', async () => {
    const page = look({ [SAVE]: { id: 1, reckoned: 12 } });
    await screen.findByRole('list', { name: 'When an answer would be due' });
    expect(save().disabled).toBe(true);
    fill(/^Answer within/, '90');
    expect(page.told('PUT', '/api/setup/lines/1')).toEqual([]);
    fireEvent.click(save());
    expect((await screen.findByRole('status')).textContent).toBe('Saved. 12 conversations have a new due time.');
    expect(page.told('PUT', '/api/setup/lines/1')).toEqual([{ ...SETUP, promiseMinutes: 90 }]);
    page.again(<LineForm id={1} first={{ ...SETUP, promiseMinutes: 90 }} />);
    expect(save().disabled).toBe(true);
    expect(screen.getByRole('status').textContent).toContain('12 conversations');
  });

  it('takes nothing back that a colleague has saved meanwhile', async () => {
    const page = look({ [SAVE]: { id: 1, reckoned: 0 } });
    fill(/^Answer within/, '90');
    page.again(<LineForm id={1} first={{ ...SETUP, name: 'Harbour desk' }} />);
    expect(field('Name').value).toBe('Harbour desk');
    expect(field(/^Answer within/).value).toBe('90');
    fireEvent.click(save());
    await waitFor(() =>
      expect(page.told('PUT', '/api/setup/lines/1')).toEqual([{ ...SETUP, name: 'Harbour desk', promiseMinutes: 90 }]),
    );
    await screen.findByText(/^Saved/);
  });

  it('says what a colleague has changed otherwise, and leaves the choice between the two', async () => {
    const page = look();
    fill(/^Answer within/, '90');
    fill('Name', 'Harbour desk');
    page.again(<LineForm id={1} first={{ ...SETUP, name: 'Harbour desk', promiseMinutes: 45, version: 5 }} />);
    expect(screen.getByText(/A colleague has changed the promise in the meantime/)).toBeTruthy();
    expect(field(/^Answer within/).value).toBe('90');
    fireEvent.click(screen.getByRole('button', { name: 'Undo changes' }));
    expect(field(/^Answer within/).value).toBe('45');
    expect(screen.queryByText(/meanwhile/)).toBeNull();
    await screen.findByRole('list', { name: 'When an answer would be due' });
    expect(page.told('PUT', '/api/setup/lines/1')).toEqual([]);
  });

  it('says beside each field what cannot be, keeps what was typed, and goes back to what it was when asked to', async () => {
    look({
      [SAVE]: new No(400, 'bad-request', 'The line could not be set up so.', [
        { field: 'promiseMinutes', why: 'A promise is between 1 minute and 30 days of working time.' },
        { field: 'week', why: 'Mon 7:00–17:00 and Mon 16:00–18:00 overlap.' },
        { field: 'zone', why: 'There is no time zone “Mars/Olympus”.' },
      ]),
    });
    fill(/^Answer within/, '0');
    fireEvent.click(save());
    await screen.findByText(/^A promise is between/);
    expect(screen.getByText(/overlap/).getAttribute('role')).toBe('alert');
    expect(screen.getByText(/Mars/)).toBeTruthy();
    expect(field(/^Answer within/).value).toBe('0');
    fireEvent.click(screen.getByRole('button', { name: 'Undo changes' }));
    expect(field(/^Answer within/).value).toBe('60');
    expect(screen.queryByText(/^A promise is between/)).toBeNull();
  });

  it('has its hours changed by key, and days closed or opened on the calendar', async () => {
    const page = look({ [SAVE]: { id: 1, reckoned: 0 } });
    fireEvent.click(screen.getByRole('button', { name: 'Add hours on Sun' }));
    fireEvent.keyDown(screen.getByRole('button', { name: /^Sun 9:00/ }), { key: 'ArrowRight', shiftKey: true });
    fireEvent.keyDown(screen.getByRole('button', { name: /^Mon 7:00/ }), { key: 'Delete' });
    const june = screen.getByRole('grid', { name: 'June 2026' });
    fireEvent.click(await within(june).findByRole('button', { name: '2026-06-19, closed, Juneteenth' }));
    fireEvent.click(within(june).getByRole('button', { name: '2026-06-24, as the week says' }));
    expect(within(june).getByRole('button', { name: '2026-06-24, closed' }).getAttribute('aria-pressed')).toBe('true');
    fireEvent.click(save());
    await waitFor(() =>
      expect(page.told('PUT', '/api/setup/lines/1')).toMatchObject([
        { week: [{ day: 7, from: 540, to: 1035 }], closedDays: ['2026-06-24'], openHolidays: ['2026-06-19'] },
      ]),
    );
    await screen.findByText(/^Saved/);
  });
});

// @vitest-environment happy-dom
import { fireEvent, screen, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { berths, harbour, repairs } from '../../testing/data';
import { type Answers, No, show } from '../../testing/show';
import { TopicsPage } from './TopicsPage';

const mooring = { ...berths, id: 3, name: 'mooring', retired: true, mergedInto: 1 };

function look(answers: Answers = {}) {
  return show(<TopicsPage />, {
    'GET /api/teams': [harbour],
    'GET /api/topics': [berths, { ...repairs, promiseMinutes: 240 }, mooring],
    ...answers,
  });
}

describe('the topics of a team', () => {
  it('say what they promise, and what became of those that are retired', async () => {
    look();
    const list = await screen.findByRole('region', { name: 'Topics of Harbour office' });
    await within(list).findByText('answered within 4 h');
    expect(within(list).getByText('as the line promises')).toBeTruthy();
    expect(list.textContent).toContain('mooring, now berths');
  });

  it('can be given a promise of their own, and one learns how many are due otherwise', async () => {
    const page = look({ 'PUT /api/setup/topics/1': { id: 1, reckoned: 12 } });
    fireEvent.click(await screen.findByRole('button', { name: 'Change berths' }));
    const form = screen.getByRole('form', { name: 'Change berths' });
    fireEvent.change(within(form).getByLabelText('Promise in working minutes'), { target: { value: '90' } });
    fireEvent.click(within(form).getByRole('button', { name: 'Save' }));
    expect((await screen.findByRole('status')).textContent).toBe('Saved. 12 conversations have a new due time.');
    expect(screen.queryByRole('form')).toBeNull();
    expect(page.told('PUT', '/api/setup/topics/1')).toEqual([
      { name: 'berths', colour: 'PINE', promiseMinutes: 90, retired: false, version: 4 },
    ]);
  });

  it('stay open for what one is changing when a colleague retires them meanwhile', async () => {
    const page = look({
      'PUT /api/setup/topics/1': new No(409, 'changed-meanwhile', 'A colleague has changed this topic meanwhile.'),
    });
    fireEvent.click(await screen.findByRole('button', { name: 'Change berths' }));
    const form = screen.getByRole('form', { name: 'Change berths' });
    fireEvent.change(within(form).getByLabelText('Topic'), { target: { value: 'berths and bollards' } });
    page.answers['GET /api/topics'] = [{ ...berths, name: 'quays', retired: true, version: 5 }, repairs];
    fireEvent.click(within(form).getByRole('button', { name: 'Save' }));
    await screen.findByText(/A colleague has retired this topic/);
    expect(screen.getByText(/A colleague has changed the name in the meantime/)).toBeTruthy();
    expect(screen.getByLabelText<HTMLInputElement>('Topic').value).toBe('berths and bollards');
    page.answers['PUT /api/setup/topics/1'] = { id: 1, reckoned: 0 };
    fireEvent.click(screen.getByRole('button', { name: 'Save' }));
    await screen.findByText(/^Saved/);
    expect(page.told('PUT', '/api/setup/topics/1').at(-1)).toMatchObject({ name: 'berths and bollards', version: 5 });
  });

  it('get a colour no other has, and a word; what cannot be is said and kept', async () => {
    const page = look({
      'POST /api/setup/teams/1/topics': new No(400, 'bad-request', 'There is a topic “berths” already.'),
    });
    fireEvent.click(await screen.findByRole('button', { name: 'Add a topic to Harbour office' }));
    const form = screen.getByRole('form', { name: 'New topic' });
    expect(within(form).getByRole<HTMLButtonElement>('button', { name: 'Add' }).disabled).toBe(true);
    fireEvent.change(within(form).getByLabelText('Topic'), { target: { value: 'Berths' } });
    fireEvent.click(within(form).getByRole('button', { name: 'Add' }));
    expect(await within(form).findByText(/There is a topic “berths” already/)).toBeTruthy();
    expect(within(form).getByLabelText<HTMLInputElement>('Topic').value).toBe('Berths');
    expect(page.told('POST', '/api/setup/teams/1/topics')).toEqual([
      { name: 'Berths', colour: 'MOSS', retired: false },
    ]);
  });

  it('are merged, retired and brought back', async () => {
    const page = look({
      'POST /api/setup/topics/2/merge': { id: 2, reckoned: 0 },
      'PUT /api/setup/topics/2': { id: 2, reckoned: 1 },
      'PUT /api/setup/topics/3': { id: 3, reckoned: 0 },
    });
    fireEvent.click(await screen.findByRole('button', { name: 'Change repairs' }));
    fireEvent.click(screen.getByRole('button', { name: /^Merge into/ }));
    fireEvent.click(screen.getByRole('menuitem', { name: 'berths' }));
    expect((await screen.findByRole('status')).textContent).toBe('Saved. No due times changed.');
    fireEvent.click(screen.getByRole('button', { name: 'Change repairs' }));
    fireEvent.click(screen.getByRole('button', { name: 'Retire' }));
    await screen.findByText('Saved. 1 conversation has a new due time.');
    fireEvent.click(screen.getByRole('button', { name: 'Bring back mooring' }));
    await screen.findByText('Saved. No due times changed.');
    expect(page.told('POST', '/api/setup/topics/2/merge')).toEqual([{ into: 1 }]);
    expect(page.told('PUT', '/api/setup/topics/2')).toMatchObject([{ retired: true, promiseMinutes: 240 }]);
    expect(page.told('PUT', '/api/setup/topics/3')).toMatchObject([{ name: 'mooring', retired: false }]);
  });
});

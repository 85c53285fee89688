// @vitest-environment happy-dom
import { TextField } from '@mui/material';
import { fireEvent, screen, waitFor } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { No, show } from '../../testing/show';
import { ask } from '../api';
import { anythingUnsaved } from '../ui';
import { Form, SaveBar, useForm } from '.';

const SAVE = 'PUT /api/setup/sites/1';
const FIRST = { name: 'North Dock' };

function Site({ first = FIRST }: { first?: typeof FIRST }) {
  const form = useForm({
    first,
    names: { name: 'the name' },
    send: (body) => ask('PUT', '/api/setup/sites/{id}', { path: { id: 1 }, body }),
  });
  return (
    <Form form={form} label="Site">
      <TextField
        label="Name"
        value={form.value.name}
        {...form.field('name')}
        onChange={(event) => form.change({ name: event.target.value })}
      />
      <SaveBar form={form} save="Rename" saved={() => 'Saved.'} />
    </Form>
  );
}

const name = () => screen.getByLabelText<HTMLInputElement>('Name');
const fill = (value: string) => fireEvent.change(name(), { target: { value } });
const press = (button: string) => fireEvent.click(screen.getByRole('button', { name: button }));

describe('what is filled in and saved', () => {
  it('is unsaved from the first change until it is saved', async () => {
    const page = show(<Site />, { [SAVE]: { id: 1, reckoned: 0 } });
    expect(anythingUnsaved()).toBe(false);
    fill('South Dock');
    expect(anythingUnsaved()).toBe(true);
    press('Rename');
    expect((await screen.findByRole('status')).textContent).toBe('Saved.');
    expect(anythingUnsaved()).toBe(false);
    expect(page.told('PUT', '/api/setup/sites/1')).toEqual([{ name: 'South Dock' }]);
  });

  it('says at its field what the server says against it, gives that the keys, and keeps what was written', async () => {
    show(<Site />, {
      [SAVE]: new No(400, 'bad-fields', 'Please check the marked fields.', [
        { field: 'name', why: 'A name has 1 to 80 characters.' },
        { field: 'lines', why: 'A site needs a line.' },
      ]),
    });
    fill('');
    press('Rename');
    expect(await screen.findByText('A name has 1 to 80 characters.')).toBeTruthy();
    await waitFor(() => expect(document.activeElement).toBe(name()));
    expect(name().value).toBe('');
    expect(screen.getByText('A site needs a line.')).toBeTruthy();
    fill('East Dock');
    expect(screen.queryByText('A name has 1 to 80 characters.')).toBeNull();
  });

  it('names what a colleague has changed meanwhile, keeps one’s own version, and takes theirs when asked', async () => {
    const page = show(<Site />, { [SAVE]: new No(409, 'changed-meanwhile', 'A colleague changed it.') });
    fill('South Dock');
    press('Rename');
    await screen.findByText('A colleague changed it.');
    page.again(<Site first={{ name: 'Old Dock' }} />);
    expect(screen.getByText(/A colleague has changed the name in the meantime/)).toBeTruthy();
    expect(name().value).toBe('South Dock');
    press('Undo changes');
    expect(name().value).toBe('Old Dock');
  });
});

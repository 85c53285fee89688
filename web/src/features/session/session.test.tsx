// @vitest-environment happy-dom
import { fireEvent, screen, waitFor } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import { keys } from '../../shared/api';
import { priya, session } from '../../testing/data';
import { No, show } from '../../testing/show';
import { Invitation } from './Invitation';
import { SignIn } from './SignIn';

const fill = (label: string, value: string) => fireEvent.change(screen.getByLabelText(label), { target: { value } });

describe('signing in', () => {
  it('says plainly what is wrong, keeps the name, and lets in who knows the password', async () => {
    const page = show(<SignIn />, {
      'GET /api/session': new No(401, 'not-signed-in', 'Sign in first.'),
      'POST /api/session': new No(401, 'wrong-password', 'Name or password is wrong.'),
    });
    fill('Name', 'maren');
    fill('Password', 'a guess');
    fireEvent.click(screen.getByRole('button', { name: 'Sign in' }));
    await waitFor(() => expect(screen.getByRole('alert').textContent).toBe('Name or password is wrong.'));
    expect(screen.getByLabelText<HTMLInputElement>('Name').value).toBe('maren');
    expect(screen.getByLabelText<HTMLInputElement>('Password').value).toBe('');
    page.answers['POST /api/session'] = session;
    fill('Password', 'nine grey herons');
    fireEvent.click(screen.getByRole('button', { name: 'Sign in' }));
    await waitFor(() => expect(page.queries.getQueryData(keys.session)).toEqual(session));
    expect(page.told('POST', '/api/session')[1]).toEqual({ name: 'maren', password: 'nine grey herons' });
  });
});

describe('an invitation', () => {
  it('lets somebody choose name, mark and password, and says what cannot be', async () => {
    const onIn = vi.fn();
    const page = show(<Invitation secret="s3cret" onIn={onIn} />, {
      'GET /api/invitations/s3cret': priya,
      'POST /api/invitations/s3cret': new No(400, 'bad-request', 'Look at it again.', [
        { field: 'password', why: 'A password has at least 10 characters.' },
      ]),
    });
    await screen.findByText('Welcome, Priya.');
    fill('Initials', 'PRN');
    fill('Choose a password', 'short');
    fireEvent.click(screen.getByRole('button', { name: 'Join' }));
    await screen.findByText('A password has at least 10 characters.');
    expect(onIn).not.toHaveBeenCalled();
    page.answers['POST /api/invitations/s3cret'] = session;
    fill('Choose a password', 'nine grey herons');
    fireEvent.click(screen.getByRole('button', { name: 'Join' }));
    await waitFor(() => expect(onIn).toHaveBeenCalled());
    expect(page.told('POST', '/api/invitations/s3cret')[1]).toMatchObject({
      name: 'Priya Nandakumar',
      initials: 'PRN',
      mark: priya.mark,
      password: 'nine grey herons',
    });
  });

  it('that is not there says what one can do', async () => {
    show(<Invitation secret="gone" onIn={() => undefined} />, {
      'GET /api/invitations/gone': new No(404, 'not-found', 'Not found.'),
    });
    expect((await screen.findByRole('alert')).textContent).toContain('ask a lead for a new one');
  });
});

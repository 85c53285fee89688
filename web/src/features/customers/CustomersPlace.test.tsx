// @vitest-environment happy-dom
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { beforeEach, describe, expect, it } from 'vitest';
import { customerTerms, dock, session } from '../../testing/data';
import { type Answers, type Asked, show } from '../../testing/show';
import { makeRoom } from '../../testing/room';
import { CustomersPlace } from './CustomersPlace';

const row = (id: number, name: string) => ({ id, name, numbers: ['(312) 555-0107'], details: [], lists: [] });

function open(answers: Answers = {}, at = '/customers') {
  return show(
    <CustomersPlace />,
    {
      'GET /api/lines': [dock],
      'GET /api/customers': ({ query }: Asked) =>
        query.get('sentence') === 'called lund'
          ? { customers: [row(3, 'Vera Lund')], count: 1, more: false }
          : { customers: [row(3, 'Vera Lund'), row(4, 'Bo Quist')], count: 2, more: false },
      'GET /api/customers/terms': customerTerms,
      ...answers,
    },
    session,
    at,
  );
}

beforeEach(makeRoom);

describe('the customers’ place', () => {
  it('finds while one types, and counts', async () => {
    open();
    await screen.findByRole('link', { name: 'Bo Quist' });
    expect(screen.getByRole('group', { name: /^2 customers/ })).toBeTruthy();
    fireEvent.change(screen.getByLabelText('Find'), { target: { value: 'lund' } });
    expect(await screen.findByRole('group', { name: /^1 customer/ })).toBeTruthy();
    await waitFor(() => expect(screen.queryByRole('link', { name: 'Bo Quist' })).toBeNull());
  });

  it('asks for what the sentence in the address says', async () => {
    const page = open({}, '/customers?show=list+8%3B+silent+90');
    await screen.findByRole('button', { name: 'Customer list: Outer berths' });
    expect(screen.getByRole('button', { name: 'Not heard from for: 90 days' })).toBeTruthy();
    expect(page.asked.some(({ query }) => query.get('sentence') === 'list 8; silent 90')).toBe(true);
  });

  it('puts several on a list together', async () => {
    const page = open({ 'POST /api/customer-lists/8/customers': { changed: 1 } });
    fireEvent.click(await screen.findByRole('checkbox', { name: 'Select Vera Lund' }));
    fireEvent.click(screen.getByRole('checkbox', { name: 'Select Bo Quist' }));
    const bar = screen.getByRole('region', { name: 'Selected entries' });
    fireEvent.click(within(bar).getByRole('button', { name: 'Put on a list: Put on a list…' }));
    fireEvent.click(await screen.findByRole('menuitem', { name: 'Outer berths' }));
    await waitFor(() =>
      expect(page.told('POST', '/api/customer-lists/8/customers')).toEqual([{ customers: [3, 4], on: true }]),
    );
  });

  it('opens the one where one is with Enter', async () => {
    const page = open();
    await screen.findByRole('link', { name: 'Bo Quist' });
    const table = screen.getByRole('table', { name: 'Customers' });
    fireEvent.keyDown(table, { key: 'ArrowDown' });
    fireEvent.keyDown(table, { key: 'Enter' });
    await waitFor(() => expect(page.address()).toBe('/customers/4'));
  });

  it('adds a customer of whom only the name is known', async () => {
    const page = open({ 'POST /api/customers': { id: 9 } });
    fireEvent.click(await screen.findByRole('button', { name: 'New customer' }));
    const name = screen.getByLabelText('Name of the new customer');
    fireEvent.change(name, { target: { value: 'Ada Brandt' } });
    fireEvent.submit(name);
    await waitFor(() => expect(page.address()).toBe('/customers/9'));
    expect(page.told('POST', '/api/customers')).toEqual([{ name: 'Ada Brandt' }]);
  });
});

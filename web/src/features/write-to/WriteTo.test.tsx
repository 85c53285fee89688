// @vitest-environment happy-dom
import { fireEvent, screen, waitFor } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import { dock, yard } from '../../testing/data';
import { type Answers, type Asked, No, show } from '../../testing/show';
import { WriteTo } from './WriteTo';

const greta = (lineId: number) => ({
  name: 'Greta Moss',
  number: '(414) 555-0150',
  address: '+14145550150',
  detail: 'boat Tansy',
  conversations: [{ id: 12, lineId }],
});

function begin(find: Answers[string], answers: Answers = {}) {
  const onClose = vi.fn();
  const page = show(<WriteTo onClose={onClose} />, {
    'GET /api/write-to/lines': [dock, yard],
    'GET /api/write-to': find,
    'POST /api/write-to': { id: 12 },
    ...answers,
  });
  return { ...page, onClose, opened: () => page.told('POST', '/api/write-to') };
}

const type = (words: string) => fireEvent.change(screen.getByLabelText('To'), { target: { value: words } });
const enter = () => fireEvent.submit(screen.getByLabelText('To'));

describe('writing to someone', () => {
  it('goes on in a conversation there is, with the cursor where one writes', async () => {
    const page = begin({ people: [greta(1)] });
    await screen.findByRole('button', { name: /^From which line/ });
    type('tansy');
    const found = await screen.findByRole('menuitem', { name: /Greta Moss.*boat Tansy.*Open conversation/ });
    fireEvent.click(found);
    await waitFor(() => expect(page.address()).toBe('/inbox/12'));
    expect(page.opened()).toEqual([{ line: 1, number: '+14145550150', makeCustomer: false, name: '' }]);
    expect(page.onClose).toHaveBeenCalled();
  });

  it('writes from the line they wrote to last, and says so, unless another is chosen', async () => {
    const page = begin({ people: [{ ...greta(2), usualLine: 2 }] });
    await screen.findByRole('button', { name: 'From which line: the line they wrote to last' });
    type('tansy');
    fireEvent.click(await screen.findByRole('menuitem', { name: /Open conversation, Yard and lift/ }));
    await waitFor(() => expect(page.opened()).toMatchObject([{ line: 2, number: '+14145550150' }]));
  });

  it('looks on the line that is chosen', async () => {
    begin(({ query }: Asked) => ({ people: [greta(query.get('line') === '2' ? 2 : 9)] }));
    fireEvent.click(await screen.findByRole('button', { name: /^From which line/ }));
    fireEvent.click(await screen.findByRole('menuitem', { name: /Yard and lift/ }));
    type('tansy');
    expect(await screen.findByRole('menuitem', { name: /Open conversation/ })).toBeTruthy();
  });

  it('makes a number nobody holds a customer, with a name or without, unless one does not want to', async () => {
    const page = begin({ people: [], number: '+13125550177', shownNumber: '(312) 555-0177' });
    await screen.findByRole('button', { name: /^From which line/ });
    type('312 555 0177');
    await screen.findByRole('button', { name: 'Write to (312) 555-0177 from Dock office' });
    enter();
    await waitFor(() => expect(page.opened()).toHaveLength(1));
    fireEvent.change(screen.getByLabelText('Name, if you know it'), { target: { value: 'Ada Brandt' } });
    enter();
    await waitFor(() => expect(page.opened()).toHaveLength(2));
    fireEvent.click(screen.getByRole('checkbox', { name: /^\(312\) 555-0177 is new/ }));
    enter();
    await waitFor(() => expect(page.opened()).toHaveLength(3));
    expect(page.opened()).toMatchObject([
      { number: '+13125550177', makeCustomer: true, name: '' },
      { number: '+13125550177', makeCustomer: true, name: 'Ada Brandt' },
      { number: '+13125550177', makeCustomer: false },
    ]);
  });

  it('never writes to whom other words had found', async () => {
    const page = begin(
      ({ query }: Asked) => (query.get('words') === 'greta' ? { people: [greta(1)] } : new Promise(() => undefined)),
      {
        'POST /api/write-to': new No(400, 'bad-request', 'There is no such number.'),
      },
    );
    await screen.findByRole('button', { name: /^From which line/ });
    type('greta');
    await screen.findByRole('menuitem', { name: /Greta Moss/ });
    type('gretel');
    expect(screen.queryByRole('menuitem')).toBeNull();
    enter();
    expect(await screen.findByText(/There is no such number/)).toBeTruthy();
    expect(page.opened()).toMatchObject([{ number: 'gretel' }]);
    expect(page.onClose).not.toHaveBeenCalled();
  });

  it('makes a group of people found and of numbers typed, within what the line allows', async () => {
    const page = begin(({ query }: Asked) =>
      query.get('words') === 'tansy'
        ? { people: [greta(1)] }
        : { people: [], number: '+13125550177', shownNumber: '(312) 555-0177' },
    );
    fireEvent.click(await screen.findByRole('button', { name: /^To one or to a group/ }));
    fireEvent.click(await screen.findByRole('menuitem', { name: 'a group' }));
    const go = () => screen.getByRole<HTMLButtonElement>('button', { name: /as a group$|to the group$/ });
    type('tansy');
    fireEvent.click(await screen.findByRole('menuitem', { name: /Greta Moss.*Add to the group/ }));
    expect(go().disabled).toBe(true);
    type('312 555 0177');
    await screen.findByRole('button', { name: 'Add (312) 555-0177' });
    enter();
    fireEvent.click(await screen.findByRole('button', { name: 'Write to these 2 as a group' }));
    await waitFor(() =>
      expect(page.opened()).toMatchObject([{ number: '+14145550150', others: ['+13125550177'], makeCustomer: false }]),
    );
    fireEvent.click(screen.getByRole('button', { name: 'Remove Greta Moss' }));
    expect(go().disabled).toBe(true);
  });

  it('says so to somebody who answers on no line', async () => {
    begin({ people: [] }, { 'GET /api/write-to/lines': [] });
    expect(await screen.findByText(/^You have no line to write from/)).toBeTruthy();
  });

  it.each([
    ['312 555 01', /Not a valid phone number in the country of this line/],
    ['nobody', /^No customer with that name/],
  ])('says of %s what one can do', async (words, said) => {
    begin({ people: [] });
    await screen.findByRole('button', { name: /^From which line/ });
    type(words);
    expect(await screen.findByText(said)).toBeTruthy();
  });
});

// @vitest-environment happy-dom
import { fireEvent, screen, waitFor } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import type { Entry, Member } from '../../shared/api';
import { session } from '../../testing/data';
import { type Answers, show } from '../../testing/show';
import { LostText } from './LostText';

const ENTRY: Entry = {
  id: 41,
  conversationId: 7,
  at: '2026-06-09T19:00:00Z',
  kind: 'OUT',
  words: 'Come at nine.',
  automatic: false,
  withdrawn: false,
  needsHand: true,
  mentions: [],
};

function lay(answers: Answers = {}, numbers: string[] = [], members: Member[] = [], more: Partial<Entry> = {}) {
  const onWriteAgain = vi.fn();
  const onLeave = vi.fn();
  const part = (
    <LostText
      entry={{ ...ENTRY, ...more }}
      line={2}
      numbers={numbers}
      members={members}
      onWriteAgain={onWriteAgain}
      onLeave={onLeave}
    />
  );
  return { ...show(part, answers, session), onWriteAgain, onLeave };
}

describe('a text that was not delivered', () => {
  it('went to others of a group, so only those who missed it are written to, each alone', async () => {
    const member = (name: string, address: string): Member => ({
      name,
      number: address,
      address,
      toIdentify: false,
      optedOut: false,
      state: 'GOOD',
    });
    const page = lay(
      { 'POST /api/write-to': { id: 12 } },
      [],
      [member('Ada Pell', '+14145550101'), member('Ben Moss', '+14145550102')],
      {
        deliveries: [
          { number: '+14145550101', delivery: 'DELIVERED' },
          { number: '+14145550102', delivery: 'NOT_DELIVERED' },
        ],
      },
    );
    expect(screen.queryByRole('button', { name: 'Send again' })).toBeNull();
    expect(screen.queryByRole('button', { name: 'Write to Ada Pell alone' })).toBeNull();
    fireEvent.click(screen.getByRole('button', { name: 'Write to Ben Moss alone' }));
    await waitFor(() => expect(page.address()).toBe('/inbox/12'));
    expect(page.told('POST', '/api/write-to')).toMatchObject([{ number: '+14145550102' }]);
  });

  it('is sent again once, however often that is pressed', async () => {
    const page = lay({ 'POST /api/conversations/7/texts': {} });
    const again = screen.getByRole('button', { name: 'Send again' });
    fireEvent.click(again);
    await waitFor(() => expect(page.told('POST', '/api/conversations/7/texts')).toHaveLength(1));
    await waitFor(() => expect(again.hasAttribute('disabled')).toBe(false));
    fireEvent.click(again);
    await waitFor(() => expect(page.told('POST', '/api/conversations/7/texts')).toHaveLength(2));
    const told = page.told('POST', '/api/conversations/7/texts') as { reference: string; again: number }[];
    expect(told[0]).toMatchObject({ words: 'Come at nine.', again: 41 });
    expect(new Set(told.map(({ reference }) => reference)).size).toBe(1);
  });

  it('goes to another number of the customer, with its words on the paper there', async () => {
    const page = lay({ 'POST /api/write-to': { id: 12 } }, ['+13125550199']);
    fireEvent.click(screen.getByRole('button', { name: 'Send to another number…' }));
    fireEvent.click(screen.getByRole('menuitem', { name: '+13125550199' }));
    await waitFor(() => expect(page.address()).toBe('/inbox/12'));
    expect(page.told('POST', '/api/write-to')).toEqual([{ line: 2, number: '+13125550199', makeCustomer: false }]);
  });

  it('is changed on the paper, or left as it is', () => {
    const page = lay();
    fireEvent.click(screen.getByRole('button', { name: 'Change and send' }));
    expect(page.onWriteAgain).toHaveBeenCalledWith('Come at nine.', 41);
    fireEvent.click(screen.getByRole('button', { name: 'Leave it' }));
    expect(page.onLeave).toHaveBeenCalledWith(41);
  });
});

// @vitest-environment happy-dom
import { createEvent, fireEvent, screen, within } from '@testing-library/react';
import { useState } from 'react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { makeRoom } from '../../testing/room';
import { show } from '../../testing/show';
import { type Column, DataTable, type Order } from '.';

interface Entry {
  id: number;
  who: string;
  what: string;
}

const ROWS: Entry[] = Array.from({ length: 40 }, (_, i) => ({ id: 100 - i, who: `Person ${i}`, what: `did\n${i}` }));
const COLUMNS: Column<Entry>[] = [
  { name: 'When', width: '100px', always: true, orders: true, cell: ({ id }) => id, text: ({ id }) => String(id) },
  { name: 'Who', width: '100px', cell: ({ who }) => <strong>{who}</strong>, text: ({ who }) => who },
  { name: 'What', width: '1fr', cell: ({ what }) => what, text: ({ what }) => what },
];
const QUERY = {
  hasNextPage: false,
  isFetchingNextPage: false,
  isPending: false,
  error: null,
  fetchNextPage: () => undefined,
  refetch: () => undefined,
};
let order: Order = 'NEWEST';

function Log() {
  const [now, setNow] = useState<Order>('NEWEST');
  const change = (next: Order) => {
    order = next;
    setNow(next);
  };
  return (
    <DataTable
      label="Log"
      name="log"
      columns={COLUMNS}
      rows={ROWS}
      keyOf={({ id }) => id}
      query={QUERY}
      order={now}
      onOrder={change}
      empty="Nothing yet."
    />
  );
}

const table = () => screen.getByRole('table', { name: 'Log' });
const press = (key: string, more: object = {}) => fireEvent.keyDown(table(), { key, ...more });
const bar = () => within(screen.getByRole('region', { name: 'Selected entries' }));

/** What a paste would give after Ctrl+C. */
function copied(): string | undefined {
  let text: string | undefined;
  const event = createEvent.copy(table(), { clipboardData: { setData: (_: string, words: string) => (text = words) } });
  fireEvent(table(), event);
  return text;
}

describe('a table', () => {
  beforeEach(() => {
    makeRoom();
    localStorage.clear();
    show(<Log />);
  });
  afterEach(() => {
    vi.restoreAllMocks();
  });

  it('is ordered by pressing what it is ordered by', () => {
    const head = screen.getByRole('columnheader', { name: /When/ });
    expect(head.getAttribute('aria-sort')).toBe('descending');
    fireEvent.click(within(head).getByRole('button'));
    expect(order).toBe('OLDEST');
    expect(head.getAttribute('aria-sort')).toBe('ascending');
  });

  it('lets rows be chosen by keys alone, and copies them as a spreadsheet takes them', () => {
    expect(copied()).toBeUndefined();
    press('ArrowDown');
    press(' ');
    press('ArrowDown', { shiftKey: true });
    expect(bar().getByRole('status').textContent).toBe('2 selected');
    expect(copied()).toBe('When\tWho\tWhat\n99\tPerson 1\tdid 1\n98\tPerson 2\tdid 2');
    press('Escape');
    expect(screen.queryByRole('region', { name: 'Selected entries' })).toBeNull();
  });

  it('lets rows be chosen one by one with the pointer', () => {
    fireEvent.click(screen.getByRole('checkbox', { name: 'Select entry 1' }));
    fireEvent.click(screen.getByRole('checkbox', { name: 'Select entry 3' }));
    expect(bar().getByRole('status').textContent).toBe('2 selected');
    fireEvent.click(screen.getByRole('checkbox', { name: 'Select entry 1' }));
    expect(copied()).toBe('When\tWho\tWhat\n98\tPerson 2\tdid 2');
  });

  it('chooses back as well, and all at once', () => {
    press('End');
    press('ArrowUp', { shiftKey: true });
    press('ArrowUp', { shiftKey: true });
    expect(bar().getByRole('status').textContent).toBe('3 selected');
    press('ArrowDown', { shiftKey: true });
    expect(bar().getByRole('status').textContent).toBe('2 selected');
    press('a', { ctrlKey: true });
    expect(bar().getByRole('status').textContent).toBe('40 selected');
  });

  it('copies only the columns that are shown', () => {
    fireEvent.click(screen.getByRole('button', { name: 'Columns…' }));
    fireEvent.click(screen.getByRole('menuitemcheckbox', { name: 'Who' }));
    fireEvent.keyDown(screen.getByRole('menu'), { key: 'Escape' });
    press(' ');
    expect(copied()).toBe('When\tWhat\n100\tdid 0');
  });
});

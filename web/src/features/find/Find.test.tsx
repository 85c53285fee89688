// @vitest-environment happy-dom
import { fireEvent, screen, waitFor } from '@testing-library/react';
import { Suspense, useMemo } from 'react';
import { describe, expect, it } from 'vitest';
import { No, show } from '../../testing/show';
import { FindBar, useFind, useFindKey } from '.';

function Place() {
  const find = useFind(useMemo(() => ({ conversation: 7 }), []));
  useFindKey(find);
  return (
    <>
      <output>{`${find.part} ${find.goTo?.id ?? 'nowhere'} ${[...find.hits.keys()].join(',')}`}</output>
      {find.isOpen && (
        <Suspense fallback={null}>
          <FindBar find={find} label="this conversation" plans />
        </Suspense>
      )}
    </>
  );
}

const found = (...ids: number[]) => ({
  rows: ids.map((id) => ({ entry: { id }, hits: [{ from: 0, to: 4 }] })),
  count: ids.length,
  many: false,
  hints: [],
  nearMisses: [],
  percent: 100,
});

const at = () => screen.getByText(/nowhere|\d/, { selector: 'output' }).textContent;
const press = (key: string, more = {}) => fireEvent.keyDown(document.body, { key, ...more });

describe('finding in a script', () => {
  // First, while the field has still to be fetched.
  it('takes what is typed before the field is there, and lets no key of the script have it', async () => {
    show(<Place />, { 'GET /api/conversations/7/find': found() });
    const acted: string[] = [];
    const act = (event: KeyboardEvent) => acted.push(event.key);
    window.addEventListener('keydown', act);
    press('f', { ctrlKey: true });
    press('d');
    press('o');
    const field = await screen.findByRole<HTMLInputElement>('textbox', { name: 'Find in this conversation' });
    await waitFor(() => expect(field.value).toBe('do'));
    window.removeEventListener('keydown', act);
    expect(acted).toEqual(['f']);
    expect(await screen.findByText('not found')).toBeTruthy();
  });

  it('opens with Ctrl+F, goes from the newest line that has the words to earlier ones and around', async () => {
    show(<Place />, { 'GET /api/conversations/7/find': found(9, 5) });
    press('f', { ctrlKey: true });
    const field = await screen.findByRole('textbox', { name: 'Find in this conversation' });
    fireEvent.change(field, { target: { value: 'lift' } });
    expect(await screen.findByText('1 of 2')).toBeTruthy();
    expect(at()).toBe('all 9 9,5');
    fireEvent.keyDown(field, { key: 'Enter' });
    expect(at()).toBe('all 5 9,5');
    fireEvent.keyDown(field, { key: 'Enter' });
    expect(screen.getByText('1 of 2')).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'Later' }));
    expect(screen.getByText('2 of 2')).toBeTruthy();
    fireEvent.keyDown(field, { key: 'Escape' });
    expect(screen.queryByRole('search')).toBeNull();
    expect(at()).toBe('all nowhere ');
  });

  it('shows a part of the script until it is closed, and says why nothing can be found', async () => {
    show(<Place />, { 'GET /api/conversations/7/find': new No(503, 'cannot-search', 'History cannot be searched.') });
    press('f', { ctrlKey: true });
    fireEvent.click(await screen.findByRole('button', { name: 'What is shown: everything' }));
    fireEvent.click(await screen.findByRole('menuitem', { name: 'notes only' }));
    expect(at()).toBe('notes nowhere ');
    fireEvent.change(screen.getByRole('textbox'), { target: { value: 'lift' } });
    expect(await screen.findByText(/cannot be searched/)).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'Close' }));
    expect(at()).toBe('all nowhere ');
  });
});

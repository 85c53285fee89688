// @vitest-environment happy-dom
import { fireEvent, screen, waitFor } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import { conversation, dock } from '../testing/data';
import { show } from '../testing/show';

const found = conversation(7, { customerName: 'Greta Moss' });
const answers = { 'GET /api/conversations/jump': [found], 'GET /api/lines': [dock] };
const FIELD = 'Jump to a customer, a number or words';

describe('the place one jumps from', () => {
  it('takes what is typed before its list is fetched, and goes on with it', async () => {
    let comes: () => void = () => undefined;
    const coming = new Promise<void>((resolve) => (comes = resolve));
    vi.doMock('./JumpBox', async (original) => {
      await coming;
      return original();
    });
    const { JumpPlace } = await import('./JumpPlace');
    const page = show(<JumpPlace />, answers);
    fireEvent.keyDown(window, { key: 'k', ctrlKey: true });
    const early = screen.getByLabelText<HTMLInputElement>(FIELD);
    expect(document.activeElement).toBe(early);
    fireEvent.change(early, { target: { value: 'greta' } });
    expect(page.asked).toEqual([]);

    comes();
    const field = await screen.findByRole<HTMLInputElement>('combobox', { name: FIELD });
    expect(field.value).toBe('greta');
    expect(document.activeElement).toBe(field);
    await screen.findByRole('option', { name: /Greta Moss/ });
    fireEvent.keyDown(field, { key: 'Enter' });
    await waitFor(() => expect(page.address()).toBe('/inbox/7'));
    expect(field.value).toBe('');
  });
});

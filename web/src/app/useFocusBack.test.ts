// @vitest-environment happy-dom
import { renderHook } from '@testing-library/react';
import { afterEach, beforeEach, expect, it } from 'vitest';
import { useFocusBack } from './useFocusBack';

const save = document.createElement('button');
const other = document.createElement('button');

beforeEach(() => {
  save.disabled = false;
  other.disabled = false;
  document.body.replaceChildren(save, other);
  renderHook(() => useFocusBack());
  save.focus();
});

afterEach(() => document.body.replaceChildren());

/** A disabled button loses the focus, as in Chromium. */
function disable() {
  save.blur();
  save.disabled = true;
}

/** Ends when all observers were told. */
function set(button: HTMLButtonElement, disabled: boolean) {
  return new Promise<void>((told) => {
    new MutationObserver(() => told()).observe(button, { attributes: true });
    button.disabled = disabled;
  });
}

it('gives the focus back to a button that was disabled for a moment', async () => {
  disable();
  expect(document.activeElement).not.toBe(save);
  await set(save, false);
  expect(document.activeElement).toBe(save);
});

it('leaves the focus where it has moved meanwhile', async () => {
  disable();
  other.focus();
  await set(save, false);
  expect(document.activeElement).toBe(other);
});

it('does not take the focus because of another button', async () => {
  save.blur();
  await set(other, true);
  await set(other, false);
  expect(document.activeElement).toBe(document.body);
});

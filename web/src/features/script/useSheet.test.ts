// @vitest-environment happy-dom
import { act, renderHook } from '@testing-library/react';
import { afterEach, expect, it } from 'vitest';
import { useSheet } from './useSheet';

const width = window.innerWidth;

function at(pixels: number) {
  window.innerWidth = pixels;
  return renderHook(useSheet).result;
}

afterEach(() => {
  window.innerWidth = width;
  localStorage.clear();
});

it('lies there in the next conversation too, as it was left, and only when asked for takes the keys', () => {
  const first = at(1280);
  expect(first.current.open).toBeUndefined();
  act(() => first.current.toggle('customer'));
  expect(first.current).toMatchObject({ open: 'customer', asked: true });
  expect(at(1280).current).toMatchObject({ open: 'customer', asked: false });
  act(() => first.current.close());
  expect(at(1280).current.open).toBeUndefined();
});

it('never stands where the script is unless it was asked for there', () => {
  const wide = at(1280);
  act(() => wide.current.toggle('customer'));
  const phone = at(390);
  expect(phone.current.open).toBeUndefined();
  act(() => phone.current.toggle('customer'));
  expect(phone.current.open).toBe('customer');
  expect(at(390).current.open).toBeUndefined();
});

it('shows the customer again, where they lay, when the templates are put away', () => {
  const wide = at(1280);
  act(() => wide.current.toggle('customer'));
  act(() => wide.current.toggle('templates'));
  expect(wide.current.open).toBe('templates');
  expect(at(1280).current.open).toBe('customer');
  act(() => wide.current.close());
  expect(wide.current.open).toBe('customer');
  act(() => wide.current.toggle('customer'));
  act(() => wide.current.toggle('templates'));
  act(() => wide.current.close());
  expect(wide.current.open).toBeUndefined();
});

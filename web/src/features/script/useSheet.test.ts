// @vitest-environment jsdom
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
  expect(first.current.open).toBe(false);
  act(() => first.current.toggle());
  expect(first.current).toMatchObject({ open: true, asked: true });
  expect(at(1280).current).toMatchObject({ open: true, asked: false });
  act(() => first.current.close());
  expect(at(1280).current.open).toBe(false);
});

it('never stands where the script is unless it was asked for there', () => {
  const wide = at(1280);
  act(() => wide.current.toggle());
  const phone = at(390);
  expect(phone.current.open).toBe(false);
  act(() => phone.current.toggle());
  expect(phone.current.open).toBe(true);
  expect(at(390).current.open).toBe(false);
});

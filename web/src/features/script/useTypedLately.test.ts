// @vitest-environment happy-dom
import { act, renderHook } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import { useTypedLately } from './useTypedLately';

describe('whether somebody is writing', () => {
  it('is whether they typed within the last ten seconds', () => {
    vi.useFakeTimers();
    const { result } = renderHook(() => useTypedLately());
    const type = (typed: boolean) => act(() => result.current[1](typed));
    const pass = (ms: number) => act(() => void vi.advanceTimersByTime(ms));
    expect(result.current[0]).toBe(false);
    type(true);
    pass(9_000);
    type(true);
    pass(9_999);
    expect(result.current[0]).toBe(true);
    pass(1);
    expect(result.current[0]).toBe(false);
    type(true);
    type(false);
    expect(result.current[0]).toBe(false);
    vi.useRealTimers();
  });
});

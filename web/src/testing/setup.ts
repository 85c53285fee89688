import { afterEach, vi } from 'vitest';

// Files share one window: what a test left in it is cleared away for the next.
afterEach(async () => {
  vi.useRealTimers();
  if (typeof document === 'undefined') return;
  const { cleanup } = await import('@testing-library/react');
  cleanup();
  localStorage.clear();
  sessionStorage.clear();
});

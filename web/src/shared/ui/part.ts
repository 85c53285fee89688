import { type ComponentType, lazy } from 'react';

const RETRY_MS = 3_000;

/** When there is a connection again, or after a moment. */
function later(): Promise<void> {
  return new Promise((go) => {
    const again = () => {
      clearTimeout(timer);
      window.removeEventListener('online', again);
      go();
    };
    const timer = setTimeout(again, RETRY_MS);
    window.addEventListener('online', again);
  });
}

async function fetched<T>(load: () => Promise<T>): Promise<T> {
  for (;;) {
    try {
      return await load();
    } catch {
      await later();
    }
  }
}

/** A part of the page that is fetched when it is first needed. Without a connection it comes later, and the rest works meanwhile. */
export function part<P extends object>(load: () => Promise<ComponentType<P>>) {
  return lazy(async () => ({ default: await fetched(load) }));
}

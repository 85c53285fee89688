import { useEffect, useState } from 'react';

const HERE = 'fabulum.here.';
const SAY_EVERY_MS = 60_000;
/** The person who was away no longer than this has not left. */
const LEFT_MS = 30 * 60_000;

/** When the user left, if they have just come back after a while; and how to be told no more of it. */
export function useLeft(who: number): { left: Date | undefined; dismiss: () => void } {
  const key = HERE + String(who);
  const [left, setLeft] = useState(() => {
    const last = Number(localStorage.getItem(key));
    return last > 0 && Date.now() - last > LEFT_MS ? new Date(last) : undefined;
  });
  useEffect(() => {
    const say = () => document.visibilityState === 'visible' && localStorage.setItem(key, String(Date.now()));
    say();
    const timer = setInterval(say, SAY_EVERY_MS);
    window.addEventListener('pagehide', say);
    return () => {
      clearInterval(timer);
      window.removeEventListener('pagehide', say);
    };
  }, [key]);
  return { left, dismiss: () => setLeft(undefined) };
}

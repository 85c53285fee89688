import { flushSync } from 'react-dom';
// eslint-disable-next-line no-restricted-imports -- the one place
import { useSearchParams } from 'react-router';

/** How the router draws what must be there at once. */
export const drawNow = (draw: () => unknown): undefined => void flushSync(draw);

/**
 * The query of the address and a function that changes it. A change is drawn before the next key is pressed; otherwise letters typed fast
 * would be lost, and a page opened right after them would show the old query.
 */
export function useAddress() {
  const [params, setParams] = useSearchParams();
  const change = (next: URLSearchParams | Record<string, string>, how: { replace?: boolean } = {}) =>
    setParams(next, { ...how, flushSync: true });
  return [params, change] as const;
}

import { createContext, useContext } from 'react';
import { flushSync } from 'react-dom';
// eslint-disable-next-line no-restricted-imports -- the one place
import { useLocation, useNavigate, useSearchParams } from 'react-router';

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

/**
 * Opens a conversation, with what is to happen there. Keys mean it from the next press on: drawn when there is time, it would be the one
 * before that is taken or done by a person who is quick.
 */
export function useOpenConversation() {
  const navigate = useNavigate();
  return (id: number, state?: object) => void navigate(`/inbox/${id}`, { state, flushSync: true });
}

/** Says the path of the address; the page may still show what stood there before. */
export const StandsAt = createContext<(() => string) | undefined>(undefined);

/** A function that says whether the page shows what the address names by now. It does not while a link that was followed is being drawn. */
export function useShowsAddress() {
  const drawn = useLocation().pathname;
  const standsAt = useContext(StandsAt);
  return () => standsAt === undefined || standsAt() === drawn;
}

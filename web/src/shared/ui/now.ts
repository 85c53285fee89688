import { createContext, useContext } from 'react';

/** The server's time now; it stands still where the server's clock does. Moves once a minute. */
export const NowContext = createContext<Date>(new Date(0));

export function useNow(): Date {
  return useContext(NowContext);
}

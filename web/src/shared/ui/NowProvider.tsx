import { type ReactNode, useEffect, useState } from 'react';
import { NowContext } from './now';

const EVERY_MS = 5_000;

interface Props {
  /** The server's time at `readAt`. */
  serverNow: string;
  /** This browser's time when the server told its own, in milliseconds. */
  readAt: number;
  runs: boolean;
  children: ReactNode;
}

export function NowProvider({ serverNow, readAt, runs, children }: Props) {
  const [now, setNow] = useState(() => new Date(serverNow));
  useEffect(() => {
    if (!runs) return undefined;
    const offset = new Date(serverNow).getTime() - readAt;
    const timer = setInterval(() => setNow(new Date(Date.now() + offset)), EVERY_MS);
    return () => clearInterval(timer);
  }, [serverNow, readAt, runs]);
  return <NowContext.Provider value={now}>{children}</NowContext.Provider>;
}

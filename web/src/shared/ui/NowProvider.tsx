import { type ReactNode, useEffect, useState } from 'react';
import { NowContext } from './now';

const MINUTE_MS = 60_000;

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
  const [told, setTold] = useState(serverNow);
  if (told !== serverNow) {
    setTold(serverNow);
    setNow(new Date(serverNow));
  }
  useEffect(() => {
    if (!runs) return undefined;
    const offset = new Date(serverNow).getTime() - readAt;
    let timer: ReturnType<typeof setTimeout>;
    // At each full minute of the server's clock, when what is shown of it changes.
    const wait = () => {
      const time = Date.now() + offset;
      timer = setTimeout(tick, MINUTE_MS - (time % MINUTE_MS) + 5);
    };
    const tick = () => {
      setNow(new Date(Date.now() + offset));
      wait();
    };
    wait();
    return () => clearTimeout(timer);
  }, [serverNow, readAt, runs]);
  return <NowContext.Provider value={now}>{children}</NowContext.Provider>;
}

import { useEffect, useRef } from 'react';
import { NavigationType, useNavigationType } from 'react-router';
import { ask } from '../../shared/api';

/** As it was left in this page; the server's is of the last time one signed in. */
let leftHere: { who: number; search: string } | undefined;

/**
 * The inbox comes back as each person left it: the person who comes to its bare address, from a notice, the office or by jumping, finds their
 * last group, order and sentence in it. Going back in the browser's history is left alone.
 *
 * @param search what the address says now; undefined in a place that is not kept
 * @param put puts what was kept into the address
 * @returns keeps what someone chose
 */
export function useKeptAddress(
  who: number,
  fromServer: string,
  search: string | undefined,
  put: (search: string) => void,
): (search: string) => void {
  const way = useNavigationType();
  const fresh = useRef(true);
  const kept = leftHere?.who === who ? leftHere.search : fromServer;
  const restore = useRef(put);
  useEffect(() => {
    restore.current = put;
  });
  useEffect(() => {
    if (search === undefined) return;
    const first = fresh.current;
    fresh.current = false;
    if (search === '' && kept !== '' && (first || way !== NavigationType.Pop)) restore.current(kept);
    else leftHere = { who, search };
  }, [search, kept, way, who]);
  return (next) => {
    if (search === undefined) return;
    leftHere = { who, search: next };
    ask('PUT', '/api/me/inbox', { body: { address: next } }).catch(() => undefined);
  };
}

import { type RefObject, useLayoutEffect, useRef, useState } from 'react';
import type { Conversation } from '../../shared/api';
import { ROW_HEIGHT } from './Row';

/** What a list can read on. */
interface More {
  hasNextPage: boolean;
  isFetchingNextPage: boolean;
  fetchNextPage: () => unknown;
}

const stored = (name: string) => `place of ${name}`;

/** What comes in above or leaves there moves nothing of what the user is looking at. */
function useStill(scroller: RefObject<HTMLDivElement | null>, rows: Conversation[]) {
  const before = useRef(rows);
  useLayoutEffect(() => {
    const element = scroller.current;
    const had = before.current;
    before.current = rows;
    if (!element || element.scrollTop === 0 || had === rows) return;
    const at = Math.floor(element.scrollTop / ROW_HEIGHT);
    const stayed = had.slice(at).find((row) => rows.some((each) => each.id === row.id));
    if (!stayed) return;
    const moved = rows.findIndex((row) => row.id === stayed.id) - had.indexOf(stayed);
    if (moved !== 0) element.scrollBy(0, moved * ROW_HEIGHT);
  }, [scroller, rows]);
}

/**
 * Keeps the place of a list: while things change, when the user comes back to it, and when the page is loaded again. What it
 * stood at is read on first where it has to be; the person who scrolls meanwhile is left alone.
 *
 * @param name under which the place is remembered, in this tab
 * @returns to be told of each scrolling
 */
export function usePlace(scroller: RefObject<HTMLDivElement | null>, rows: Conversation[], name: string, more: More) {
  useStill(scroller, rows);
  // How far down, and the row that stood there: what came in above since moves it.
  const [[top = 0, stood = 0]] = useState(() => (sessionStorage.getItem(stored(name)) ?? '').split(' ').map(Number));
  const wanted = useRef(top);
  const { hasNextPage, isFetchingNextPage, fetchNextPage } = more;
  const filled = rows.length;
  useLayoutEffect(() => {
    const element = scroller.current;
    if (!element || filled === 0 || wanted.current === 0) return;
    if (hasNextPage && filled * ROW_HEIGHT < wanted.current + element.clientHeight) {
      if (!isFetchingNextPage) void fetchNextPage();
      return;
    }
    const at = rows.findIndex((row) => row.id === stood);
    element.scrollTo(0, at < 0 ? wanted.current : at * ROW_HEIGHT + (wanted.current % ROW_HEIGHT));
    wanted.current = 0;
  }, [scroller, rows, filled, stood, hasNextPage, isFetchingNextPage, fetchNextPage]);
  return (now: number) => {
    wanted.current = 0;
    sessionStorage.setItem(stored(name), `${now} ${rows[Math.floor(now / ROW_HEIGHT)]?.id ?? 0}`);
  };
}

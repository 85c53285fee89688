import { Box } from '@mui/material';
import { useVirtualizer } from '@tanstack/react-virtual';
import { type ReactNode, useEffect, useLayoutEffect, useRef } from 'react';
import { ProblemNote } from '../../shared/ui';
import type { Printed } from './model/scene';
import { usePrinting } from './usePrinting';
import { useStayAtEnd } from './useStayAtEnd';

/** A line of text with its margins, in pixels; longer ones are measured when they are drawn. */
const LINE_HEIGHT = 30;
/** Room above the first line, where it says that earlier ones are being read. */
const ABOVE = 32;
/** Earlier lines are asked for when fewer than these are left above the first one drawn. */
const AHEAD = 25;

/** Stretches that are read one before the other; an infinite query fits. */
interface Stretches {
  data: unknown;
  error: unknown;
  hasNextPage: boolean;
  isFetchingNextPage: boolean;
  isFetchNextPageError: boolean;
  fetchNextPage: () => unknown;
  refetch: () => unknown;
}

/** A line to go to. */
export interface GoTo {
  id: number;
}

interface Props {
  label: string;
  lines: Printed[];
  query: Stretches;
  /** The line that is gone to, once it is there; again when it is another object. */
  goTo?: GoTo | undefined;
  /** Why that line cannot be shown. */
  problem?: Error | null;
  children: (line: Printed, index: number) => ReactNode;
}

/**
 * Lines of a script, to the very first. It opens at its end and stays there while new lines come; earlier ones are read as one
 * scrolls up. Only what can be seen is drawn, so that a story of years is as quick as a new one.
 */
export function ScriptScroll({ label, lines, query, goTo, problem = null, children }: Props) {
  const scroller = useRef<HTMLDivElement>(null);
  const printing = usePrinting();
  // eslint-disable-next-line react-hooks/incompatible-library -- no compiler memoises this component
  const virtual = useVirtualizer({
    count: lines.length,
    getScrollElement: () => scroller.current,
    estimateSize: () => LINE_HEIGHT,
    getItemKey: (i) => lines[i]?.entry.id ?? i,
    overscan: printing ? lines.length : 12,
    anchorTo: 'end',
    followOnAppend: true,
    scrollEndThreshold: 40,
    paddingStart: ABOVE,
    paddingEnd: 16,
    // Until the room is known, as much as a screen has.
    initialRect: { width: 900, height: 600 },
  });
  const loaded = query.data !== undefined;
  useLayoutEffect(() => {
    if (loaded) virtual.scrollToEnd();
  }, [loaded, virtual]);
  const gone = useRef<GoTo>(undefined);
  useEffect(() => {
    const at = goTo && gone.current !== goTo ? lines.findIndex(({ entry }) => entry.id === goTo.id) : -1;
    if (at < 0) return;
    gone.current = goTo;
    // What is drawn for the first time is measured, and a script that stood at its end wants to stay there: for a few frames it is gone to again.
    let frames = 4;
    const go = () => {
      virtual.scrollToIndex(at, { align: 'center' });
      frames -= 1;
      if (frames > 0) requestAnimationFrame(go);
    };
    go();
  }, [goTo, lines, virtual]);
  useStayAtEnd(scroller, virtual.scrollToEnd, loaded);
  const items = virtual.getVirtualItems();
  const first = items[0]?.index ?? Infinity;
  const { hasNextPage, isFetchingNextPage, isFetchNextPageError, fetchNextPage } = query;
  useEffect(() => {
    if (hasNextPage && !isFetchingNextPage && !isFetchNextPageError && first < AHEAD) void fetchNextPage();
  }, [hasNextPage, isFetchingNextPage, isFetchNextPageError, fetchNextPage, first]);
  if (query.error && !query.data) return <ProblemNote problem={query.error} onRetry={() => void query.refetch()} />;
  return (
    <Box
      ref={scroller}
      role="region"
      aria-label={label}
      // A scrolling region must be reachable by keyboard.
      tabIndex={0}
      sx={{ flex: 1, minHeight: 0, overflowY: 'auto', overflowAnchor: 'none', bgcolor: 'background.paper' }}
    >
      {problem && <ProblemNote problem={problem} />}
      {isFetchNextPageError && <ProblemNote problem={query.error} onRetry={() => void fetchNextPage()} />}
      <Box sx={{ position: 'relative' }} style={{ height: virtual.getTotalSize() }}>
        {hasNextPage && (
          <Box sx={{ typography: 'caption', color: 'text.secondary', textAlign: 'center', pt: 1 }}>
            reading earlier lines …
          </Box>
        )}
        {items.map((item) => {
          const each = lines[item.index];
          return (
            each && (
              <Box
                key={item.key}
                ref={virtual.measureElement}
                data-index={item.index}
                sx={{ position: 'absolute', top: 0, left: 0, right: 0, display: 'flow-root' }}
                style={{ transform: `translateY(${item.start}px)` }}
              >
                {children(each, item.index)}
              </Box>
            )
          );
        })}
      </Box>
    </Box>
  );
}

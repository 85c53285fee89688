import { Box } from '@mui/material';
import { useInfiniteQuery } from '@tanstack/react-query';
import { useVirtualizer } from '@tanstack/react-virtual';
import { lazy, memo, Suspense, useEffect, useLayoutEffect, useMemo, useRef } from 'react';
import { scriptQuery } from './queries';
import { ProblemNote } from '../../shared/ui';
import { EntryLine } from './EntryLine';
import { TakeBack } from './TakeBack';
import { firstUnread, printed } from './model/scene';
import { usePrinting } from './usePrinting';
import { useStayAtEnd } from './useStayAtEnd';

/** Fetched when the first text was not delivered. */
const LostText = lazy(() => import('./LostText').then((part) => ({ default: part.LostText })));

/** A line of text with its margins, in pixels; longer ones are measured when they are drawn. */
const LINE_HEIGHT = 30;
/** Room above the first line, where it says that earlier ones are being read. */
const ABOVE = 32;
/** Earlier lines are asked for when fewer than these are left above the first one drawn. */
const AHEAD = 25;

interface Props {
  id: number;
  zone: string;
  customer: string;
  me: number;
  /** Up to when one had read it before; what others said since is marked as new. */
  readBefore: string | undefined;
  teamName: (id: number) => string;
  /** Puts the words of a text that was not delivered back onto the paper. */
  onWriteAgain: (words: string, again: number) => void;
  /** Leaves such a text as it is. */
  onLeave: (text: number) => void;
  /** The line of the conversation. */
  line: number;
  /** Other numbers of the customer, in E.164. */
  numbers: string[];
}

/**
 * The script itself, to the very first text. It opens at its end and stays there while new lines come; earlier ones are read as one
 * scrolls up. Only what can be seen is drawn, so that a story of years is as quick as a new one.
 */
export const Lines = memo(function Lines({ id, onWriteAgain, onLeave, line, numbers, readBefore, ...shown }: Props) {
  const { zone, me } = shown;
  const query = useInfiniteQuery(scriptQuery(id));
  const lines = useMemo(() => {
    const pages = query.data?.pages ?? [];
    return printed(
      [...pages].reverse().flatMap((page) => page.entries),
      zone,
    );
  }, [query.data, zone]);
  const firstNew = useMemo(() => firstUnread(lines, readBefore, me), [lines, readBefore, me]);
  const scroller = useRef<HTMLDivElement>(null);
  const printing = usePrinting();
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
  });
  const loaded = query.data !== undefined;
  useLayoutEffect(() => {
    if (loaded) virtual.scrollToEnd();
  }, [loaded, virtual]);
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
      aria-label="Script"
      // A scrolling region must be reachable by keyboard.
      tabIndex={0}
      sx={{ flex: 1, minHeight: 0, overflowY: 'auto', overflowAnchor: 'none', bgcolor: 'background.paper' }}
    >
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
                <EntryLine line={each} isFirstNew={each.entry.id === firstNew} {...shown}>
                  {each.entry.leavesAt && each.entry.delivery === 'WAITING' && each.entry.speaker?.id === me && (
                    <TakeBack text={each.entry.id} />
                  )}
                  {each.entry.needsHand && (
                    <Suspense fallback={null}>
                      <LostText
                        entry={each.entry}
                        line={line}
                        numbers={numbers}
                        onWriteAgain={onWriteAgain}
                        onLeave={onLeave}
                      />
                    </Suspense>
                  )}
                </EntryLine>
              </Box>
            )
          );
        })}
      </Box>
    </Box>
  );
});

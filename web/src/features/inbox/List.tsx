import { Box } from '@mui/material';
import type { InfiniteData, UseInfiniteQueryResult } from '@tanstack/react-query';
import { useVirtualizer } from '@tanstack/react-virtual';
import { useEffect, useRef } from 'react';
import type { Conversation, InboxPage, Line } from '../../shared/api';
import { ProblemNote } from '../../shared/ui';
import { Row, ROW_HEIGHT } from './Row';

interface Props {
  query: UseInfiniteQueryResult<InfiniteData<InboxPage>>;
  rows: Conversation[];
  me: number;
  lines: Line[];
  chosen: number | undefined;
  empty: string;
  onOpen: (id: number) => void;
}

/** The list: it scrolls through thousands, and reads on as one comes near the end. */
export function List({ query, rows, me, lines, chosen, empty, onOpen }: Props) {
  const scroller = useRef<HTMLDivElement>(null);
  // eslint-disable-next-line react-hooks/incompatible-library -- no compiler memoises this component
  const virtual = useVirtualizer({
    count: rows.length,
    getScrollElement: () => scroller.current,
    estimateSize: () => ROW_HEIGHT,
    overscan: 8,
    getItemKey: (i) => rows[i]?.id ?? i,
  });
  const items = virtual.getVirtualItems();
  const last = items[items.length - 1]?.index ?? 0;
  const { hasNextPage, isFetchingNextPage, fetchNextPage } = query;
  useEffect(() => {
    if (hasNextPage && !isFetchingNextPage && last > rows.length - 12) void fetchNextPage();
  }, [hasNextPage, isFetchingNextPage, fetchNextPage, last, rows.length]);
  useEffect(() => {
    const at = rows.findIndex((row) => row.id === chosen);
    if (at >= 0) virtual.scrollToIndex(at, { align: 'auto' });
    // Only a new choice scrolls the list; changes of order never do.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [chosen]);

  if (query.error) return <ProblemNote problem={query.error} onRetry={() => void query.refetch()} />;
  if (!query.isPending && rows.length === 0) return <Box sx={{ p: 3, color: 'text.secondary' }}>{empty}</Box>;
  return (
    <Box ref={scroller} role="region" aria-label="Conversations" sx={{ overflowY: 'auto', flex: 1, minHeight: 0 }}>
      <Box component="ul" sx={{ height: virtual.getTotalSize(), position: 'relative', m: 0, p: 0, listStyle: 'none' }}>
        {items.map((item) => {
          const row = rows[item.index];
          return row ? (
            <Box
              component="li"
              key={item.key}
              sx={{ position: 'absolute', insetInline: 0, top: 0 }}
              style={{ transform: `translateY(${item.start}px)` }}
            >
              <Row
                row={row}
                me={me}
                chosen={row.id === chosen}
                lineName={lines.find((line) => line.id === row.lineId)?.name ?? ''}
                onOpen={() => onOpen(row.id)}
              />
            </Box>
          ) : null;
        })}
      </Box>
    </Box>
  );
}

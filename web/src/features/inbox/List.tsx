import { Box, ButtonBase } from '@mui/material';
import { type InfiniteData, type UseInfiniteQueryResult, useQuery } from '@tanstack/react-query';
import { useVirtualizer } from '@tanstack/react-virtual';
import { type RefObject, useEffect, useRef } from 'react';
import { type Conversation, type InboxPage, isUnread, type Line, type Topic, watchersQuery } from '../../shared/api';
import { ProblemNote } from '../../shared/ui';
import { waitingWords } from './model/quiet';
import { Row, ROW_HEIGHT } from './Row';
import type { Marks } from './useMarks';
import { useAway } from './useAway';
import { usePlace } from './usePlace';

interface Props {
  query: UseInfiniteQueryResult<InfiniteData<InboxPage>>;
  rows: Conversation[];
  me: number;
  lines: Line[];
  chosen: number | undefined;
  empty: string;
  topics: Topic[];
  /** Up to when I have read each. */
  read: Map<number, string>;
  marks: Marks;
  /** How many changes of order wait for a quiet moment. */
  waiting: number;
  onRelease: () => void;
  /** Under which the place of the list is remembered. */
  name: string;
  scroller: RefObject<HTMLDivElement | null>;
  onOpen: (id: number) => void;
}

/** The list: it scrolls through thousands, and reads on as the end comes near. */
export function List(props: Props) {
  const { query, rows, me, lines, chosen, empty, topics, read, marks, waiting, name, scroller, onOpen } = props;
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
  const moved = usePlace(scroller, rows, name, query);
  const watched = useQuery(watchersQuery).data ?? [];
  const away = useAway();
  const others = (id: number) =>
    (watched.find((each) => each.conversationId === id)?.watchers ?? []).filter(({ staff }) => staff.id !== me);
  // Only a new choice scrolls the list, once it is there; changes of order never do.
  const settled = useRef<number>(undefined);
  useEffect(() => {
    if (settled.current === chosen) return;
    const at = rows.findIndex((row) => row.id === chosen);
    if (at >= 0) virtual.scrollToIndex(at, { align: 'auto' });
    if (chosen === undefined || at >= 0 || (!query.isFetching && waiting === 0)) settled.current = chosen;
  }, [chosen, rows, query.isFetching, waiting, virtual]);

  const problem = query.error && <ProblemNote problem={query.error} onRetry={() => void query.refetch()} />;
  if (!query.data) return problem;
  if (rows.length === 0) return <Box sx={{ p: 3, color: 'text.secondary' }}>{empty}</Box>;
  return (
    <>
      {problem}
      {waiting > 0 && (
        <ButtonBase
          onClick={props.onRelease}
          sx={{
            typography: 'caption',
            py: 0.25,
            borderRadius: 0,
            borderBottom: 1,
            borderColor: 'divider',
            color: 'text.secondary',
            justifyContent: 'center',
            position: 'absolute',
            insetInline: 0,
            top: 0,
            zIndex: 2,
            bgcolor: 'background.paper',
          }}
        >
          {waitingWords(waiting)} ·&nbsp;<strong>show now</strong>
        </ButtonBase>
      )}
      <Box
        ref={scroller}
        role="region"
        aria-label="Conversations"
        onScroll={(event) => moved(event.currentTarget.scrollTop)}
        sx={{ overflowY: 'auto', flex: 1, minHeight: 0 }}
      >
        <Box
          component="ul"
          sx={{ height: virtual.getTotalSize(), position: 'relative', m: 0, p: 0, listStyle: 'none' }}
        >
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
                  zone={lines.find((line) => line.id === row.lineId)?.zone ?? 'UTC'}
                  watchers={others(row.id)}
                  unread={row.id !== chosen && isUnread(row, read.get(row.id))}
                  away={row.owner && away.get(row.owner.id)}
                  topics={row.topics.flatMap((id) => topics.find((topic) => topic.id === id) ?? [])}
                  marked={marks.has(row.id)}
                  choosing={marks.count > 0}
                  onOpen={() => onOpen(row.id)}
                  onMark={(further) => marks.mark(row.id, further)}
                />
              </Box>
            ) : null;
          })}
        </Box>
      </Box>
    </>
  );
}

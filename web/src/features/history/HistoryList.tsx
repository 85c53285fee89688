import { Box } from '@mui/material';
import { useVirtualizer } from '@tanstack/react-virtual';
import { useEffect, useRef } from 'react';
import type { HistoryRow as Row, Line } from '../../shared/api';
import { HistoryRow } from './HistoryRow';

/** A row of two lines of words; others are measured when they are drawn. */
const ROW_HEIGHT = 84;
/** More is asked for when fewer than these are left below the last one drawn. */
const AHEAD = 15;

interface Props {
  rows: Row[];
  lines: Line[];
  /** The one whose script is shown. */
  chosen: number | undefined;
  teamName: (id: number) => string;
  hasMore: boolean;
  onMore: () => void;
  onOpen: (row: Row) => void;
}

/** All that was found; it reads on as the end comes near. */
export function HistoryList({ rows, lines, chosen, teamName, hasMore, onMore, onOpen }: Props) {
  const scroller = useRef<HTMLDivElement>(null);
  // eslint-disable-next-line react-hooks/incompatible-library -- no compiler memoises this component
  const virtual = useVirtualizer({
    count: rows.length,
    getScrollElement: () => scroller.current,
    estimateSize: () => ROW_HEIGHT,
    overscan: 8,
    getItemKey: (i) => rows[i]?.entry.id ?? i,
    initialRect: { width: 480, height: 600 },
  });
  const items = virtual.getVirtualItems();
  const last = items[items.length - 1]?.index ?? 0;
  useEffect(() => {
    if (hasMore && last > rows.length - AHEAD) onMore();
  }, [hasMore, onMore, last, rows.length]);
  const at = rows.findIndex(({ entry }) => entry.id === chosen);
  useEffect(() => {
    if (at >= 0) virtual.scrollToIndex(at, { align: 'auto' });
    // Only another choice scrolls.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [chosen]);
  return (
    <Box ref={scroller} role="region" aria-label="Found" tabIndex={0} sx={{ overflowY: 'auto', flex: 1, minHeight: 0 }}>
      <Box component="ul" sx={{ height: virtual.getTotalSize(), position: 'relative', m: 0, p: 0, listStyle: 'none' }}>
        {items.map((item) => {
          const row = rows[item.index];
          return (
            row && (
              <Box
                component="li"
                key={item.key}
                ref={virtual.measureElement}
                data-index={item.index}
                sx={{ position: 'absolute', insetInline: 0, top: 0 }}
                style={{ transform: `translateY(${item.start}px)` }}
              >
                <HistoryRow
                  row={row}
                  line={lines.find((line) => line.id === row.lineId)}
                  chosen={row.entry.id === chosen}
                  teamName={teamName}
                  onOpen={() => onOpen(row)}
                />
              </Box>
            )
          );
        })}
      </Box>
    </Box>
  );
}

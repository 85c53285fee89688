import { Box, Checkbox, TableBody, TableCell, TableRow } from '@mui/material';
import { useVirtualizer } from '@tanstack/react-virtual';
import { type ClipboardEvent, type KeyboardEvent, type ReactNode, useEffect, useRef } from 'react';
import { ProblemNote } from '../ui';
import { type Column, pasteable, useColumns } from './columns';
import { CELL, ChosenBar, Head, type Order } from './Head';
import { useWalk } from './useWalk';

/** Rows that are read page by page; an infinite query fits. */
interface Paged {
  hasNextPage: boolean;
  isFetchingNextPage: boolean;
  isPending: boolean;
  error: unknown;
  fetchNextPage: () => unknown;
  refetch: () => unknown;
}

interface Props<R> {
  label: string;
  /** Under which the choice of columns is kept in this browser. */
  name: string;
  columns: Column<R>[];
  rows: R[];
  keyOf: (row: R) => number;
  query: Paged;
  /** How rows that come in the order of time are ordered. */
  order?: Order;
  onOrder?: (order: Order) => void;
  /** What a row is, for those who do not see it; its place unless said. */
  nameOf?: (row: R) => string;
  /** Opens a row: with Enter, or a click. */
  onOpen?: (row: R) => void;
  /** What can be done with the chosen rows. */
  actions?: (chosen: R[], clear: () => void) => ReactNode;
  /** What an empty table says. */
  empty: string;
}

const ROW_HEIGHT = 34;
const AHEAD = 30;

/** A table of any length: only the rows that can be seen are drawn, and more are read as the end comes near. */
export function DataTable<R>({
  label,
  name,
  columns,
  rows,
  keyOf,
  query,
  order = 'NEWEST',
  onOrder = () => undefined,
  nameOf,
  onOpen,
  actions,
  empty,
}: Props<R>) {
  const scroller = useRef<HTMLDivElement>(null);
  const choice = useColumns(name, columns);
  // eslint-disable-next-line react-hooks/incompatible-library -- no compiler memoises this component
  const virtual = useVirtualizer({
    count: rows.length,
    getScrollElement: () => scroller.current,
    estimateSize: () => ROW_HEIGHT,
    overscan: 12,
    getItemKey: (i) => (rows[i] ? keyOf(rows[i]) : i),
    // Until the room is known, as many as a screen has.
    initialRect: { width: 900, height: 600 },
  });
  const walk = useWalk({
    count: rows.length,
    keyAt: (i) => (rows[i] ? keyOf(rows[i]) : -1),
    pageSize: () => Math.max(1, Math.floor((scroller.current?.clientHeight ?? 0) / ROW_HEIGHT) - 2),
    onWalked: (i) => virtual.scrollToIndex(i),
  });
  const items = virtual.getVirtualItems();
  const last = items[items.length - 1]?.index ?? 0;
  const { hasNextPage, isFetchingNextPage, error, fetchNextPage } = query;
  useEffect(() => {
    if (hasNextPage && !isFetchingNextPage && !error && last > rows.length - AHEAD) fetchNextPage();
  }, [hasNextPage, isFetchingNextPage, error, fetchNextPage, last, rows.length]);
  const chosen = rows.filter((row) => walk.chosen.has(keyOf(row)));
  const copied = () => pasteable(choice.shown, chosen);
  const copy = (event: ClipboardEvent) => {
    if (chosen.length === 0 || window.getSelection()?.toString()) return;
    event.clipboardData.setData('text/plain', copied());
    event.preventDefault();
  };
  const grid = {
    display: 'grid',
    gridTemplateColumns: ['24px', ...choice.shown.map((column) => column.width)].join(' '),
    columnGap: 2,
  };
  const pressed = (event: KeyboardEvent) => {
    const row = rows[walk.at];
    if (event.key === 'Enter' && event.target === event.currentTarget && row && onOpen) onOpen(row);
    else walk.pressed(event);
  };
  // A browser gives it to pages that came by a secure way only; there the keys do it alone.
  const clipboard = 'clipboard' in navigator ? navigator.clipboard : undefined;
  return (
    <Box sx={{ display: 'flex', flexDirection: 'column', minHeight: 0, flex: 1 }}>
      {error !== null && error !== undefined && (
        <ProblemNote problem={error} onRetry={() => void (rows.length === 0 ? query.refetch() : fetchNextPage())} />
      )}
      <Box
        ref={scroller}
        role="table"
        aria-label={label}
        aria-rowcount={hasNextPage ? -1 : rows.length + 1}
        // A region that scrolls and is walked by the arrows must take the focus.
        tabIndex={0}
        onKeyDown={pressed}
        onCopy={copy}
        sx={{
          flex: 1,
          minHeight: 240,
          overflow: 'auto',
          border: 1,
          borderColor: 'divider',
          bgcolor: 'background.paper',
        }}
      >
        <Head columns={columns} choice={choice} grid={grid} order={order} onOrder={onOrder} />
        {rows.length === 0 && !query.isPending && !error && <Box sx={{ p: 3, color: 'text.secondary' }}>{empty}</Box>}
        <TableBody
          component="div"
          role="rowgroup"
          sx={{ display: 'block', position: 'relative' }}
          style={{ height: virtual.getTotalSize() }}
        >
          {items.map((item) => {
            const row = rows[item.index];
            if (!row) return null;
            const isChosen = walk.chosen.has(keyOf(row));
            return (
              <TableRow
                key={item.key}
                component="div"
                role="row"
                ref={virtual.measureElement}
                data-index={item.index}
                aria-rowindex={item.index + 2}
                aria-current={item.index === walk.at ? true : undefined}
                sx={{
                  ...grid,
                  px: 1.5,
                  position: 'absolute',
                  top: 0,
                  left: 0,
                  right: 0,
                  borderBottom: 1,
                  borderColor: 'divider',
                  bgcolor: isChosen ? 'inks.pineWash' : 'transparent',
                  '[role=table]:focus-visible &[aria-current]': { boxShadow: 'inset 3px 0 0', color: 'primary.main' },
                }}
                style={{ transform: `translateY(${item.start}px)` }}
              >
                <TableCell component="div" role="cell" sx={CELL}>
                  <Checkbox
                    size="small"
                    checked={isChosen}
                    onChange={() => walk.toggle(item.index)}
                    slotProps={{
                      input: { 'aria-label': `Select ${nameOf?.(row) ?? `entry ${item.index + 1}`}`, tabIndex: -1 },
                    }}
                    sx={{ p: 0 }}
                  />
                </TableCell>
                {choice.shown.map((column) => (
                  <TableCell key={column.name} component="div" role="cell" sx={CELL}>
                    {column.cell(row)}
                  </TableCell>
                ))}
              </TableRow>
            );
          })}
        </TableBody>
      </Box>
      {chosen.length > 0 && (
        <ChosenBar
          count={chosen.length}
          onCopy={clipboard && (() => void clipboard.writeText(copied()))}
          onClear={walk.clear}
        >
          {actions?.(chosen, walk.clear)}
        </ChosenBar>
      )}
    </Box>
  );
}

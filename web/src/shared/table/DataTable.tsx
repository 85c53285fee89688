import {
  Box,
  Button,
  Checkbox,
  ListItemText,
  Menu,
  MenuItem,
  TableBody,
  TableCell,
  TableHead,
  TableRow,
} from '@mui/material';
import { useVirtualizer } from '@tanstack/react-virtual';
import { type KeyboardEvent, type ReactNode, useEffect, useRef, useState } from 'react';
import { ProblemNote } from '../ui';

export interface Column<R> {
  name: string;
  /** The width it asks for, as of a grid's column. */
  width: string;
  cell: (row: R) => ReactNode;
  /** The table is of no use without it, so it is always shown. */
  always?: boolean;
}

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
  /** What an empty table says. */
  empty: string;
}

const ROW_HEIGHT = 34;
const AHEAD = 30;

function hiddenAtFirst(name: string): string[] {
  const kept = localStorage.getItem(`fabulum.columns.${name}`);
  return kept ? kept.split('\n') : [];
}

/**
 * A table of any length: only the rows that can be seen are drawn, and more are read as one comes near the end. Arrows, Page and Home
 * and End walk it.
 */
export function DataTable<R>({ label, name, columns, rows, keyOf, query, empty }: Props<R>) {
  const scroller = useRef<HTMLDivElement>(null);
  const [hidden, setHidden] = useState(() => hiddenAtFirst(name));
  const [menu, setMenu] = useState<HTMLElement | null>(null);
  const [at, setAt] = useState(0);
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
  const items = virtual.getVirtualItems();
  const last = items[items.length - 1]?.index ?? 0;
  const { hasNextPage, isFetchingNextPage, error, fetchNextPage } = query;
  useEffect(() => {
    if (hasNextPage && !isFetchingNextPage && !error && last > rows.length - AHEAD) fetchNextPage();
  }, [hasNextPage, isFetchingNextPage, error, fetchNextPage, last, rows.length]);
  const shown = columns.filter((column) => column.always || !hidden.includes(column.name));
  const grid = { display: 'grid', gridTemplateColumns: shown.map((column) => column.width).join(' '), columnGap: 2 };
  const toggle = (column: string) => {
    const next = hidden.includes(column) ? hidden.filter((one) => one !== column) : [...hidden, column];
    localStorage.setItem(`fabulum.columns.${name}`, next.join('\n'));
    setHidden(next);
  };
  const walk = (event: KeyboardEvent) => {
    const page = Math.max(1, Math.floor((scroller.current?.clientHeight ?? 0) / ROW_HEIGHT) - 2);
    const step = { ArrowDown: 1, ArrowUp: -1, PageDown: page, PageUp: -page, Home: -rows.length, End: rows.length }[
      event.key
    ];
    if (step === undefined) return;
    event.preventDefault();
    const next = Math.max(0, Math.min(rows.length - 1, at + step));
    setAt(next);
    virtual.scrollToIndex(next);
  };
  const cell = { border: 0, p: 0, py: 0.75, overflowWrap: 'anywhere' } as const;
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
        onKeyDown={walk}
        sx={{
          flex: 1,
          minHeight: 240,
          overflow: 'auto',
          border: 1,
          borderColor: 'divider',
          bgcolor: 'background.paper',
        }}
      >
        <TableHead
          component="div"
          role="rowgroup"
          sx={{
            display: 'block',
            position: 'sticky',
            top: 0,
            zIndex: 1,
            bgcolor: 'background.paper',
            borderBottom: 1,
            borderColor: 'divider',
          }}
        >
          <TableRow component="div" role="row" sx={{ ...grid, px: 1.5, alignItems: 'center' }}>
            {shown.map((column, i) => (
              <TableCell
                key={column.name}
                component="div"
                role="columnheader"
                sx={{ ...cell, color: 'text.secondary' }}
              >
                {column.name}
                {i === shown.length - 1 && (
                  <Button
                    sx={{ p: 0, ml: 2, fontSize: 'inherit' }}
                    aria-haspopup="menu"
                    onClick={(event) => setMenu(event.currentTarget)}
                  >
                    Columns…
                  </Button>
                )}
              </TableCell>
            ))}
          </TableRow>
        </TableHead>
        {rows.length === 0 && !query.isPending && !error && <Box sx={{ p: 3, color: 'text.secondary' }}>{empty}</Box>}
        <TableBody
          component="div"
          role="rowgroup"
          sx={{ display: 'block', position: 'relative' }}
          style={{ height: virtual.getTotalSize() }}
        >
          {items.map((item) => {
            const row = rows[item.index];
            return (
              row && (
                <TableRow
                  key={item.key}
                  component="div"
                  role="row"
                  ref={virtual.measureElement}
                  data-index={item.index}
                  aria-rowindex={item.index + 2}
                  aria-current={item.index === at ? true : undefined}
                  sx={{
                    ...grid,
                    px: 1.5,
                    position: 'absolute',
                    top: 0,
                    left: 0,
                    right: 0,
                    borderBottom: 1,
                    borderColor: 'divider',
                    '[role=table]:focus-visible &[aria-current]': { bgcolor: 'action.selected' },
                  }}
                  style={{ transform: `translateY(${item.start}px)` }}
                >
                  {shown.map((column) => (
                    <TableCell key={column.name} component="div" role="cell" sx={cell}>
                      {column.cell(row)}
                    </TableCell>
                  ))}
                </TableRow>
              )
            );
          })}
        </TableBody>
      </Box>
      <Menu anchorEl={menu} open={menu !== null} onClose={() => setMenu(null)}>
        {columns
          .filter((column) => !column.always)
          .map((column) => (
            <MenuItem
              key={column.name}
              dense
              role="menuitemcheckbox"
              aria-checked={!hidden.includes(column.name)}
              onClick={() => toggle(column.name)}
            >
              <Checkbox
                size="small"
                checked={!hidden.includes(column.name)}
                tabIndex={-1}
                sx={{ p: 0, mr: 1 }}
                aria-hidden
              />
              <ListItemText>{column.name}</ListItemText>
            </MenuItem>
          ))}
      </Menu>
    </Box>
  );
}

import {
  Box,
  Button,
  ButtonBase,
  Checkbox,
  ListItemText,
  Menu,
  MenuItem,
  TableCell,
  TableHead,
  TableRow,
} from '@mui/material';
import { type ReactNode, useState } from 'react';
import type { Column, useColumns } from './columns';

export type Order = 'NEWEST' | 'OLDEST';

interface Props<R> {
  columns: Column<R>[];
  choice: ReturnType<typeof useColumns<R>>;
  grid: object;
  order: Order;
  onOrder: (order: Order) => void;
}

export const CELL = { border: 0, p: 0, py: 0.75, overflowWrap: 'anywhere' } as const;

/** What the columns are called, in what order the rows come, and which columns are shown. */
export function Head<R>({ columns, choice, grid, order, onOrder }: Props<R>) {
  const [menu, setMenu] = useState<HTMLElement | null>(null);
  const { shown, isHidden, toggle } = choice;
  const other = order === 'NEWEST' ? 'OLDEST' : 'NEWEST';
  return (
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
        <TableCell component="div" role="columnheader" aria-label="Selected" sx={CELL} />
        {shown.map((column, i) => (
          <TableCell
            key={column.name}
            component="div"
            role="columnheader"
            aria-sort={column.orders ? (order === 'NEWEST' ? 'descending' : 'ascending') : undefined}
            sx={{ ...CELL, color: 'text.secondary' }}
          >
            {column.orders ? (
              <ButtonBase
                onClick={() => onOrder(other)}
                aria-label={`${column.name}, ${order === 'NEWEST' ? 'newest first' : 'oldest first'}; change the order`}
                sx={{ font: 'inherit', color: 'primary.main', fontWeight: 600 }}
              >
                {column.name}, {order === 'NEWEST' ? 'newest first' : 'oldest first'}
              </ButtonBase>
            ) : (
              column.name
            )}
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
      <Menu anchorEl={menu} open={menu !== null} onClose={() => setMenu(null)}>
        {columns
          .filter((column) => !column.always)
          .map((column) => (
            <MenuItem
              key={column.name}
              dense
              role="menuitemcheckbox"
              aria-checked={!isHidden(column)}
              onClick={() => toggle(column)}
            >
              <Checkbox size="small" checked={!isHidden(column)} tabIndex={-1} sx={{ p: 0, mr: 1 }} aria-hidden />
              <ListItemText>{column.name}</ListItemText>
            </MenuItem>
          ))}
      </Menu>
    </TableHead>
  );
}

interface ChosenProps {
  count: number;
  onCopy: (() => void) | undefined;
  onClear: () => void;
  children?: ReactNode;
}

/** What can be done with the chosen rows. */
export function ChosenBar({ count, onCopy, onClear, children }: ChosenProps) {
  return (
    <Box
      role="region"
      aria-label="Selected entries"
      sx={{
        display: 'flex',
        flexWrap: 'wrap',
        gap: 1.5,
        alignItems: 'center',
        px: 1.5,
        py: 0.5,
        bgcolor: 'inks.pineWash',
      }}
    >
      <Box role="status" className="figures" sx={{ fontWeight: 700 }}>
        {count} selected
      </Box>
      {children}
      {onCopy ? <Button onClick={onCopy}>Copy (Ctrl+C)</Button> : 'Ctrl+C copies them.'}
      <Button onClick={onClear}>Clear (Esc)</Button>
    </Box>
  );
}

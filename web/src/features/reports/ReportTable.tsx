import { ButtonBase, Table, TableBody, TableCell, TableFooter, TableHead, TableRow } from '@mui/material';
import type { FigureRow, Report } from '../../shared/api';
import { rowWords, valueWords } from './model/values';

interface Props {
  report: Report;
  /** What is open beside it. */
  chosen: Asked | undefined;
  /** Opens the conversations behind a row; without it, there are none to list. */
  onAsk?: ((asked: Asked) => void) | undefined;
}

/** A figure whose conversations are to be seen. */
export interface Asked {
  key: string;
  label: string;
  late: boolean;
}

const FIRST_HEADING: Partial<Record<Report['by'], string>> = { KIND: 'kind of text', HOUR: 'hour' };

const LEADS = {
  font: 'inherit',
  color: 'primary.main',
  textDecoration: 'underline',
  // At least 24 pixels to press, and still in line with what cannot be pressed.
  justifyContent: 'flex-end',
  minWidth: 24,
  px: 0.5,
  mr: -0.5,
  '@media print': { color: 'text.primary', textDecoration: 'none' },
} as const;

/** On paper the last row stands at the end, and not on every page. */
const LAST = {
  '& th, & td': { fontSize: 'body2.fontSize', color: 'text.primary', fontWeight: 700 },
  '@media print': { display: 'table-row-group' },
} as const;

/** The figures, a row for each. Counts that have conversations behind them can be pressed. */
export function ReportTable({ report, chosen, onAsk }: Props) {
  const { columns, rows, total, by } = report;
  const cells = (row: FigureRow, label: string) =>
    columns.map((column, i) => {
      const value = row.values[i];
      const words = valueWords(value, column);
      const asked = { key: row.key, label, late: column.name === 'Late' };
      const first = i === 0 || column.name === 'Late';
      const leads = onAsk && first && column.unit === 'COUNT' && typeof value === 'number' && value > 0;
      return (
        <TableCell key={column.name + (column.currency ?? '')} align="right" className="figures">
          {leads ? (
            <ButtonBase
              aria-label={`${words} ${column.name.toLowerCase()}, ${label}: show conversations`}
              aria-pressed={chosen?.key === asked.key && chosen.late === asked.late}
              onClick={() => onAsk(asked)}
              sx={LEADS}
            >
              {words}
            </ButtonBase>
          ) : (
            words
          )}
        </TableCell>
      );
    });
  return (
    <Table size="small" aria-label="Figures" sx={{ maxWidth: 960, '& th, & td': { whiteSpace: 'nowrap' } }}>
      <TableHead>
        <TableRow>
          <TableCell sx={{ '&::first-letter': { textTransform: 'uppercase' } }}>
            {FIRST_HEADING[by] ?? by.toLowerCase()}
          </TableCell>
          {columns.map((column) => (
            <TableCell key={column.name + (column.currency ?? '')} align="right">
              {column.name}
            </TableCell>
          ))}
        </TableRow>
      </TableHead>
      <TableBody>
        {rows.map((row) => {
          const label = rowWords(by, row.key, row.label);
          return (
            <TableRow key={row.key} selected={chosen !== undefined && chosen.key === row.key}>
              <TableCell component="th" scope="row">
                {label}
              </TableCell>
              {cells(row, label)}
            </TableRow>
          );
        })}
      </TableBody>
      <TableFooter sx={LAST}>
        <TableRow>
          <TableCell component="th" scope="row">
            All
          </TableCell>
          {cells(total, 'all')}
        </TableRow>
      </TableFooter>
    </Table>
  );
}

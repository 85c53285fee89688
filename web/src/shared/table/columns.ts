import { type ReactNode, useState } from 'react';

export interface Column<R> {
  name: string;
  /** The width it asks for, as of a grid's column. */
  width: string;
  cell: (row: R) => ReactNode;
  /** The same in words, for copying. */
  text: (row: R) => string;
  /** The table is of no use without it, so it is always shown. */
  always?: boolean;
  /** The rows are ordered by it. */
  orders?: boolean;
}

function kept(name: string): string[] {
  const names = localStorage.getItem(`fabulum.columns.${name}`);
  return names ? names.split('\n') : [];
}

/** Which columns are shown, as each person leaves it in this browser. */
export function useColumns<R>(name: string, columns: Column<R>[]) {
  const [hidden, setHidden] = useState(() => kept(name));
  return {
    shown: columns.filter((column) => column.always || !hidden.includes(column.name)),
    isHidden: (column: Column<R>) => hidden.includes(column.name),
    toggle: (column: Column<R>) => {
      const next = hidden.includes(column.name)
        ? hidden.filter((one) => one !== column.name)
        : [...hidden, column.name];
      localStorage.setItem(`fabulum.columns.${name}`, next.join('\n'));
      setHidden(next);
    },
  };
}

/** Rows as a spreadsheet takes them when they are pasted: tabs between cells, a line each, the names first. */
export function pasteable<R>(columns: Column<R>[], rows: R[]): string {
  const plain = (words: string) => words.replace(/\s+/g, ' ').trim();
  const lines = [columns.map(({ name }) => name), ...rows.map((row) => columns.map(({ text }) => plain(text(row))))];
  return lines.map((cells) => cells.join('\t')).join('\n');
}

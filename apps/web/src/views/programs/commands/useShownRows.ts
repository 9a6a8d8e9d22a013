import { cellText } from '@nimble-lever/core/programs';
import {
  type ColumnDef,
  getCoreRowModel,
  getFilteredRowModel,
  getSortedRowModel,
  type SortingState,
  useReactTable,
} from '@tanstack/react-table';
import { useMemo, useState } from 'react';
import { type Filter, shows } from './filters.ts';
import { COLUMNS, type Column } from './sheetState.ts';
import type { Row } from './useRows.ts';

/** What the lines are sorted by and searched in. */
const COLUMN_DEFS: ColumnDef<Row>[] = COLUMNS.map((column) => ({
  id: column,
  accessorFn: (row) => textOf(row, column),
  // What is empty stands last, whichever way it is sorted.
  sortUndefined: 'last',
  sortingFn: (a, b) => COLLATOR.compare(textOf(a.original, column) ?? '', textOf(b.original, column) ?? ''),
}));

/** `F2` before `F10`, and the same letters together whatever their case. */
const COLLATOR = new Intl.Collator(undefined, { numeric: true, sensitivity: 'base' });

function textOf(row: Row, column: Column): string | undefined {
  const text = column === 'where' ? row.where : cellText(row.command, column);
  return text === '' ? undefined : text;
}

/** What is looked for. */
interface Wanted {
  readonly filter: Filter;
  /** In small letters. */
  readonly words: readonly string[];
}

/** The lines that are shown, in their order, with what searches and sorts them. */
export function useShownRows(rows: readonly Row[]) {
  const [sorting, setSorting] = useState<SortingState>([]);
  const [search, setSearch] = useState('');
  const [filter, setFilter] = useState<Filter>('all');
  const wanted: Wanted = useMemo(
    () => ({ filter, words: search.toLowerCase().split(/\s+/).filter(Boolean) }),
    [filter, search],
  );
  const data = useMemo(() => [...rows], [rows]);
  const table = useReactTable<Row>({
    data,
    columns: COLUMN_DEFS,
    state: { sorting, globalFilter: wanted },
    onSortingChange: setSorting,
    getRowId: ({ id }) => id,
    globalFilterFn: (row, _column, looked: Wanted) =>
      shows(looked.filter, row.original) && hasWords(row.original, looked.words),
    // Asked of one column only: each line is looked at once.
    getColumnCanGlobalFilter: ({ id }) => id === 'name',
    getCoreRowModel: getCoreRowModel(),
    getFilteredRowModel: getFilteredRowModel(),
    getSortedRowModel: getSortedRowModel(),
  });
  const model = table.getRowModel();
  const shown = useMemo(() => model.rows.map(({ original }) => original), [model]);
  const [sorted] = sorting;
  return {
    shown,
    search,
    setSearch,
    filter,
    setFilter,
    sorted: sorted ? { column: sorted.id, down: sorted.desc } : null,
    /** Upwards, downwards, and then as the list is again. */
    sortBy: (column: Column) => setSorting(nextSorting(sorted, column)),
    /** Whether all lines are shown in their own order. */
    isWhole: sorting.length === 0 && filter === 'all' && wanted.words.length === 0,
  };
}

function nextSorting(sorted: SortingState[number] | undefined, column: Column): SortingState {
  if (sorted?.id !== column) return [{ id: column, desc: false }];
  return sorted.desc ? [] : [{ id: column, desc: true }];
}

function hasWords({ command, where }: Row, words: readonly string[]): boolean {
  const { name, shortcut, intent, note, family } = command;
  const text = `${name} ${shortcut} ${family} ${intent ?? ''} ${note ?? ''} ${where}`.toLowerCase();
  return words.every((word) => text.includes(word));
}

import type { KeysBy } from '@nimble-lever/core/keys/layouts';
import type { SheetColumn } from '@nimble-lever/core/programs';
import { type KeyboardEvent, useCallback, useEffect, useMemo, useReducer, useRef, useState } from 'react';
import { flushSync } from 'react-dom';
import { letterOf } from '../../../app/letterOf.ts';
import { useSay } from '../say.ts';
import { WORDS } from '../words.ts';
import type { Onward } from './CellInput.tsx';
import { useLineActions } from './sheetPointer.ts';
import {
  AT_FIRST,
  type Cell,
  COLUMNS,
  cellAfter,
  type Editing,
  isEdited,
  NEW_ROW,
  rangeOf,
  sheetReducer,
} from './sheetState.ts';
import type { Row } from './useRows.ts';
import { useSheetClipboard } from './useSheetClipboard.ts';
import type { SheetEdits } from './useSheetEdits.ts';
import type { useShownRows } from './useShownRows.ts';

/** What a sheet is made of. */
interface Given {
  readonly rows: ReturnType<typeof useShownRows>;
  readonly edits: SheetEdits;
  readonly keysBy: KeysBy;
  /** Opens the places for a command at a cell of its line. */
  readonly onPlace: (row: Row, anchor: HTMLElement) => void;
  /** A list that is no block of cells, to be looked at before it is taken in. */
  readonly onList: (text: string) => void;
}

/** What a command cannot be without. */
const NEEDED: ReadonlySet<SheetColumn> = new Set(['name', 'shortcut', 'family']);

/** The sheet at work: where one is in it, what keys, pointer and clipboard do. */
export function useSheet({ rows, edits, keysBy, onPlace, onList }: Given) {
  const { shown } = rows;
  const { say } = useSay();
  const [state, dispatch] = useReducer(sheetReducer, AT_FIRST);
  // A name that was typed into the last line and has no keys yet.
  const [begun, setBegun] = useState('');
  const order = useMemo(() => [...shown.map(({ id }) => id), NEW_ROW], [shown]);
  const byId = useMemo(() => new Map(shown.map((row) => [row.id, row])), [shown]);
  const range = rangeOf(state, order);
  const active = state.active ? (byId.get(state.active.row) ?? null) : null;
  // Whether the active cell takes the focus when it changes: not while one is in another field of the page.
  const keys = useRef(true);
  const go = (to: Cell) => {
    keys.current = true;
    dispatch({ kind: 'went', to });
  };
  // Where the active line was: when it goes, by a filter or another page, the one in its place takes the keys.
  const at = state.active ? order.indexOf(state.active.row) : -1;
  const lastAt = useRef(0);
  useEffect(() => {
    if (at >= 0) lastAt.current = at;
    else if (state.active) {
      const row = order[Math.min(lastAt.current, order.length - 1)] ?? NEW_ROW;
      dispatch({ kind: 'went', to: { row, column: state.active.column } });
    }
  }, [at, order, state.active]);
  const begin = (editing: Editing) => dispatch({ kind: 'begun', editing });
  const chosen = range ? order.slice(range.rows[0], range.rows[1] + 1).filter((id) => id !== NEW_ROW) : [];
  const columns = range ? COLUMNS.slice(range.columns[0], range.columns[1] + 1).filter(isEdited) : [];

  /** Edits the active cell as its column is edited. */
  const edit = (cell: Cell, how: 'enter' | 'all' | 'over') => {
    const row = byId.get(cell.row);
    if (!row && cell.row !== NEW_ROW) return;
    switch (cell.column) {
      case 'name':
      case 'intent':
      case 'note':
        if (row || cell.column === 'name') begin({ kind: 'typing', how: how === 'over' ? 'over' : 'all' });
        return;
      case 'shortcut':
        if (!row && begun === '') return go({ row: NEW_ROW, column: 'name' });
        return begin(how === 'enter' ? { kind: 'recording' } : { kind: 'typing', how });
      case 'family':
        if (row) begin({ kind: 'choosing' });
        return;
      case 'risky':
        if (row && how !== 'over') edits.change(row.command, { risky: !row.command.risky });
        return;
      case 'where': {
        const anchor = document.activeElement;
        if (row && how !== 'over' && anchor instanceof HTMLElement) onPlace(row, anchor);
      }
    }
  };

  /** After a cell was taken: where one goes on. */
  const goOn = (from: Cell, onward: Onward) => {
    if (onward === 'stay') {
      dispatch({ kind: 'ended' });
      return;
    }
    const key = { down: 'ArrowDown', on: 'ArrowRight', back: 'ArrowLeft' }[onward];
    go(cellAfter(from, key, false, order) ?? from);
  };
  const take = (text: string, onward: Onward): boolean => {
    const cell = state.active;
    if (!cell || !isEdited(cell.column)) return true;
    // Left by a click elsewhere: the keys stay where that was.
    keys.current = onward !== 'stay' || state.editing?.kind === 'choosing';
    if (cell.row === NEW_ROW) return takeNew(cell.column, text, onward);
    const row = byId.get(cell.row);
    if (row && !edits.set(row.command, cell.column, text)) return false;
    goOn(cell, onward);
    return true;
  };
  /** A name waits for its keys, and then both are a command. */
  const takeNew = (column: SheetColumn, text: string, onward: Onward): boolean => {
    if (column === 'name') {
      setBegun(text.trim());
      if (text.trim() === '' || onward === 'stay') dispatch({ kind: 'ended' });
      else {
        go({ row: NEW_ROW, column: 'shortcut' });
        begin({ kind: 'recording' });
      }
      return true;
    }
    if (edits.add(begun, text) === null) return false;
    setBegun('');
    go({ row: NEW_ROW, column: 'name' });
    return true;
  };

  const onKeyDown = (event: KeyboardEvent) => {
    const cell = state.active;
    if (state.editing || event.defaultPrevented) return;
    const { key, shiftKey, altKey } = event;
    const ctrl = event.ctrlKey || event.metaKey;
    const act = (does: () => void) => {
      event.preventDefault();
      // What the sheet uses is nobody else's on the page.
      event.stopPropagation();
      does();
    };
    if (!cell) {
      if (['ArrowDown', 'ArrowUp', 'Enter', 'ArrowRight', 'ArrowLeft'].includes(key) && order[0])
        act(() => go({ row: order[0] ?? NEW_ROW, column: 'name' }));
      return;
    }
    if (altKey && (key === 'ArrowUp' || key === 'ArrowDown')) {
      const by = key === 'ArrowUp' ? -1 : 1;
      return act(() => (rows.isWhole ? edits.move(cell.row, by) : say(WORDS.needsOrder)));
    }
    if (altKey) return;
    const to = cellAfter(cell, key, ctrl, order);
    if (to) {
      keys.current = true;
      return act(() => dispatch({ kind: shiftKey ? 'ranged' : 'went', to }));
    }
    if (ctrl) {
      const letter = letterOf(event.nativeEvent);
      if (letter === 'd') return act(() => chosen.length > 1 && edits.fill(chosen, columns));
      if (letter === 'a' && order.length > 1) return act(selectAll);
      if (key === 'Delete') return act(() => removeChosen());
      return;
    }
    switch (key) {
      case 'Enter':
        return act(() => edit(cell, 'enter'));
      case 'F2':
        return act(() => edit(cell, 'all'));
      case ' ':
        if (cell.column === 'risky') return act(() => edit(cell, 'enter'));
        break;
      case 'Delete':
      case 'Backspace':
        return act(() => {
          edits.clear(chosen, columns);
          // A command without a name or keys would be none.
          if (columns.every((column) => NEEDED.has(column))) say(WORDS.needed);
        });
      case 'Escape':
        if (state.anchor) act(() => go(cell));
        return;
    }
    // A character begins typing; drawn at once, the field has it and all that follow.
    if ([...key].length === 1 && isEdited(cell.column)) {
      const { column } = cell;
      if (column === 'family') return act(() => edit(cell, 'enter'));
      if (column !== 'risky') flushSync(() => edit(cell, 'over'));
      event.stopPropagation();
    }
  };
  const selectAll = () => {
    dispatch({ kind: 'went', to: { row: order[0] ?? NEW_ROW, column: 'name' } });
    dispatch({ kind: 'ranged', to: { row: order.at(-2) ?? NEW_ROW, column: 'note' } });
  };
  const removeChosen = () => {
    if (!range || chosen.length === 0) return;
    // The line that comes into their place is where one goes on.
    const next = order[range.rows[1] + 1] ?? NEW_ROW;
    edits.remove(chosen);
    go({ row: next, column: state.active?.column ?? 'name' });
  };

  const clipboard = useSheetClipboard({
    isEditing: state.editing !== null,
    ...{ range, order, byId, chosen, columns, edits, onList },
  });
  const asked = {
    active: state.active,
    go,
    edit: (cell: Cell) => edit(cell, 'enter'),
    tick: ({ command }: Row) => edits.change(command, { risky: !command.risky }),
    onPlace,
  };
  const latest = useRef(asked);
  latest.current = asked;
  const actions = useLineActions(latest, keys, dispatch);
  const leave = useCallback((back: boolean) => {
    keys.current = back;
    dispatch({ kind: 'ended' });
  }, []);
  return {
    state,
    shown,
    order,
    range,
    isRange: state.anchor !== null,
    active,
    /** The commands of the selected lines. */
    chosen,
    columns,
    begun,
    keysBy,
    sorted: rows.sorted,
    sortBy: rows.sortBy,
    actions,
    takesKeys: () => keys.current,
    take,
    takeKeys: (shortcut: string) => {
      const cell = state.active;
      if (!cell) return;
      keys.current = true;
      if (cell.row === NEW_ROW) {
        takeNew('shortcut', shortcut, 'stay');
        return;
      }
      const row = byId.get(cell.row);
      if (row) edits.change(row.command, { shortcut });
      dispatch({ kind: 'ended' });
    },
    leave,
    removeChosen,
    fillChosen: () => edits.fill(chosen, columns),
    go,
    onKeyDown,
    ...clipboard,
  };
}

/** A sheet, as its parts are given it. */
export type SheetModel = ReturnType<typeof useSheet>;

import type { KeysBy } from '@nimble-lever/core/keys/layouts';
import { blockText, cellText, readBlock, type SheetColumn } from '@nimble-lever/core/programs';
import {
  type ClipboardEvent,
  type KeyboardEvent,
  type MouseEvent,
  useCallback,
  useMemo,
  useReducer,
  useRef,
  useState,
} from 'react';
import { flushSync } from 'react-dom';
import { useSay } from '../say.ts';
import { WORDS } from '../words.ts';
import type { Onward } from './CellInput.tsx';
import type { LineActions } from './SheetLine.tsx';
import {
  AT_FIRST,
  type Cell,
  COLUMNS,
  type Column,
  cellAfter,
  type Editing,
  NEW_ROW,
  rangeOf,
  sheetReducer,
} from './sheetState.ts';
import type { Row } from './useRows.ts';
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

/** Takes what is being typed into a cell, as by leaving it; false where it does not fit and stays to be mended. */
function leftField(): boolean {
  const field = document.activeElement;
  if (!(field instanceof HTMLInputElement) || !field.classList.contains('text')) return true;
  flushSync(() => field.blur());
  const isWrong = field.isConnected && field.getAttribute('aria-invalid') === 'true';
  if (isWrong) field.focus();
  return !isWrong;
}

/** Whether an event is a cell's own: React passes on to it what happens in a menu it opened. */
function isInside({ currentTarget, target }: MouseEvent): boolean {
  return target instanceof Node && currentTarget.contains(target);
}

/** Whether a column is edited. */
function isEdited(column: Column): column is SheetColumn {
  return column !== 'where';
}

/** The sheet at work: where one is in it, what keys, pointer and clipboard do. */
export function useSheet({ rows, edits, keysBy, onPlace, onList }: Given) {
  const { shown } = rows;
  const { say, sayWrong } = useSay();
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
      if (key.toLowerCase() === 'd') return act(() => chosen.length > 1 && edits.fill(chosen, columns));
      if (key === 'Delete') return act(() => removeChosen());
      if (key.toLowerCase() === 'a' && order.length > 1) return act(selectAll);
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
        return act(() => edits.clear(chosen, columns));
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

  const copied = () =>
    chosen.flatMap((id) => {
      const row = byId.get(id);
      return row ? [columns.map((column) => cellText(row.command, column))] : [];
    });
  const onCopy = (event: ClipboardEvent) => {
    const block = copied();
    if (state.editing || block.length === 0 || columns.length === 0) return;
    event.preventDefault();
    event.clipboardData.setData('text/plain', blockText(block));
    say(WORDS.copiedCells(block.length * columns.length));
  };
  const onPaste = (event: ClipboardEvent) => {
    if (state.editing || !range) return;
    const text = event.clipboardData.getData('text/plain');
    event.preventDefault();
    const block = readBlock(text);
    const column = COLUMNS[range.columns[0]];
    if (block.length === 0 || !column || !isEdited(column)) return sayWrong(WORDS.nothingPasted);
    const [first] = block;
    // A list of another form, put where commands are begun, is looked at first.
    if (order[range.rows[0]] === NEW_ROW && block.every((line) => line.length < 2)) return onList(text);
    const isOne = block.length === 1 && first?.length === 1;
    const whole = isOne ? chosen.map(() => columns.map(() => first[0] ?? '')) : block;
    edits.paste(whole, { order: order.slice(0, -1), row: range.rows[0], column });
  };

  // The lines are drawn only when something of them changes: what they call stays the same.
  const latest = useRef({ edit, go, byId, onPlace, edits, active: state.active });
  latest.current = { edit, go, byId, onPlace, edits, active: state.active };
  const actions: LineActions = useMemo(
    () => ({
      onPress: (cell: Cell, event: MouseEvent) => {
        const isIn =
          event.target instanceof HTMLElement && event.target.closest('input, button, [role=textbox]');
        if (event.button !== 0 || isIn || !isInside(event)) return;
        event.preventDefault();
        if (!leftField()) return;
        keys.current = true;
        dispatch({ kind: event.shiftKey ? 'ranged' : 'went', to: cell });
      },
      onOver: (cell: Cell, event: MouseEvent) => {
        if (event.buttons === 1 && latest.current.active && isInside(event))
          dispatch({ kind: 'ranged', to: cell });
      },
      onEdit: (cell: Cell) => latest.current.edit(cell, 'enter'),
      onTick: ({ command }: Row) => latest.current.edits.change(command, { risky: !command.risky }),
      onPlace: (row: Row, anchor: HTMLElement) => {
        latest.current.go({ row: row.id, column: 'where' });
        latest.current.onPlace(row, anchor);
      },
    }),
    [],
  );
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
    onCopy,
    onCut: (event: ClipboardEvent) => {
      onCopy(event);
      if (!state.editing) edits.clear(chosen, columns);
    },
    onPaste,
  };
}

/** A sheet, as its parts are given it. */
export type SheetModel = ReturnType<typeof useSheet>;

import { type Dispatch, type MouseEvent, type RefObject, useMemo, useRef } from 'react';
import { flushSync } from 'react-dom';
import type { LineActions } from './SheetLine.tsx';
import type { Cell, SheetAction } from './sheetState.ts';
import type { Row } from './useRows.ts';

/** A hand that presses moves so far, in pixels. */
const STANDS = 4;

/** What the pointer asks for, as it is now. */
interface Asked {
  readonly active: Cell | null;
  readonly go: (cell: Cell) => void;
  readonly edit: (cell: Cell) => void;
  readonly tick: (row: Row) => void;
  readonly onPlace: (row: Row, anchor: HTMLElement) => void;
}

/**
 * What the pointer does on the lines. Made once: the lines are drawn only when something of them changes.
 *
 * @param keys whether the active cell takes the focus
 */
export function useLineActions(
  latest: RefObject<Asked>,
  keys: RefObject<boolean>,
  dispatch: Dispatch<SheetAction>,
): LineActions {
  const pressed = useRef({ x: 0, y: 0 });
  return useMemo(
    () => ({
      onPress: (cell, event) => {
        const isIn =
          event.target instanceof HTMLElement && event.target.closest('input, button, [role=textbox]');
        if (event.button !== 0 || isIn || !isInside(event)) return;
        event.preventDefault();
        if (!leftField()) return;
        keys.current = true;
        pressed.current = { x: event.clientX, y: event.clientY };
        dispatch({ kind: event.shiftKey ? 'ranged' : 'went', to: cell });
      },
      onOver: (cell, event) => {
        // The sheet may scroll to the cell that was pressed: then another comes under a pointer that stands still.
        const { x, y } = pressed.current;
        const isMoved = Math.hypot(event.clientX - x, event.clientY - y) > STANDS;
        if (event.buttons === 1 && isMoved && latest.current.active && isInside(event))
          dispatch({ kind: 'ranged', to: cell });
      },
      onEdit: (cell) => latest.current.edit(cell),
      onTick: (row) => latest.current.tick(row),
      onPlace: (row, anchor) => {
        latest.current.go({ row: row.id, column: 'where' });
        latest.current.onPlace(row, anchor);
      },
    }),
    [latest, keys, dispatch],
  );
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

import { type KeyboardEvent, type PointerEvent, useCallback, useEffect, useRef, useState } from 'react';
import { letterOf } from '../../app/letterOf.ts';

/** Something a control is dropped on. */
export type DropTarget = { readonly control: string } | { readonly page: string | null };

/** A control under the pointer that is dragged. */
export interface Dragged {
  readonly control: string;
  readonly x: number;
  readonly y: number;
  readonly over: DropTarget | null;
  /** Copied, and not moved. */
  readonly copies: boolean;
}

/** What happens to controls of a drawing by pointer and keys. */
interface Acts {
  readonly onSelect: (control: string, adds: boolean) => void;
  readonly onDrop: (control: string, target: DropTarget, copies: boolean) => void;
  /** The content of a control goes to the one beside it. */
  readonly onStep: (control: string, by: 1 | -1) => void;
  readonly onFolder: () => void;
  readonly onEdit: () => void;
  readonly onClear: (control: string) => void;
}

/** So far the pointer may tremble and it is still a click: pixels. */
const TREMBLE = 5;

/**
 * Dragging on a drawing of a device, which is no list of elements that a browser could drag: each control is one of its
 * shapes. Heard before the drawing itself, for which a press would be a press.
 */
export function useContentDrag(acts: Acts) {
  const latest = useRef(acts);
  latest.current = acts;
  const [dragged, setDragged] = useState<Dragged | null>(null);
  const begun = useRef<{ control: string; x: number; y: number; adds: boolean } | null>(null);

  useEffect(() => {
    if (!dragged) return;
    // Escape leaves a drag without doing anything.
    const onKey = (event: globalThis.KeyboardEvent) => {
      if (event.key !== 'Escape') return;
      begun.current = null;
      setDragged(null);
    };
    window.addEventListener('keydown', onKey, { capture: true });
    return () => window.removeEventListener('keydown', onKey, { capture: true });
  }, [dragged]);

  const onPointerDownCapture = useCallback((event: PointerEvent<HTMLElement>) => {
    const control = controlAt(event.target);
    if (event.button !== 0 || control === null) return;
    event.stopPropagation();
    event.preventDefault();
    if (event.target instanceof Element) event.target.closest<SVGElement>('[data-control]')?.focus();
    event.currentTarget.setPointerCapture(event.pointerId);
    const adds = event.shiftKey || event.ctrlKey || event.metaKey;
    begun.current = { control, x: event.clientX, y: event.clientY, adds };
  }, []);
  const onPointerMove = useCallback((event: PointerEvent<HTMLElement>) => {
    const from = begun.current;
    if (!from) return;
    const [x, y] = [event.clientX, event.clientY];
    setDragged((before) => {
      if (!before && Math.hypot(x - from.x, y - from.y) < TREMBLE) return null;
      return { control: from.control, x, y, over: targetAt(x, y, from.control), copies: event.altKey };
    });
  }, []);
  const onPointerUp = useCallback((event: PointerEvent<HTMLElement>) => {
    const from = begun.current;
    begun.current = null;
    if (!from) return;
    const [x, y] = [event.clientX, event.clientY];
    setDragged(null);
    if (Math.hypot(x - from.x, y - from.y) < TREMBLE) return latest.current.onSelect(from.control, from.adds);
    const target = targetAt(x, y, from.control);
    if (target) latest.current.onDrop(from.control, target, event.altKey);
  }, []);
  const onPointerCancel = useCallback(() => {
    begun.current = null;
    setDragged(null);
  }, []);
  const onKeyDownCapture = useCallback((event: KeyboardEvent<HTMLElement>) => {
    const control = controlAt(event.target);
    const { key, altKey, shiftKey, ctrlKey, metaKey } = event;
    if (control === null || ctrlKey || metaKey) return;
    const { current } = latest;
    if (key === ' ') current.onSelect(control, shiftKey);
    else if (key === 'Enter') {
      current.onSelect(control, false);
      current.onEdit();
    } else if (altKey && (key === 'ArrowRight' || key === 'ArrowLeft')) {
      current.onStep(control, key === 'ArrowRight' ? 1 : -1);
    } else if (key === 'Delete') current.onClear(control);
    else if (letterOf(event.nativeEvent) === 'f' && !altKey) current.onFolder();
    else if (key !== 'ArrowUp' && key !== 'ArrowDown') return;
    event.preventDefault();
    event.stopPropagation();
  }, []);
  return {
    dragged,
    handlers: { onPointerDownCapture, onPointerMove, onPointerUp, onPointerCancel, onKeyDownCapture },
  };
}

/** The control an event is about; null where it is about none. */
export function controlAt(target: EventTarget): string | null {
  return target instanceof Element
    ? (target.closest('[data-control]')?.getAttribute('data-control') ?? null)
    : null;
}

/** What lies at a point of the window, other than the control itself: a control of the drawing, or a page of the tree. */
function targetAt(x: number, y: number, except: string): DropTarget | null {
  const at = document.elementFromPoint(x, y);
  const control = at?.closest('[data-page-drawing] [data-control]')?.getAttribute('data-control');
  if (control) return control === except ? null : { control };
  const page = at?.closest('[data-page]')?.getAttribute('data-page');
  return page === undefined || page === null ? null : { page: page === '' ? null : page };
}

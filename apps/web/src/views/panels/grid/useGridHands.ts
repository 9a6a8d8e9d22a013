import type { Control } from '@nimble-lever/core/devices';
import { shapeBox } from '@nimble-lever/core/devices';
import type { PanelPage } from '@nimble-lever/core/panels';
import { type KeyboardEvent, type PointerEvent, useCallback, useEffect, useRef, useState } from 'react';
import { letterOf } from '../../../app/letterOf.ts';
import { controlAt } from '../useContentDrag.ts';
import { ownCells } from './cellActs.ts';
import {
  changed,
  cursorOf,
  drawn,
  type Edges,
  edgesAt,
  moved,
  type PanelPoint,
  type Placing,
  spanned,
} from './gestures.ts';

/** What is done to cells by pointer and keys. */
interface Acts {
  readonly panel: PanelPage;
  readonly selected: readonly string[];
  readonly onSelect: (control: string | null, adds: boolean) => void;
  readonly onDraw: (placing: Placing) => void;
  readonly onPlace: (placing: Placing | null) => void;
  readonly onCopyTo: (ids: readonly string[], placing: Placing) => void;
  /** To a page of the tree. */
  readonly onTake: (ids: readonly string[], page: string | null, copies: boolean) => void;
  readonly onCopy: () => void;
  readonly onNew: () => void;
  readonly onRemove: () => void;
  readonly onFolder: () => void;
  readonly onEdit: () => void;
}

/** A drag that has begun. */
interface Begun {
  readonly from: PanelPoint;
  readonly x: number;
  readonly y: number;
  readonly control: string | null;
  readonly edges: Edges | null;
  readonly adds: boolean;
}

/** What a drag would do if it ended now. */
export interface Dragging {
  readonly placing: Placing | null;
  readonly copies: boolean;
  /** The page of the tree it is over; undefined for none, null for the panel's own. */
  readonly page: string | null | undefined;
}

/** So far the pointer may tremble and it is still a click; so near to an edge it is taken: pixels. */
const TREMBLE = 4;
const REACH = 7;

/** Drawing, moving, spanning and copying cells on the grid of a page, by pointer and by keys. */
export function useGridHands(acts: Acts) {
  const latest = useRef(acts);
  latest.current = acts;
  const begun = useRef<Begun | null>(null);
  const [dragging, setDragging] = useState<Dragging | null>(null);
  const [cursor, setCursor] = useState('');
  const isDragging = dragging !== null;

  useEffect(() => {
    if (!isDragging) return;
    // Escape leaves a drag without doing anything.
    const onKey = (event: globalThis.KeyboardEvent) => {
      if (event.key !== 'Escape') return;
      begun.current = null;
      setDragging(null);
    };
    window.addEventListener('keydown', onKey, { capture: true });
    return () => window.removeEventListener('keydown', onKey, { capture: true });
  }, [isDragging]);

  const dragTo = useCallback((event: PointerEvent<HTMLElement>): Dragging | null => {
    const from = begun.current;
    const to = pointOf(event);
    if (!from || !to) return null;
    const { panel, selected } = latest.current;
    const copies = event.altKey && from.control !== null && !from.edges;
    const page = from.control === null || from.edges ? undefined : pageAt(event.clientX, event.clientY);
    if (from.control === null) return { placing: drawn(panel, from.from, to), copies, page };
    const [own] = ownCells(panel, [from.control]);
    if (!own) return { placing: null, copies, page };
    if (from.edges) return { placing: spanned(panel, own, from.edges, to), copies, page };
    const all = selected.includes(from.control) ? ownCells(panel, selected) : [own];
    return { placing: moved(panel, all, from.from, to, copies), copies, page };
  }, []);

  const onPointerDownCapture = useCallback((event: PointerEvent<HTMLElement>) => {
    const from = pointOf(event);
    if (event.button !== 0 || !from) return;
    event.stopPropagation();
    event.preventDefault();
    const edges = selectedEdges(latest.current, from, event);
    const control = edges ? edges.control.id : controlAt(event.target);
    const focused = control ?? latest.current.selected[0];
    const drawing = event.currentTarget;
    drawing.querySelector<SVGElement>(`[data-control="${focused ?? ''}"]`)?.focus();
    drawing.setPointerCapture(event.pointerId);
    const adds = event.shiftKey || event.ctrlKey || event.metaKey;
    begun.current = { from, x: event.clientX, y: event.clientY, control, edges: edges?.edges ?? null, adds };
  }, []);
  const onPointerMove = useCallback(
    (event: PointerEvent<HTMLElement>) => {
      const from = begun.current;
      if (!from) {
        const at = pointOf(event);
        const edges = at && selectedEdges(latest.current, at, event);
        setCursor(edges ? cursorOf(edges.edges) : '');
        return;
      }
      const next = dragTo(event);
      const far = isFar(from, event);
      setDragging((before) => (before || far ? next : null));
    },
    [dragTo],
  );
  const onPointerUp = useCallback(
    (event: PointerEvent<HTMLElement>) => {
      const from = begun.current;
      const ended = isFar(from, event) ? dragTo(event) : null;
      begun.current = null;
      setDragging(null);
      if (!from) return;
      const { current } = latest;
      if (!ended) return current.onSelect(from.control, from.adds);
      const ids =
        from.control === null
          ? []
          : current.selected.includes(from.control)
            ? current.selected
            : [from.control];
      if (ended.page !== undefined) return current.onTake(ids, ended.page, ended.copies);
      if (!ended.placing) return;
      if (from.control === null) current.onDraw(ended.placing);
      else if (ended.copies) current.onCopyTo(ids, ended.placing);
      else current.onPlace(ended.placing);
    },
    [dragTo],
  );
  const onPointerCancel = useCallback(() => {
    begun.current = null;
    setDragging(null);
  }, []);
  const onKeyDownCapture = useCallback((event: KeyboardEvent<HTMLElement>) => {
    const control = controlAt(event.target);
    const { key, altKey, shiftKey, ctrlKey, metaKey } = event;
    const { current } = latest;
    const letter = letterOf(event.nativeEvent);
    const step = ARROWS[key];
    const chosen = current.selected.length > 0 ? current.selected : control === null ? [] : [control];
    if (ctrlKey || metaKey) {
      if (letter !== 'd' || altKey || chosen.length === 0) return;
      if (current.selected.length === 0) current.onSelect(control, false);
      current.onCopy();
    } else if (step && (altKey || shiftKey)) {
      const by = altKey ? step : { columns: step.column, rows: step.row };
      const cells = ownCells(current.panel, chosen);
      current.onPlace(changed(current.panel, cells, by, altKey ? 'move' : 'span'));
    } else if (key === ' ' && control !== null) current.onSelect(control, shiftKey);
    else if (key === 'Enter' && control !== null) {
      current.onSelect(control, false);
      current.onEdit();
    } else if (key === 'Delete' && chosen.length > 0) {
      if (current.selected.length === 0) current.onSelect(control, false);
      current.onRemove();
    } else if (letter === 'n' && !altKey) current.onNew();
    else if (letter === 'f' && !altKey) current.onFolder();
    else if (key !== 'ArrowUp' && key !== 'ArrowDown') return;
    event.preventDefault();
    event.stopPropagation();
  }, []);
  return {
    dragging,
    cursor: isDragging ? '' : cursor,
    handlers: { onPointerDownCapture, onPointerMove, onPointerUp, onPointerCancel, onKeyDownCapture },
  };
}

/** By a key: columns and rows. */
const ARROWS: Readonly<Record<string, { readonly column: number; readonly row: number }>> = {
  ArrowLeft: { column: -1, row: 0 },
  ArrowRight: { column: 1, row: 0 },
  ArrowUp: { column: 0, row: -1 },
  ArrowDown: { column: 0, row: 1 },
};

function isFar(from: Begun | null, { clientX, clientY }: PointerEvent): boolean {
  return from !== null && Math.hypot(clientX - from.x, clientY - from.y) >= TREMBLE;
}

/** The drawing an event is on. */
function drawingOf({ currentTarget }: PointerEvent<HTMLElement>): SVGSVGElement | null {
  return currentTarget.querySelector<SVGSVGElement>('svg[role=group]');
}

/** Where an event is on the panel, in millimetres. */
function pointOf(event: PointerEvent<HTMLElement>): PanelPoint | null {
  const matrix = drawingOf(event)?.getScreenCTM();
  if (!matrix) return null;
  const { x, y } = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix.inverse());
  return { x, y };
}

/** The edge of the one selected cell that a place is at. */
function selectedEdges(
  { panel, selected }: Acts,
  at: PanelPoint,
  event: PointerEvent<HTMLElement>,
): { readonly control: Control; readonly edges: Edges } | null {
  const [control, ...others] = ownCells(panel, selected);
  if (!control || others.length > 0) return null;
  const scale = drawingOf(event)?.getScreenCTM()?.a ?? 1;
  const edges = edgesAt(shapeBox(control.shape), at, REACH / scale);
  return edges && { control, edges };
}

/** The page of the tree at a point of the window; undefined for none, null for the panel's own. */
function pageAt(x: number, y: number): string | null | undefined {
  const page = document.elementFromPoint(x, y)?.closest('[data-page]')?.getAttribute('data-page');
  return page === '' ? null : (page ?? undefined);
}

import type { Stroke } from '@nimble-lever/core/engine';

/** Where strokes go. One desk is there at a time; without one, strokes go nowhere. */
export interface Desk {
  /** Carries a stroke of a device (null: of none in particular) out at once. */
  carryOut(stroke: Stroke, device: string | null): void;
}

let desk: Desk | null = null;

/** Puts a desk in place; the answer takes it away again. */
export function installDesk(next: Desk): () => void {
  desk = next;
  return () => {
    if (desk === next) desk = null;
  };
}

/** Hands strokes of a device to the desk. */
export function carryOut(strokes: readonly Stroke[], device: string | null): void {
  for (const stroke of strokes) desk?.carryOut(stroke, device);
}

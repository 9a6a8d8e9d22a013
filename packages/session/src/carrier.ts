import type { Stroke } from '@nimble-lever/core/engine';
import type { FrontWindow } from '@nimble-lever/core/resolve';

/** Where strokes go: a desk's windows. The practice desk is one, a real computer another, a recording a third. */
export interface Carrier {
  /**
   * Carries one stroke out at once. What comes of it (another window in front) may be told to the session meanwhile;
   * it waits its turn.
   */
  carryOut(stroke: Stroke): void;
  /** The window in front; null where there is none. */
  front(): FrontWindow | null;
}

import { z } from 'zod';
import { DOCK } from './dock/dockHeight.ts';

const ids = z.array(z.string().max(64)).max(300);

/** How the person likes to see the Board on this computer; kept by the browser, not in the set-up. */
const viewSchema = z.object({
  /** Profiles whose columns are hidden, and those whose columns stay in sight. */
  hidden: ids,
  pinned: ids,
  grouping: z.enum(['device', 'use']),
  onlySet: z.boolean(),
  /** Whether the devices are drawn small even before the matrix is scrolled. */
  smallRig: z.boolean().default(false),
  /** Whether the dock comes with a selected cell, and how high it is. */
  docked: z.boolean().default(true),
  dockHeight: z.number().int().min(DOCK.least).max(DOCK.most).default(DOCK.usual),
});
/** How a person likes the Board: kept in the browser, not in the set-up. */
export type BoardView = Readonly<z.infer<typeof viewSchema>>;

export const USUAL_VIEW: BoardView = viewSchema.parse({
  hidden: [],
  pinned: [],
  grouping: 'device',
  onlySet: false,
});

/** What the Board looks like is the browser's own: two people at one set-up need not see the same. */
const KEPT_AT = 'nimble-lever.board-view';

/** The view that was kept; the usual one where there is none that can be read. */
export function keptView(): BoardView {
  try {
    // Kept by an earlier version, by hand, or cut off: whatever does not fit counts as none.
    return viewSchema.parse(JSON.parse(localStorage.getItem(KEPT_AT) ?? ''));
  } catch {
    return USUAL_VIEW;
  }
}

/** Keeps a view; a browser that keeps nothing only forgets it. */
export function keepView(view: BoardView): void {
  try {
    localStorage.setItem(KEPT_AT, JSON.stringify(view));
  } catch {
    // Nothing is lost but a habit.
  }
}

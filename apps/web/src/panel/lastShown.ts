import {
  type AllShown,
  type Panel,
  panelSchema,
  SHOWS_NOTHING,
  showsAfter,
  showsSchema,
} from '@nimble-lever/core/desks';
import { z } from 'zod';

/** A panel as it was drawn last, and what it showed. */
export interface LastShown {
  readonly panel: Panel;
  readonly shows: AllShown;
}

const keptSchema = z.object({ panel: panelSchema, shows: showsSchema });
const keyOf = (device: string) => `nimble-lever.panel.${device}`;

/** Keeps how a panel looks, for a start while there is no desk. Where there is no room for it, it is not kept. */
export function keepLast(
  device: string,
  { panel, shows: { front, pages, faces, values, across } }: LastShown,
): void {
  try {
    // What was down then is not down any more.
    localStorage.setItem(
      keyOf(device),
      JSON.stringify({ panel, shows: { front, pages, faces, values, across } }),
    );
  } catch {
    // Private windows and full stores: the panel is drawn as soon as there is a desk.
  }
}

/** How a panel looked last in this browser; null where it was never shown, or by another version. */
export function readLast(device: string): LastShown | null {
  try {
    const { data } = keptSchema.safeParse(JSON.parse(localStorage.getItem(keyOf(device)) ?? 'null'));
    return data ? { panel: data.panel, shows: showsAfter(SHOWS_NOTHING, data.shows) } : null;
  } catch {
    return null;
  }
}

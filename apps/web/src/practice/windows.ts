import type { DeskState, WindowPlace } from './deskSlice.ts';

/** What a desk does with its windows. */
export const WINDOW_COMMANDS = [
  'maximise',
  'minimise',
  'left-half',
  'right-half',
  'next-window',
  'all-windows',
  'show-desk',
  'close',
] as const;
/** One of them. */
export type WindowCommand = (typeof WINDOW_COMMANDS)[number];

/** Windows one sees, from the back to the front. */
export function visibleWindows({ order, minimised }: DeskState): readonly string[] {
  return order.filter((id) => !minimised.includes(id));
}

/** The desk after a command; the same where it has nothing to do it with. */
export function commanded(desk: DeskState, command: WindowCommand): DeskState {
  const { active } = desk;
  switch (command) {
    case 'maximise':
      return placed(desk, 'maximised');
    case 'left-half':
      return placed(desk, 'left');
    case 'right-half':
      return placed(desk, 'right');
    case 'minimise':
      return active === null ? desk : frontLeft({ ...desk, minimised: [...desk.minimised, active] });
    case 'close': {
      if (active === null) return desk;
      const { [active]: _gone, ...places } = desk.places;
      return frontLeft({ ...desk, places, order: desk.order.filter((id) => id !== active) });
    }
    case 'next-window': {
      const [back] = visibleWindows(desk);
      if (back === undefined) return desk;
      const order = [...desk.order.filter((id) => id !== back), back];
      return { ...desk, order, active: back, overview: false };
    }
    case 'all-windows':
      return { ...desk, overview: !desk.overview && visibleWindows(desk).length > 0 };
    case 'show-desk': {
      const seen = visibleWindows(desk);
      if (seen.length > 0) {
        return { ...desk, minimised: desk.order, putAway: seen, active: null, overview: false };
      }
      const minimised = desk.minimised.filter((id) => !desk.putAway.includes(id));
      return frontLeft({ ...desk, minimised, putAway: [] });
    }
  }
}

/** The window in front at a place; where it is there already it goes back to its usual one. */
function placed(desk: DeskState, place: WindowPlace): DeskState {
  const { active } = desk;
  if (active === null) return desk;
  const { [active]: before, ...others } = desk.places;
  return { ...desk, overview: false, places: before === place ? others : { ...others, [active]: place } };
}

/** The topmost window that is left is in front. */
function frontLeft(desk: DeskState): DeskState {
  return { ...desk, overview: false, active: visibleWindows(desk).at(-1) ?? null };
}

/** Where a window is drawn, in parts of the desk. */
export type Placed = Readonly<Record<'left' | 'top' | 'width' | 'height', string>>;

/** Part of a tile that is left free around it: percent of the desk. */
const GAP = 1;

/** The place of one of several windows that are shown side by side, in rows as even as they can be. */
export function tileOf(at: number, count: number): Placed {
  const columns = Math.ceil(Math.sqrt(count));
  const rows = Math.ceil(count / columns);
  const [width, height] = [100 / columns, 100 / rows];
  return {
    left: `${(at % columns) * width + GAP}%`,
    top: `${Math.floor(at / columns) * height + GAP}%`,
    width: `${width - 2 * GAP}%`,
    height: `${height - 2 * GAP}%`,
  };
}

/** Where windows are that do not have their usual place. */
const PLACES: Readonly<Record<WindowPlace, Placed>> = {
  maximised: { left: '0%', top: '0%', width: '100%', height: '100%' },
  left: { left: '0%', top: '0%', width: '50%', height: '100%' },
  right: { left: '50%', top: '0%', width: '50%', height: '100%' },
};

/** Where a window is drawn now. */
export function placeNow(desk: DeskState, id: string, usual: Placed): Placed {
  const seen = visibleWindows(desk);
  if (desk.overview) return tileOf(seen.indexOf(id), seen.length);
  const place = desk.places[id];
  return place ? PLACES[place] : usual;
}

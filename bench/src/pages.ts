import { twelvePad } from '@nimble-lever/core/devices';
import { compile, type EngineEvent } from '@nimble-lever/core/engine';
import {
  acting,
  type Binding,
  demoSetup,
  EVERYWHERE,
  newPage,
  type Page,
  type Setup,
  slotKey,
} from '@nimble-lever/core/setup';
import { handAtWork, runner } from './events.ts';
import { timed } from './times.ts';

/** Pages of the device: half of them folders, half sets. */
const PAGES = 20;
/** Rounds with and without, turn about, so that neither has the warmer processor. */
const ROUNDS = 21;

const binding = (behaviour: Binding['behaviour']): Binding => ({ behaviour, face: null, note: null });
const keys = (shortcut: string) => binding(acting({ kind: 'shortcut', shortcut }, 'follow'));
const SHORTCUTS = ['A', 'Ctrl+Z', 'F5', 'ArrowRight'];

/** A pad of twelve keys with something on each; with pages, one key goes to the next set, one through folders. */
function padSetup(withPages: boolean): Setup {
  const demo = demoSetup();
  const device = twelvePad('pad');
  const pages: Page[] = Array.from({ length: withPages ? PAGES : 0 }, (_, i) =>
    newPage({
      id: `page-${i}`,
      device: 'pad',
      kind: i < PAGES / 2 ? 'folder' : 'set',
      name: `Page ${i}`,
      showsThrough: i % 2 === 0,
    }),
  );
  const layers = ['base', ...pages.map(({ id }) => id)];
  const bindings = Object.fromEntries(
    layers.flatMap((layer, l) =>
      device.controls.map((control, i): [string, Binding] => [
        slotKey(layer, 'pad', control.id, 'press'),
        keys(SHORTCUTS[(l + i) % SHORTCUTS.length] ?? 'A'),
      ]),
    ),
  );
  const go = (change: 'open' | 'back' | 'next-set', page: string | null = null) =>
    binding(acting({ kind: 'page', change, page, device: null }, 'tap'));
  pages.forEach(({ id, kind }, i) => {
    const next = pages[(i + 1) % (PAGES / 2)]?.id ?? id;
    bindings[slotKey(id, 'pad', 'key-11', 'press')] = go('next-set');
    bindings[slotKey(id, 'pad', 'key-12', 'press')] =
      kind === 'folder' && i % 2 ? go('back') : go('open', next);
  });
  if (withPages) {
    bindings[slotKey('base', 'pad', 'key-11', 'press')] = go('next-set');
    bindings[slotKey('base', 'pad', 'key-12', 'press')] = go('open', 'page-0');
  }
  const everywhere = { id: EVERYWHERE, name: null, program: null, rules: [], basedOn: null, bindings };
  const profiles = Object.entries(demo.profiles).map(([id, profile]) => [id, { ...profile, bindings: {} }]);
  return {
    ...demo,
    devices: [device],
    pages,
    profiles: { ...Object.fromEntries(profiles), [EVERYWHERE]: everywhere },
    macros: [],
    radialMenus: [],
  };
}

/** A set is chosen once, and a folder key pressed as often as any other: about one use in thirteen changes the page. */
function atWork(setup: Setup): EngineEvent[] {
  const at = { device: 'pad', control: 'key-11' };
  const others = handAtWork(setup, 20_000).filter(
    (event) => !('control' in event && event.control === 'key-11'),
  );
  return [{ kind: 'down', t: 0, ...at }, { kind: 'up', t: 0, ...at }, ...others];
}

/** What an event costs on a device with twenty pages, and on the same without: microseconds at the median. */
export function timePages(count: number) {
  const [without, withPages] = [padSetup(false), padSetup(true)].map((setup) =>
    runner(compile(setup), atWork(setup)),
  );
  if (!without || !withPages) throw new Error('no set-ups');
  const rounds = Array.from({ length: ROUNDS }, () => {
    const [plain, paged] = [timed(count / ROUNDS, without).median, timed(count / ROUNDS, withPages).median];
    return { plain, paged, ratio: paged / plain };
  });
  const middle = (of: (round: (typeof rounds)[number]) => number) =>
    rounds.map(of).toSorted((a, b) => a - b)[ROUNDS >> 1] ?? 0;
  return {
    without: middle(({ plain }) => plain),
    with: middle(({ paged }) => paged),
    ratio: middle(({ ratio }) => ratio),
  };
}

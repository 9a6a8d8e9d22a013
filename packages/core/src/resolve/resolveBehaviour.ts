import { type Control, isMoved, isOnEveryPage, type Trigger } from '../devices/index.ts';
import { type Binding, type Profile, type Setup, slotKey } from '../setup/index.ts';

/** One place that was looked at: what stands there and what became of it. */
export interface Look {
  readonly profile: string;
  /** A layer, or a page of the device. */
  readonly layer: string;
  /** Null where nothing is set: the next place is looked at. */
  readonly binding: Binding | null;
  /** `decides`: the first that is set. `inherit`: nothing set. `under`: set, but something above decided. */
  readonly verdict: 'decides' | 'inherit' | 'under';
}

/** Which binding decides for a control and trigger, and every place looked at, in order. */
export interface Resolution {
  readonly device: string;
  readonly control: string;
  readonly trigger: Trigger;
  /** Null where nothing is set: the control does what it does by itself, or nothing where a folder covers it. */
  readonly decided: { readonly profile: string; readonly layer: string; readonly binding: Binding } | null;
  /** The folder that is open and lets nothing through, where nothing is set on it or above; null without one. */
  readonly covered: string | null;
  /** In the order in which they were looked at; nothing below a folder that lets nothing through. */
  readonly looked: readonly Look[];
}

/**
 * Looks a control's trigger up: layer by layer from the top down; within a layer through the profile
 * chain. The first place that is set decides.
 *
 * @param chain the profile, what it is based on, Everywhere (see `profileChain`)
 * @param layers the active layers from the top down, then the device's pages, the base layer last
 * @param covering folders that let nothing through but turns and slides (see `coveringFolders`)
 */
export function resolveBehaviour(
  chain: readonly Profile[],
  layers: readonly string[],
  device: string,
  control: string,
  trigger: Trigger,
  covering: ReadonlySet<string> = NOTHING_COVERED,
): Resolution {
  const looked: Look[] = [];
  let decided: Resolution['decided'] = null;
  let covered: string | null = null;
  for (const layer of layers) {
    const key = slotKey(layer, device, control, trigger);
    for (const profile of chain) {
      const binding = profile.bindings[key] ?? null;
      const verdict = binding === null ? 'inherit' : decided === null ? 'decides' : 'under';
      if (binding && !decided) decided = { profile: profile.id, layer, binding };
      looked.push({ profile: profile.id, layer, binding, verdict });
    }
    if (covering.has(layer) && !isMoved(trigger)) {
      if (!decided) covered = layer;
      break;
    }
  }
  return { device, control, trigger, decided, covered, looked };
}

/** Without pages nothing is covered. */
const NOTHING_COVERED: ReadonlySet<string> = new Set();

/** The folders of a set-up that let nothing through but turns and slides. */
export function coveringFolders({ pages }: Pick<Setup, 'pages'>): ReadonlySet<string> {
  const folders = pages.filter(({ kind, showsThrough }) => kind === 'folder' && !showsThrough);
  return folders.length === 0 ? NOTHING_COVERED : new Set(folders.map(({ id }) => id));
}

/** Those of some folders that cover a control: none covers a cell that is on every page. */
export function coveringOf(folders: ReadonlySet<string>, control: Control | undefined): ReadonlySet<string> {
  return control && isOnEveryPage(control) ? NOTHING_COVERED : folders;
}

/** What would decide if the deciding binding were not there: the next place that is set, or null. */
export function nextUnder(resolution: Resolution): Look | null {
  return resolution.looked.find(({ verdict }) => verdict === 'under') ?? null;
}

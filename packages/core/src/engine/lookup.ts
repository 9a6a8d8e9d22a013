import type { Control, Trigger } from '../devices/index.ts';
import { coveringOf, type Resolution, resolveBehaviour } from '../resolve/index.ts';
import { BASE_LAYER, slotKey } from '../setup/index.ts';
import {
  type Compiled,
  type CompiledControl,
  chainFor,
  controlAt,
  type FoundUses,
  type MadeLayers,
  triggerIndex,
  usesOf,
} from './compile.ts';
import { profileFor } from './destination.ts';
import { folderOn, isOnBase, setOn } from './shownPage.ts';
import type { EngineState, ResolvedUse, Using } from './state.ts';
import type { StepContext } from './stepContext.ts';

/** The layer that is always on. */
const BASE_ONLY: readonly string[] = [BASE_LAYER];

/**
 * The layers and pages a control is looked up in, from the top down: layers that are on, its device's folder, its set, the
 * base layer. A cell of a page that the one which shows is based on is looked up on its own page, as it is there.
 */
export function layersOf(
  { compiled, state }: StepContext,
  { device, control }: CompiledControl,
): readonly string[] {
  return layersOfCell(compiled, state, device, control);
}

function layersOfCell(
  compiled: Compiled,
  state: EngineState,
  device: string,
  control: Control,
): readonly string[] {
  const layers = layersIn(compiled, state, device);
  const page = control.cell?.page ?? null;
  if (page === null || compiled.pages.bases.size === 0 || layers.includes(page)) return layers;
  const shown = layers.find((layer) => isOnBase(compiled, layer, page));
  if (shown === undefined) return layers;
  const known = compiled.memo.onBases.get(layers) ?? new Map<string, readonly string[]>();
  compiled.memo.onBases.set(layers, known);
  const made = known.get(page) ?? layers.map((layer) => (layer === shown ? page : layer));
  known.set(page, made);
  return made;
}

/** The layers and pages of a device. The same list as long as nothing of it changes. */
function layersIn(compiled: Compiled, state: EngineState, device: string): readonly string[] {
  const { layers } = state;
  const [folder, set] = [folderOn(state, device), setOn(compiled, state, device)];
  if (folder === null && set === null) return layers.length === 1 ? BASE_ONLY : layers;
  const known = compiled.memo.layers.get(device);
  const last = known?.last;
  if (last && last.on === layers && last.folder === folder && last.set === set) return last.made;
  // Other layers than before: what was made with those is of no use any more.
  const all = last?.on === layers ? known?.all : undefined;
  const key = `${folder ?? ''} ${set ?? ''}`;
  const before = all?.get(key);
  const pages = [folder, set].filter((page) => page !== null);
  const made = before ?? { on: layers, folder, set, made: [...layers.slice(0, -1), ...pages, BASE_LAYER] };
  const kept = all && all.size < MOST_KEPT ? all : new Map<string, MadeLayers>();
  kept.set(key, made);
  compiled.memo.layers.set(device, { last: made, all: kept });
  return made.made;
}

/** So many places of a device or a control are remembered; with more, all are forgotten and found anew. */
const MOST_KEPT = 200;

/**
 * What a control's trigger would do if it were used now, by ids, with every place that was looked at: for who shows what
 * is on a key without pressing it.
 */
export function resolutionNow(
  compiled: Compiled,
  state: EngineState,
  device: string,
  control: string,
  trigger: Trigger,
): Resolution {
  const known = controlAt(compiled, device, control)?.control;
  return resolveBehaviour(
    chainFor(compiled, profileFor(compiled, state, device)),
    known ? layersOfCell(compiled, state, device, known) : layersIn(compiled, state, device),
    device,
    control,
    trigger,
    coveringOf(compiled.pages.covering, known),
  );
}

/** What a control's trigger would do now, or in the layers given. */
export function resolveUse(
  context: StepContext,
  control: CompiledControl,
  trigger: Trigger,
  layers: readonly string[] = layersOf(context, control),
): ResolvedUse {
  const { byTrigger } = memoFor(context, layers, control);
  const at = triggerIndex(trigger);
  const known = byTrigger[at];
  if (known) return known;
  const use = lookUp(context, layers, control, trigger);
  byTrigger[at] = use;
  return use;
}

/** What was looked up before of a control with the profile of now and the layers given. */
function memoFor(
  { compiled, state }: StepContext,
  layers: readonly string[],
  control: CompiledControl,
): FoundUses {
  const profile = profileFor(compiled, state, control.device);
  const known = compiled.memo.uses.get(control);
  if (known && known.last.profile === profile && sameList(known.last.layers, layers)) return known.last;
  const before = known?.all.get(layers);
  const found =
    before?.profile === profile
      ? before
      : { profile, layers, byTrigger: [], uses: usesOf(compiled, profile, control.key) };
  const all = known && known.all.size < MOST_KEPT ? known.all : new Map<readonly string[], FoundUses>();
  all.set(layers, found);
  if (known?.all === all) known.last = found;
  else compiled.memo.uses.set(control, { last: found, all });
  return found;
}

/** Whether two lists have the same in them; most often they are the same list. */
function sameList(a: readonly string[], b: readonly string[]): boolean {
  return a === b || (a.length === b.length && a.every((each, i) => each === b[i]));
}

/** The long way, by layers and profiles; what it finds is remembered until profile or layers change. */
function lookUp(
  { compiled, state }: StepContext,
  layers: readonly string[],
  { key, device, control: known, natives }: CompiledControl,
  trigger: Trigger,
): ResolvedUse {
  const { id: control } = known;
  const chain = chainFor(compiled, profileFor(compiled, state, device));
  const covering = coveringOf(compiled.pages.covering, known);
  const resolution = resolveBehaviour(chain, layers, device, control, trigger, covering);
  const { decided, covered } = resolution;
  const native = covered === null ? natives.get(trigger) : undefined;
  const sending =
    decided === null
      ? native
      : compiled.profiles
          .get(decided.profile)
          ?.sendings.get(slotKey(decided.layer, device, control, trigger));
  const using = { key, device, control, trigger, decided, covered, layers };
  return { using, resolution, sending: sending ?? null };
}

/** Which triggers of a control are set at all: a bit each, in the order of `TRIGGERS`. */
export function usesSet(
  context: StepContext,
  control: CompiledControl,
  layers: readonly string[] = layersOf(context, control),
): number {
  return memoFor(context, layers, control).uses;
}

/** The same as `resolveUse` for a trigger that counts only where it is bound; set to native it is not there. */
export function resolveBound(
  context: StepContext,
  control: CompiledControl,
  trigger: Trigger,
  layers: readonly string[] = layersOf(context, control),
): ResolvedUse | null {
  if ((usesSet(context, control, layers) & (1 << triggerIndex(trigger))) === 0) return null;
  const use = resolveUse(context, control, trigger, layers);
  const { decided } = use.using;
  return decided && decided.binding.behaviour.kind !== 'native' ? use : null;
}

/** Whether what decided for a use when its control went down would still decide, in the same layers. */
export function stillDecides(
  context: StepContext,
  { device, control, trigger, decided, covered, layers }: Using,
): boolean {
  const known = controlAt(context.compiled, device, control);
  if (!known) return false;
  const { using } = resolveUse(context, known, trigger, layers);
  const now = using.decided;
  if (now === null || decided === null) return now === decided && using.covered === covered;
  if (now.profile !== decided.profile || now.layer !== decided.layer) return false;
  const [a, b] = [now.binding.behaviour, decided.binding.behaviour];
  return a === b || JSON.stringify(a) === JSON.stringify(b);
}

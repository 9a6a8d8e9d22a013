import type { Trigger } from '../devices/index.ts';
import { type Resolution, resolveBehaviour } from '../resolve/index.ts';
import { BASE_LAYER, slotKey } from '../setup/index.ts';
import { type Compiled, type CompiledControl, chainFor, controlAt, triggerIndex, usesOf } from './compile.ts';
import { profileFor } from './destination.ts';
import type { EngineState, ResolvedUse, Using } from './state.ts';
import type { StepContext } from './stepContext.ts';

/** The layer that is always on. */
const BASE_ONLY: readonly string[] = [BASE_LAYER];

/** The layers a device is looked up in, from the top down: those that are on, its page, the base layer. */
export function layersFor(context: StepContext, device: string): readonly string[] {
  return layersIn(context.state, device);
}

/** The same, for who has no step under way. */
function layersIn({ layers, pages }: EngineState, device: string): readonly string[] {
  const page = pages[device]?.at(-1)?.page;
  if (page === undefined) return layers.length === 1 ? BASE_ONLY : layers;
  return [...layers.slice(0, -1).filter((layer) => layer !== page), page, BASE_LAYER];
}

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
  return resolveBehaviour(
    chainFor(compiled, profileFor(compiled, state, device)),
    layersIn(state, device),
    device,
    control,
    trigger,
  );
}

/** What a control's trigger would do now, or in the layers given. */
export function resolveUse(
  context: StepContext,
  control: CompiledControl,
  trigger: Trigger,
  layers: readonly string[] = layersFor(context, control.device),
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
function memoFor({ compiled, state }: StepContext, layers: readonly string[], control: CompiledControl) {
  const profile = profileFor(compiled, state, control.device);
  const place = layers.length === 1 ? profile : `${profile} ${layers.join(' ')}`;
  const known = compiled.memo.uses.get(control);
  if (known?.place === place) return known;
  const anew = { place, byTrigger: [], uses: usesOf(compiled, profile, control.key) };
  compiled.memo.uses.set(control, anew);
  return anew;
}

/** The long way, by layers and profiles; what it finds is remembered until profile or layers change. */
function lookUp(
  { compiled, state }: StepContext,
  layers: readonly string[],
  { key, device, control: { id: control }, natives }: CompiledControl,
  trigger: Trigger,
): ResolvedUse {
  const chain = chainFor(compiled, profileFor(compiled, state, device));
  const resolution = resolveBehaviour(chain, layers, device, control, trigger);
  const { decided } = resolution;
  const sending =
    decided === null
      ? natives.get(trigger)
      : compiled.profiles
          .get(decided.profile)
          ?.sendings.get(slotKey(decided.layer, device, control, trigger));
  const using = { key, device, control, trigger, decided, layers };
  return { using, resolution, sending: sending ?? null };
}

/** Which triggers of a control are set at all: a bit each, in the order of `TRIGGERS`. */
export function usesSet(
  context: StepContext,
  control: CompiledControl,
  layers: readonly string[] = layersFor(context, control.device),
): number {
  return memoFor(context, layers, control).uses;
}

/** The same as `resolveUse` for a trigger that counts only where it is bound; set to native it is not there. */
export function resolveBound(
  context: StepContext,
  control: CompiledControl,
  trigger: Trigger,
  layers: readonly string[] = layersFor(context, control.device),
): ResolvedUse | null {
  if ((usesSet(context, control, layers) & (1 << triggerIndex(trigger))) === 0) return null;
  const use = resolveUse(context, control, trigger, layers);
  const { decided } = use.using;
  return decided && decided.binding.behaviour.kind !== 'native' ? use : null;
}

/** Whether what decided for a use when its control went down would still decide, in the same layers. */
export function stillDecides(
  context: StepContext,
  { device, control, trigger, decided, layers }: Using,
): boolean {
  const known = controlAt(context.compiled, device, control);
  if (!known) return false;
  const now = resolveUse(context, known, trigger, layers).using.decided;
  if (now === null || decided === null) return now === decided;
  if (now.profile !== decided.profile || now.layer !== decided.layer) return false;
  const [a, b] = [now.binding.behaviour, decided.binding.behaviour];
  return a === b || JSON.stringify(a) === JSON.stringify(b);
}

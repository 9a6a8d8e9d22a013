import type { Trigger } from '../devices/index.ts';
import { resolveBehaviour } from '../resolve/index.ts';
import { BASE_LAYER, slotKey } from '../setup/index.ts';
import { type CompiledControl, chainFor, controlAt, placeOf, usesOf } from './compile.ts';
import type { Run } from './run.ts';
import type { Choice, Using } from './state.ts';

const PRESS = placeOf('press');
const BASE_ONLY: readonly string[] = [BASE_LAYER];

/** The layers a device is looked up in, from the top down: those that are on, its page, the base layer. */
export function layersFor(run: Run, device: string): readonly string[] {
  const { layers, pages } = run.state;
  const page = pages[device]?.at(-1)?.page;
  if (page === undefined) return layers.length === 1 ? BASE_ONLY : layers;
  return [...layers.slice(0, -1).filter((layer) => layer !== page), page, BASE_LAYER];
}

/** What a control's trigger would do now. */
export function choose(run: Run, control: CompiledControl, trigger: Trigger): Choice {
  return chooseIn(run, layersFor(run, control.device), control, trigger);
}

/** The same, looked up in given layers. */
function chooseIn(run: Run, layers: readonly string[], control: CompiledControl, trigger: Trigger): Choice {
  const { byTrigger } = knownAt(run, layers, control);
  const at = placeOf(trigger);
  const known = byTrigger[at];
  if (known) return known;
  const choice = lookUp(run, layers, control, trigger);
  byTrigger[at] = choice;
  return choice;
}

/** What is known of a control with the profile and layers of now. */
function knownAt({ compiled, state }: Run, layers: readonly string[], control: CompiledControl) {
  const place = layers === BASE_ONLY ? state.profile : `${state.profile} ${layers.join(' ')}`;
  const known = compiled.known.choices.get(control);
  if (known?.place === place) return known;
  const anew = { place, byTrigger: [], uses: usesOf(compiled, state.profile, control.key) };
  compiled.known.choices.set(control, anew);
  return anew;
}

function lookUp(
  { compiled, state }: Run,
  layers: readonly string[],
  { key, device, control: { id: control }, natives }: CompiledControl,
  trigger: Trigger,
): Choice {
  const resolution = resolveBehaviour(chainFor(compiled, state.profile), layers, device, control, trigger);
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

/** The press of a control now, and which of its triggers are set at all: a bit each, in the order of `TRIGGERS`. */
export function choosePress(run: Run, control: CompiledControl): { press: Choice; uses: number } {
  const layers = layersFor(run, control.device);
  const { byTrigger, uses } = knownAt(run, layers, control);
  const known = byTrigger[PRESS];
  if (known) return { press: known, uses };
  return { press: chooseIn(run, layers, control, 'press'), uses };
}

/** The same for a trigger that counts only where it is bound; set to native it is as if it were not there. */
export function chooseBound(run: Run, control: CompiledControl, trigger: Trigger): Choice | null {
  const layers = layersFor(run, control.device);
  if ((knownAt(run, layers, control).uses & (1 << placeOf(trigger))) === 0) return null;
  const choice = chooseIn(run, layers, control, trigger);
  const { decided } = choice.using;
  return decided && decided.binding.behaviour.kind !== 'native' ? choice : null;
}

/** Whether what decided for a use when its control went down would still decide, in the same layers. */
export function stillDecides(run: Run, { device, control, trigger, decided, layers }: Using): boolean {
  const known = controlAt(run.compiled, device, control);
  if (!known) return false;
  const now = chooseIn(run, layers, known, trigger).using.decided;
  if (now === null || decided === null) return now === decided;
  if (now.profile !== decided.profile || now.layer !== decided.layer) return false;
  const [a, b] = [now.binding.behaviour, decided.binding.behaviour];
  return a === b || JSON.stringify(a) === JSON.stringify(b);
}

import type { Control, Device, Trigger } from '../devices/index.ts';
import { type Compiled, type EngineState, faceState, resolutionNow, shownPage } from '../engine/index.ts';
import type { Resolution } from '../resolve/index.ts';
import { controlsOnPage, NO_FACE } from '../setup/index.ts';
import { describeActionIn } from '../words/index.ts';
import type { ShownFace } from './messages.ts';

/** A face as it is shown, and what decides about it. */
export interface FaceNow extends ShownFace {
  readonly resolution: Resolution;
}

/**
 * What the controls of a device show now, by control: the faces of what a press, or a phrase, would do at this moment. One
 * that does nothing of ours has none.
 */
export function facesNow(
  compiled: Compiled,
  state: EngineState,
  device: Device,
): ReadonlyMap<string, FaceNow> {
  const { setup } = compiled;
  const profile = setup.profiles[state.profile];
  const faces = new Map<string, FaceNow>();
  if (!profile) return faces;
  for (const control of controlsOnPage(setup, device, shownPage(compiled, state, device.id))) {
    const trigger = faceTrigger(control);
    if (!trigger) continue;
    const resolution = resolutionNow(compiled, state, device.id, control.id, trigger);
    const { decided } = resolution;
    const owner = decided && setup.profiles[decided.profile];
    const behaviour = decided?.binding.behaviour;
    if (!owner || behaviour?.kind !== 'action') {
      // A phrase is read by its words, whatever it does.
      if (control.phrase !== null)
        faces.set(control.id, { ...NO_FACE, does: control.name, on: false, queued: 0, resolution });
      continue;
    }
    const { face } = decided.binding;
    const name = describeActionIn(setup, profile, owner, behaviour.action).name;
    const does = control.phrase === null ? name : `“${control.phrase}”: ${face?.label ?? name}`;
    const own = control.phrase === null ? (face ?? NO_FACE) : { ...(face ?? NO_FACE), label: null };
    faces.set(control.id, { ...own, does, ...faceState(compiled, state, resolution), resolution });
  }
  return faces;
}

/** The way of using a control that its face speaks of: a press, a phrase, or where a cell only slides or turns, that. */
function faceTrigger({ phrase, canPress, cell, slider, rotor }: Control): Trigger | null {
  if (phrase !== null) return 'phrase';
  if (canPress) return 'press';
  if (cell && slider) return 'slide';
  return cell && rotor ? 'clockwise' : null;
}

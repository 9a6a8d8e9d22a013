import { controlOf, deviceOf } from '../devices/index.ts';
import {
  acting,
  BASE_LAYER,
  EVERYWHERE,
  isBlock,
  type Macro,
  type MacroStep,
  profileOf,
  type Setup,
  slotKey,
} from '../setup/index.ts';

/** The control that runs a macro while it is tried; no rig has one of that name. */
export const TRIAL = { device: 'trial-of-a-macro', control: 'key' } as const;

/** So that what each step sends comes by itself and is known as its own; nobody sees the difference: milliseconds. */
const LEAST_PACE = 0.001;

/** How a macro is tried. */
export interface TrialOf {
  readonly macro: string;
  /** The step to begin with; null for the first. */
  readonly from: string | null;
  /** Step by step: no two things it sends may come at once. */
  readonly apart: boolean;
}

/**
 * A set-up in which one control more runs a macro, from the beginning or from a step on: bound where such a macro is, in
 * the profile of its program, so that all else is as it will be.
 */
export function trialSetup(setup: Setup, { macro: id, from, apart }: TrialOf): Setup {
  const macro = setup.macros.find((each) => each.id === id);
  if (!macro) return setup;
  const tried: Macro = {
    ...macro,
    steps: from === null ? macro.steps : [...stepsFrom(macro.steps, from)],
    pace: Math.max(apart ? 1 : LEAST_PACE, macro.pace),
  };
  const shape = { kind: 'rect', x: 0, y: 0, width: 10, height: 10, radius: 0 } as const;
  const device = deviceOf({
    id: TRIAL.device,
    name: macro.name,
    kind: 'key-pad',
    width: 10,
    height: 10,
    body: [],
    controls: [controlOf({ id: TRIAL.control, name: macro.name, kind: 'key', shape, canPress: true })],
  });
  const owner = (macro.program === null ? null : profileOf(setup, macro.program)?.id) ?? EVERYWHERE;
  const profile = setup.profiles[owner];
  const key = slotKey(BASE_LAYER, TRIAL.device, TRIAL.control, 'press');
  const behaviour = acting({ kind: 'macro', macro: id }, 'follow');
  return {
    ...setup,
    devices: [...setup.devices, device],
    macros: setup.macros.map((each) => (each.id === id ? tried : each)),
    profiles: profile
      ? {
          ...setup.profiles,
          [owner]: {
            ...profile,
            bindings: { ...profile.bindings, [key]: { behaviour, face: null, note: null } },
          },
        }
      : setup.profiles,
  };
}

/** The steps from one on, in the blocks they stand in; all of them where that one is gone. */
export function stepsFrom(steps: readonly MacroStep[], id: string): readonly MacroStep[] {
  return after(steps, id) ?? steps;
}

function after(steps: readonly MacroStep[], id: string): readonly MacroStep[] | null {
  for (const [i, step] of steps.entries()) {
    if (step.id === id) return steps.slice(i);
    const inside = isBlock(step) ? after(step.steps, id) : null;
    if (inside && isBlock(step)) return [{ ...step, steps: [...inside] }, ...steps.slice(i + 1)];
  }
  return null;
}

import {
  type Control,
  type Device,
  mainTriggersOf,
  type Trigger,
  triggersOf,
} from '@nimble-lever/core/devices';
import { coveringFolders, coveringOf, profileChain, resolveBehaviour } from '@nimble-lever/core/resolve';
import { BASE_LAYER, type Setup } from '@nimble-lever/core/setup';
import { describeAction, triggerName, triggerWord } from '@nimble-lever/core/words';

/** One way of using a control, and what it does there. */
export interface ControlUse {
  readonly trigger: Trigger;
  /** How it is used, in a word. */
  readonly way: string;
  /** What it does; null for what it does by itself. */
  readonly does: string | null;
  /** What it is about, for its colour. */
  readonly family: string | null;
}

/** What a control does in a profile and layer, or on a page: its main uses, and of the others those that are set. */
export function usesOf(
  setup: Setup,
  device: Device,
  control: Control,
  profile: string,
  layer: string,
): readonly ControlUse[] {
  // As the engine looks it up: profile by profile, in each the layer first.
  const chain = profileChain(setup, profile);
  const layers = layer === BASE_LAYER ? [BASE_LAYER] : [layer, BASE_LAYER];
  const covering = coveringOf(coveringFolders(setup), control);
  const main = mainTriggersOf(control);
  return triggersOf(control).flatMap((trigger): ControlUse[] => {
    const { decided, covered } = resolveBehaviour(chain, layers, device.id, control.id, trigger, covering);
    if (!decided && !main.includes(trigger)) return [];
    const owner = decided && setup.profiles[decided.profile];
    const behaviour = decided?.binding.behaviour;
    const info =
      owner && behaviour?.kind === 'action' ? describeAction(setup, owner, behaviour.action) : null;
    // A bare shortcut that no command has is best told by itself.
    const name = info?.command === null && info.shortcut ? info.shortcut : info?.name;
    const does = name
      ? (decided?.binding.face?.label ?? name)
      : behaviour?.kind === 'off'
        ? 'off'
        : covered === null
          ? null
          : 'nothing';
    return [
      {
        trigger,
        way: control.kind === 'wheel' ? triggerName(control, trigger) : triggerWord(trigger, control),
        does,
        family: info?.family ?? null,
      },
    ];
  });
}

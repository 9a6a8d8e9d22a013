import { mainTriggersOf, type Trigger } from '@nimble-lever/core/devices';
import { profileChain, resolveBehaviour } from '@nimble-lever/core/resolve';
import {
  BASE_LAYER,
  type Command,
  EVERYWHERE,
  profileOf,
  type Setup,
  type Slot,
} from '@nimble-lever/core/setup';
import { describeAction, profileName, triggerName } from '@nimble-lever/core/words';

/** Something that can be found: a control's row, or a command with the control that runs it, if any does. */
export interface FindItem {
  readonly key: string;
  readonly kind: 'control' | 'command';
  readonly name: string;
  /** The device of a control, the program of a command. */
  readonly owner: string;
  /** In our notation. */
  readonly shortcut: string | null;
  /** The control that runs a command; null where none does, or for a control. */
  readonly control: string | null;
  /** The cell to go to. */
  readonly slot: Slot;
}

/** Everything on the Board by name. A control is found in the column of `profile`. */
export function findItems(setup: Setup, profile: string): readonly FindItem[] {
  const places = setup.devices.flatMap((device) =>
    device.controls.flatMap((control) =>
      mainTriggersOf(control).map((trigger) => ({
        device,
        control,
        trigger,
        name: triggerName(control, trigger),
      })),
    ),
  );
  const slotOf = (place: (typeof places)[number], of: string): Slot => ({
    profile: of,
    layer: BASE_LAYER,
    device: place.device.id,
    control: place.control.id,
    trigger: place.trigger as Trigger,
  });
  const controls = places.map((place): FindItem => {
    const slot = slotOf(place, profile);
    const key = `control ${slot.device}/${slot.control}/${slot.trigger}`;
    return {
      key,
      kind: 'control',
      name: place.name,
      owner: place.device.name,
      shortcut: null,
      control: null,
      slot,
    };
  });
  const commands = [{ profile: EVERYWHERE, list: setup.commonCommands }]
    .concat(
      setup.programs.map(({ id, commands: list }) => ({
        profile: profileOf(setup, id)?.id ?? EVERYWHERE,
        list,
      })),
    )
    .flatMap(({ profile: of, list }) => list.map((command) => ({ of, command })));
  // The first control that runs a command, in the order of the rig: one place to go to is enough.
  const running = new Map<string, (typeof places)[number]>();
  for (const of of new Set(commands.map((entry) => entry.of))) {
    // Once a profile, not once a command: thousands of commands are looked through at every key.
    const chain = profileChain(setup, of);
    for (const place of places) {
      const command = commandAt(setup, chain, place);
      if (command && !running.has(`${of} ${command.id}`)) running.set(`${of} ${command.id}`, place);
    }
  }
  const first = places[0];
  return [
    ...commands.flatMap(({ of, command }): FindItem[] => {
      const place = running.get(`${of} ${command.id}`);
      const slot = place ?? first;
      if (!slot) return [];
      return [
        {
          key: `command ${command.id}`,
          kind: 'command',
          name: command.name,
          owner: profileName(setup, of),
          shortcut: command.shortcut,
          control: place ? `${place.device.name}, ${place.name.toLowerCase()}` : null,
          slot: slotOf(slot, of),
        },
      ];
    }),
    ...controls,
  ];
}

function commandAt(
  setup: Setup,
  chain: ReturnType<typeof profileChain>,
  { device, control, trigger }: { device: { id: string }; control: { id: string }; trigger: Trigger },
): Command | null {
  const { decided } = resolveBehaviour(chain, [BASE_LAYER], device.id, control.id, trigger);
  const owner = decided ? setup.profiles[decided.profile] : undefined;
  if (!owner || decided?.binding.behaviour.kind !== 'action') return null;
  return describeAction(setup, owner, decided.binding.behaviour.action).command;
}

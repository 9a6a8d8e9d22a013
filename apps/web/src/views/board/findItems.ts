import type { Trigger } from '@nimble-lever/core/devices';
import { triggersOf } from '@nimble-lever/core/devices';
import { reachOf } from '@nimble-lever/core/programs';
import {
  type Action,
  BASE_LAYER,
  controlsOnPage,
  EVERYWHERE,
  layerOfCell,
  profileOf,
  type Setup,
  type Slot,
  slotOf,
} from '@nimble-lever/core/setup';
import {
  controlUseWords,
  macroName,
  profileName,
  radialMenuName,
  triggerName,
} from '@nimble-lever/core/words';

/** Something of the Board that can be found. */
export interface FindItem {
  /** The same as long as it is the same thing. */
  readonly key: string;
  readonly kind: 'control' | 'command' | 'layer' | 'page' | 'menu' | 'macro';
  readonly name: string;
  /** The device of a control, the program of a command; for others the kind of thing it is. */
  readonly owner: string;
  /** In our notation. */
  readonly shortcut: string | null;
  /** The control that runs it, in words; null where none does, or for a control. */
  readonly control: string | null;
  /** The program of a command; null for a common one, and for what is no command. */
  readonly program: string | null;
  /** The cell to go to; null for a layer, which is shown as it is. */
  readonly slot: Slot | null;
}

/** Everything on the Board by name. A control is found in the column of `profile`, by each of its triggers. */
export function findItems(setup: Setup, profile: string): readonly FindItem[] {
  return [
    ...commandItems(setup),
    ...partItems(setup),
    ...layerItems(setup),
    ...pageItems(setup, profile),
    ...controlItems(setup, profile),
  ];
}

/** Every way of using every control. */
function controlItems(setup: Setup, profile: string): readonly FindItem[] {
  return setup.devices.flatMap((device) =>
    device.controls.flatMap((control) =>
      triggersOf(control).map((trigger): FindItem => {
        const slot = {
          profile,
          layer: layerOfCell(control),
          device: device.id,
          control: control.id,
          trigger,
        };
        return {
          key: `control ${device.id}/${control.id}/${trigger}`,
          kind: 'control',
          name: triggerName(control, trigger),
          owner: device.name,
          shortcut: null,
          control: null,
          program: null,
          slot,
        };
      }),
    ),
  );
}

/** Every command, with the control that reaches it: in its program, through Everywhere, in a layer, or by a menu. */
function commandItems(setup: Setup): readonly FindItem[] {
  const lists = [
    { program: null, profile: EVERYWHERE, commands: setup.commonCommands },
    ...setup.programs.map(({ id, commands }) => ({
      program: id,
      profile: profileOf(setup, id)?.id ?? EVERYWHERE,
      commands,
    })),
  ];
  return lists.flatMap(({ program, profile, commands }) => {
    const reach = reachOf(setup, profile);
    return commands.map((command): FindItem => {
      const slot = reach.get(command.id)?.[0]?.slot ?? null;
      return {
        key: `command ${command.id}`,
        kind: 'command',
        name: command.name,
        owner: profileName(setup, profile),
        shortcut: command.shortcut,
        control: slot && controlUseWords(setup, slot),
        program,
        slot: slot ? { ...slot, profile } : firstSlot(setup, profile),
      };
    });
  });
}

/** Radial menus and macros, with the control that opens or runs them. */
function partItems(setup: Setup): readonly FindItem[] {
  const slots = Object.values(setup.profiles).flatMap(({ id, bindings }) =>
    Object.entries(bindings).flatMap(([key, { behaviour }]) => {
      const slot = slotOf(id, key);
      return slot && behaviour.kind === 'action' ? [{ slot, action: behaviour.action }] : [];
    }),
  );
  const item = (kind: 'menu' | 'macro', id: string, name: string, owner: string): FindItem => {
    const isIt = (action: Action) =>
      kind === 'menu'
        ? action.kind === 'radial' && action.menu === id
        : action.kind === 'macro' && action.macro === id;
    const slot = slots.find(({ action }) => isIt(action))?.slot ?? null;
    return {
      key: `${kind} ${id}`,
      kind,
      name,
      owner,
      shortcut: null,
      control: slot && controlUseWords(setup, slot),
      program: null,
      slot: slot ?? firstSlot(setup, EVERYWHERE),
    };
  };
  return [
    ...setup.radialMenus.map(({ id }) => item('menu', id, radialMenuName(setup, id), 'Radial menu')),
    ...setup.macros.map(({ id }) => item('macro', id, macroName(setup, id), 'Macro')),
  ];
}

function layerItems({ layers }: Setup): readonly FindItem[] {
  return layers.map(({ id, name }) => ({
    key: `layer ${id}`,
    kind: 'layer',
    name,
    owner: 'Layer',
    shortcut: null,
    control: null,
    program: null,
    slot: null,
  }));
}

/** Every page, by the first control that is on it, in the column of its program. */
function pageItems(setup: Setup, profile: string): readonly FindItem[] {
  return setup.pages.flatMap(({ id, name, kind, device, program }): FindItem[] => {
    const owner = setup.devices.find((each) => each.id === device);
    const there = owner ? controlsOnPage(setup, owner, id) : [];
    const control = there.find((each) => triggersOf(each).length > 0);
    const trigger = control && triggersOf(control)[0];
    if (!owner || !control || !trigger) return [];
    const column = (program !== null && profileOf(setup, program)?.id) || profile;
    const slot = { profile: column, layer: id, device, control: control.id, trigger };
    const of = kind === 'folder' ? `Folder of ${owner.name}` : `Set of ${owner.name}`;
    return [
      { key: `page ${id}`, kind: 'page', name, owner: of, shortcut: null, control: null, program, slot },
    ];
  });
}

/** Somewhere to begin, for what nothing reaches yet: the first control of the rig. */
function firstSlot({ devices }: Setup, profile: string): Slot | null {
  const [device] = devices;
  const control = device?.controls[0];
  const trigger: Trigger | undefined = control && triggersOf(control)[0];
  if (!device || !control || !trigger) return null;
  return { profile, layer: BASE_LAYER, device: device.id, control: control.id, trigger };
}

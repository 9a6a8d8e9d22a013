import type { Action } from './action.ts';
import type { Behaviour, Binding } from './binding.ts';
import type { MacroStep } from './macro.ts';
import type { NamedKind } from './references.ts';
import type { Command, Profile, Setup } from './setup.ts';

/** The id that a thing has from now on; its own where it keeps it. */
export type Renames = (kind: NamedKind, id: string) => string;

/** How an action of a kind names what has another id. */
type Renamed<Kind extends Action['kind']> = (
  action: Extract<Action, { kind: Kind }>,
  to: Renames,
) => Extract<Action, { kind: Kind }>;

const device = <Own extends { readonly device: string | null }>(action: Own, to: Renames): Own => ({
  ...action,
  device: action.device === null ? null : to('device', action.device),
});
const same = <Own>(action: Own): Own => action;

/** Every kind of action in a row, as in `references.ts`. */
const ACTIONS: { readonly [Kind in Action['kind']]: Renamed<Kind> } = {
  command: (action, to) => ({ ...action, command: to('command', action.command) }),
  macro: (action, to) => ({ ...action, macro: to('macro', action.macro) }),
  layer: (action, to) => ({ ...action, layer: to('layer', action.layer) }),
  page: (action, to) => ({
    ...device(action, to),
    page: action.page === null ? null : to('page', action.page),
  }),
  profile: (action, to) => ({ ...action, profiles: action.profiles.map((id) => to('profile', id)) }),
  speed: device,
  'wheel-mode': device,
  computer: device,
  program: (action, to) => ({ ...action, program: to('program', action.program) }),
  show: device,
  radial: (action, to) => ({ ...action, menu: to('radial-menu', action.menu) }),
  shortcut: same,
  intent: same,
  sequence: same,
  text: same,
  button: same,
  click: same,
  drag: same,
  wheel: same,
  message: same,
};

function renamedAction(action: Action, to: Renames): Action {
  return (ACTIONS[action.kind] as Renamed<Action['kind']>)(action, to);
}

function renamedBehaviour(behaviour: Behaviour, to: Renames): Behaviour {
  switch (behaviour.kind) {
    case 'native':
      return behaviour;
    case 'off': {
      const { heardBy, sends } = behaviour;
      const heard = heardBy.map((id) => to('program', id));
      return { ...behaviour, heardBy: heard, sends: sends && renamedAction(sends, to) };
    }
    case 'action': {
      const { action, target } = behaviour;
      return {
        ...behaviour,
        action: renamedAction(action, to),
        target: target && { ...target, program: to('program', target.program) },
      };
    }
  }
}

function renamedStep(step: MacroStep, to: Renames): MacroStep {
  switch (step.kind) {
    case 'focus':
      return { ...step, program: to('program', step.program) };
    case 'layer':
      return { ...step, layer: to('layer', step.layer) };
    case 'macro':
      return { ...step, macro: to('macro', step.macro) };
    case 'repeat':
    case 'hold':
      return { ...step, steps: step.steps.map((each) => renamedStep(each, to)) };
    case 'shortcut':
    case 'key-down':
    case 'key-up':
    case 'text':
    case 'wait':
    case 'until':
    case 'button':
    case 'click':
    case 'wheel':
    case 'pointer':
    case 'menu':
      return step;
  }
}

/** A binding, and everything it names, under other ids. */
export function renamedBinding(binding: Binding, to: Renames): Binding {
  return { ...binding, behaviour: renamedBehaviour(binding.behaviour, to) };
}

/**
 * A set-up in which things have other ids, wherever they are named. What stands under an id that another thing gets too is
 * the caller's to look after.
 */
export function renamed(setup: Setup, to: Renames): Setup {
  const named = (kind: NamedKind, id: string | null) => (id === null ? null : to(kind, id));
  const command = (own: Command): Command => ({ ...own, id: to('command', own.id) });
  const profile = ({ id, program, basedOn, bindings, ...rest }: Profile): Profile => ({
    ...rest,
    id: to('profile', id),
    program: named('program', program),
    basedOn: named('profile', basedOn),
    bindings: Object.fromEntries(
      Object.entries(bindings).map(([key, binding]) => [
        renamedKey(setup, key, to),
        renamedBinding(binding, to),
      ]),
    ),
  });
  return {
    ...setup,
    devices: setup.devices.map((own) => ({
      ...own,
      id: to('device', own.id),
      controls: own.controls.map((control) =>
        control.cell
          ? { ...control, cell: { ...control.cell, page: named('page', control.cell.page) } }
          : control,
      ),
    })),
    commonCommands: setup.commonCommands.map(command),
    programs: setup.programs.map((own) => ({
      ...own,
      id: to('program', own.id),
      commands: own.commands.map(command),
    })),
    layers: setup.layers.map((own) => ({ ...own, id: to('layer', own.id) })),
    pages: setup.pages.map((own) => ({
      ...own,
      id: to('page', own.id),
      device: to('device', own.device),
      program: named('program', own.program),
      within: named('page', own.within),
      basedOn: named('page', own.basedOn),
    })),
    profiles: Object.fromEntries(
      Object.values(setup.profiles).map((own) => [to('profile', own.id), profile(own)]),
    ),
    macros: setup.macros.map((own) => ({
      ...own,
      id: to('macro', own.id),
      program: named('program', own.program),
      steps: own.steps.map((step) => renamedStep(step, to)),
    })),
    radialMenus: setup.radialMenus.map((own) => ({
      ...own,
      id: to('radial-menu', own.id),
      program: named('program', own.program),
      items: own.items.map((item) => ({ ...item, action: renamedAction(item.action, to) })),
    })),
  };
}

/** `layer/device/control/trigger`, where a page may take the layer's place. */
function renamedKey({ pages }: Setup, key: string, to: Renames): string {
  const [layer = '', device = '', ...rest] = key.split('/');
  const place = pages.some(({ id }) => id === layer) ? to('page', layer) : to('layer', layer);
  return [place, to('device', device), ...rest].join('/');
}

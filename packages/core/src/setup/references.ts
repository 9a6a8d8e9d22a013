import type { Action } from './action.ts';
import type { Binding } from './binding.ts';
import type { Macro, MacroStep } from './macro.ts';
import type { Setup } from './setup.ts';

/** The kinds of things that others name by their ids. */
export type NamedKind =
  | 'command'
  | 'macro'
  | 'layer'
  | 'page'
  | 'profile'
  | 'device'
  | 'program'
  | 'radial-menu';
/** Something that is named by its id. */
export interface Reference {
  readonly kind: NamedKind;
  readonly id: string;
}

/** Names nothing. */
const NONE: readonly Reference[] = [];

/** What an action of a kind names. */
type NamedBy<Kind extends Action['kind']> = (action: Extract<Action, { kind: Kind }>) => readonly Reference[];

/** Every kind of action in a row: what it names. The other places it needs, the compiler names by their switches. */
const ACTION_NAMES: { readonly [Kind in Action['kind']]: NamedBy<Kind> } = {
  command: ({ command }) => [{ kind: 'command', id: command }],
  macro: ({ macro }) => [{ kind: 'macro', id: macro }],
  layer: ({ layer }) => [{ kind: 'layer', id: layer }],
  page: ({ page, device }) => [
    ...(page === null ? NONE : [{ kind: 'page', id: page } as const]),
    ...(device === null ? NONE : [{ kind: 'device', id: device } as const]),
  ],
  profile: ({ profiles }) => profiles.map((id) => ({ kind: 'profile', id })),
  speed: ({ device }) => (device === null ? NONE : [{ kind: 'device', id: device }]),
  'wheel-mode': ({ device }) => (device === null ? NONE : [{ kind: 'device', id: device }]),
  computer: ({ device }) => (device === null ? NONE : [{ kind: 'device', id: device }]),
  program: ({ program }) => [{ kind: 'program', id: program }],
  show: ({ device }) => (device === null ? NONE : [{ kind: 'device', id: device }]),
  radial: ({ menu }) => [{ kind: 'radial-menu', id: menu }],
  shortcut: () => NONE,
  intent: () => NONE,
  sequence: () => NONE,
  text: () => NONE,
  button: () => NONE,
  click: () => NONE,
  drag: () => NONE,
  wheel: () => NONE,
  message: () => NONE,
};

/** What an action names. */
export function namedByAction(action: Action): readonly Reference[] {
  return (ACTION_NAMES[action.kind] as NamedBy<Action['kind']>)(action);
}

/** What a binding names, by what it does, hears or is sent to. */
export function namedByBinding({ behaviour }: Binding): readonly Reference[] {
  switch (behaviour.kind) {
    case 'native':
      return NONE;
    case 'off': {
      const heard = behaviour.heardBy.map((id): Reference => ({ kind: 'program', id }));
      return behaviour.sends ? [...heard, ...namedByAction(behaviour.sends)] : heard;
    }
    case 'action': {
      const named = namedByAction(behaviour.action);
      const { target } = behaviour;
      return target ? [...named, { kind: 'program', id: target.program }] : named;
    }
  }
}

/** What a step of a macro names, and the steps inside it. */
export function namedByStep(step: MacroStep): readonly Reference[] {
  switch (step.kind) {
    case 'focus':
      return [{ kind: 'program', id: step.program }];
    case 'layer':
      return [{ kind: 'layer', id: step.layer }];
    case 'macro':
      return [{ kind: 'macro', id: step.macro }];
    case 'repeat':
    case 'hold':
      return step.steps.flatMap(namedByStep);
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
      return NONE;
  }
}

/** What the steps of a macro name; the program it is for is not among them, as it is only how it is found. */
export function namedByMacro({ steps }: Pick<Macro, 'steps'>): readonly Reference[] {
  return steps.flatMap(namedByStep);
}

/** Whether anything bound, any macro or any radial menu still names one of some things. */
export function isNamed(setup: Setup, things: readonly Reference[]): boolean {
  const asked = new Set(things.map(referenceKey));
  const names = (list: readonly Reference[]) => list.some((each) => asked.has(referenceKey(each)));
  for (const { bindings } of Object.values(setup.profiles)) {
    for (const key in bindings) {
      const binding = bindings[key];
      if (binding && names(namedByBinding(binding))) return true;
    }
  }
  return (
    setup.macros.some((macro) => names(namedByMacro(macro))) ||
    setup.radialMenus.some(
      ({ program, items }) =>
        (program !== null && names([{ kind: 'program', id: program }])) ||
        items.some(({ action }) => names(namedByAction(action))),
    )
  );
}

/** Kinds have ids of their own: a device and a program may share one. */
function referenceKey({ kind, id }: Reference): string {
  return `${kind}/${id}`;
}

/** Whether a set-up has the thing that is named. A command counts wherever it is. */
export function hasNamed(setup: Setup, { kind, id }: Reference): boolean {
  const among = (list: readonly { readonly id: string }[]) => list.some((item) => item.id === id);
  switch (kind) {
    case 'command':
      return among(setup.commonCommands) || setup.programs.some(({ commands }) => among(commands));
    case 'macro':
      return among(setup.macros);
    case 'layer':
      return among(setup.layers);
    case 'page':
      return among(setup.pages);
    case 'profile':
      return Object.hasOwn(setup.profiles, id);
    case 'device':
      return among(setup.devices);
    case 'program':
      return among(setup.programs);
    case 'radial-menu':
      return among(setup.radialMenus);
  }
}

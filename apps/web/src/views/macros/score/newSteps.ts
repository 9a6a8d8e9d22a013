import { type BareStep, type Macro, type Setup, USUAL_WAIT_MS } from '@nimble-lever/core/setup';

/** What can be added, in the order in which it is offered: those of the bar, then those of its menu. */
export const ADDED_FIRST = ['shortcut', 'text', 'wait', 'until', 'click', 'menu', 'repeat'] as const;
export const ADDED_MORE = [
  'hold',
  'wheel',
  'pointer',
  'back',
  'focus',
  'layer',
  'macro',
  'key-down',
  'key-up',
  'button',
] as const;
/** One of them. */
export type AddedKind = (typeof ADDED_FIRST)[number] | (typeof ADDED_MORE)[number];

/** Whether a text is one of them. */
export function isAddedKind(kind: string): kind is AddedKind {
  return [...ADDED_FIRST, ...ADDED_MORE].some((each) => each === kind);
}

/** A new step of a kind, as far as anybody can know; null where there is nothing it could name. */
export function newStepOf(kind: AddedKind, setup: Setup, macro: Macro): BareStep | null {
  switch (kind) {
    case 'shortcut':
      return { kind, shortcut: 'Enter' };
    case 'text':
      return { kind, text: 'text' };
    case 'wait':
      // Half a second lets a slow program keep up (common practice, no source).
      return { kind, ms: 500 };
    case 'until':
      return { kind, window: windowOf(setup, macro), atMostMs: USUAL_WAIT_MS, late: 'stop' };
    case 'click':
      return { kind, button: 0, count: 1, at: null };
    case 'menu':
      return { kind, path: ['Menu', 'Item'] };
    case 'repeat':
      return { kind, times: 2, steps: [] };
    case 'hold':
      return { kind, keys: 'Alt', steps: [] };
    case 'wheel':
      return { kind, ticks: -1, axis: 'vertical' };
    case 'pointer':
      return { kind, change: 'remember' };
    case 'back':
      return { kind: 'pointer', change: 'back' };
    case 'focus': {
      const program = macro.program ?? setup.programs[0]?.id;
      return program === undefined ? null : { kind, program, launch: true };
    }
    case 'layer': {
      const layer = setup.layers[1]?.id;
      return layer === undefined ? null : { kind, layer, on: true };
    }
    case 'macro': {
      const other = setup.macros.find(({ id }) => id !== macro.id)?.id;
      return other === undefined ? null : { kind, macro: other };
    }
    case 'key-down':
    case 'key-up':
      return { kind, code: 'ShiftLeft' };
    case 'button':
      return { kind, button: 0, change: 'down' };
  }
}

/** The window of the macro's own program, or any. */
function windowOf(setup: Setup, { program }: Macro): Extract<BareStep, { kind: 'until' }>['window'] {
  const rule = setup.programs.find(({ id }) => id === program)?.rules.find(({ negative }) => !negative);
  if (!rule) return { executable: null, class: null, title: { match: 'glob', text: '*' } };
  return { executable: rule.executable, class: rule.class, title: rule.title };
}

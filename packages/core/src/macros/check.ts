import { answeredText } from '../engine/index.ts';
import { chordsOf, type Layout, typeText } from '../keys/layouts/index.ts';
import type { FrontWindow } from '../resolve/index.ts';
import {
  type Corner,
  everyStep,
  isBlock,
  type Macro,
  type MacroStep,
  type Place,
  type Setup,
  type SingleEdit,
  type WindowAsked,
} from '../setup/index.ts';
import { addStep, type NewId } from './stepEdits.ts';
import { brokenFields, filledText, type TextFacts } from './textFields.ts';

/** What is worth a look in a macro. */
export type MacroFinding = {
  /** The step it is about; null for the whole. */
  readonly step: string | null;
} & (
  | {
      /** A window opens and no step waits for it: on a slow day the next comes too early. */
      readonly kind: 'nothing-waits';
      /** What opens, as far as that is known. */
      readonly window: WindowAsked | null;
    }
  | {
      /** What brings another program to the front stops the macro there: the rest is never reached. */
      readonly kind: 'stops-here';
    }
  | {
      /** Put down and never let up but by the end of the macro. */
      readonly kind: 'stays-down';
      readonly what: string | number;
    }
  | { readonly kind: 'outside'; readonly place: Place }
  | { readonly kind: 'long-wait'; readonly ms: number }
  | { readonly kind: 'untypable-text'; readonly character: string; readonly layout: string }
  | { readonly kind: 'broken-field'; readonly field: string }
  | { readonly kind: 'untypable-keys'; readonly shortcut: string; readonly layout: string }
  | { readonly kind: 'never-ends' }
  | { readonly kind: 'nothing-remembered' }
);

/** What is known of where a macro runs. */
export interface MacroSurroundings {
  /** The keyboard that receives. */
  readonly layout: Layout;
  /** Windows that came up after a step when it was recorded or tried, by the step's id. */
  readonly opened: ReadonlyMap<string, FrontWindow>;
  /** How large the window in front is, where that is known: pixels. */
  readonly window: { readonly width: number; readonly height: number } | null;
}

/** A wait that is longer than this is told: milliseconds. */
const LONG_WAIT_MS = 10_000;

/** Everything that is worth a look in a macro, in the order of its steps. */
export function checkMacro(setup: Setup, macro: Macro, around: MacroSurroundings): readonly MacroFinding[] {
  const steps = everyStep(macro.steps).filter(({ skipped }) => !skipped);
  return [
    ...ofSteps(setup, macro, macro.steps, around),
    ...staysDown(steps),
    ...nothingRemembered(steps),
    ...neverEnds(macro, steps),
  ];
}

/** Of a list of steps, and those inside them. */
function ofSteps(
  setup: Setup,
  macro: Macro,
  steps: readonly MacroStep[],
  around: MacroSurroundings,
): readonly MacroFinding[] {
  const running = steps.filter(({ skipped }) => !skipped);
  return running.flatMap((step, i): readonly MacroFinding[] => {
    const rest = running.slice(i + 1);
    return [
      ...opening(setup, macro, step, rest, around),
      ...alone(step, around),
      ...(isBlock(step) ? ofSteps(setup, macro, step.steps, around) : []),
    ];
  });
}

/** What fields may come to: nothing that a keyboard lacks. */
const ANY_FACTS: TextFacts = { now: new Date(0), clipboard: '', count: (_name, from) => from };

/** What a step alone has that is worth a look. */
function alone(step: MacroStep, { layout, window }: MacroSurroundings): readonly MacroFinding[] {
  const { id } = step;
  switch (step.kind) {
    case 'wait':
      return step.ms > LONG_WAIT_MS ? [{ kind: 'long-wait', step: id, ms: step.ms }] : [];
    case 'text': {
      const broken = brokenFields(step.text).map((field) => ({
        kind: 'broken-field' as const,
        step: id,
        field,
      }));
      const typed = typeText(layout, filledText(answeredText(step.text, []), ANY_FACTS));
      if (typed.ok || broken.length > 0) return broken;
      const { character } = typed.problem;
      return [{ kind: 'untypable-text', step: id, character, layout: layout.name }];
    }
    case 'shortcut':
      return untypable(id, step.shortcut, layout);
    case 'hold':
      return untypable(id, step.keys, layout);
    case 'click':
      return [
        ...(step.at && isOutside(step.at, window)
          ? [{ kind: 'outside' as const, step: id, place: step.at }]
          : []),
        ...(step.keys === null ? [] : untypable(id, step.keys, layout)),
      ];
    case 'wheel':
      return step.keys === null ? [] : untypable(id, step.keys, layout);
    case 'key-down':
    case 'key-up':
    case 'until':
    case 'button':
    case 'pointer':
    case 'menu':
    case 'focus':
    case 'layer':
    case 'macro':
    case 'repeat':
      return [];
  }
}

function untypable(step: string, shortcut: string, layout: Layout): readonly MacroFinding[] {
  if (chordsOf(shortcut, layout, 'character').ok) return [];
  return [{ kind: 'untypable-keys', step, shortcut, layout: layout.name }];
}

/** Into which way a place lies inside its window, from each corner: right and down are positive. */
const INWARD: Readonly<Record<Corner, readonly [across: 1 | -1, down: 1 | -1]>> = {
  'top-left': [1, 1],
  'top-right': [-1, 1],
  'bottom-left': [1, -1],
  'bottom-right': [-1, -1],
};

/** Whether a place lies outside its window: beyond its corner, or (where its size is known) beyond the far side. */
function isOutside({ from, corner, x, y }: Place, window: MacroSurroundings['window']): boolean {
  if (from !== 'window') return false;
  const [across, down] = INWARD[corner];
  const [right, below] = [x * across, y * down];
  if (right < 0 || below < 0) return true;
  return window !== null && (right > window.width || below > window.height);
}

/** Whether a step brings up a window that nothing after it waits for. */
function opening(
  setup: Setup,
  macro: Macro,
  step: MacroStep,
  rest: readonly MacroStep[],
  { opened }: MacroSurroundings,
): readonly MacroFinding[] {
  const [next] = rest;
  // A wait for a window right behind it is what is asked for; without anything behind it nothing can come too early.
  if (!next || next.kind === 'until' || step.kind === 'until') return [];
  const { id } = step;
  if (step.kind === 'focus') {
    const program = setup.programs.find((each) => each.id === step.program);
    const rule = program?.rules.find(({ negative }) => !negative);
    const window = rule ? { executable: rule.executable, class: rule.class, title: rule.title } : null;
    const stops = !macro.goesOn && macro.program !== null && macro.program !== step.program;
    return [
      {
        kind: stops ? 'stops-here' : 'nothing-waits',
        step: id,
        ...(stops ? {} : { window }),
      } as MacroFinding,
    ];
  }
  const came = opened.get(id);
  if (came) return [{ kind: 'nothing-waits', step: id, window: windowOf(came) }];
  return asksFurther(setup, macro, step) ? [{ kind: 'nothing-waits', step: id, window: null }] : [];
}

/** The window with that name and title, of that program. */
export function windowOf({ executable, title }: FrontWindow): WindowAsked {
  return {
    executable: { match: 'exact', text: executable },
    class: null,
    title: title === '' ? null : { match: 'exact', text: title },
  };
}

/** Commands that open a window to ask further end in three dots (common practice, no source). */
function asksFurther({ programs }: Setup, { program }: Macro, step: MacroStep): boolean {
  const dotted = (name: string | undefined) => name !== undefined && /(…|\.\.\.)$/.test(name);
  if (step.kind === 'menu') return dotted(step.path.at(-1));
  if (step.kind !== 'shortcut') return false;
  const commands = programs.find(({ id }) => id === program)?.commands ?? [];
  return dotted(commands.find(({ shortcut }) => shortcut === step.shortcut)?.name);
}

/** Keys and buttons that a step puts down and none lets up. */
function staysDown(steps: readonly MacroStep[]): readonly MacroFinding[] {
  const down = new Map<string | number, string>();
  for (const step of steps) {
    if (step.kind === 'key-down') down.set(step.code, step.id);
    if (step.kind === 'key-up') down.delete(step.code);
    if (step.kind === 'button' && step.change === 'down') down.set(step.button, step.id);
    if (step.kind === 'button' && step.change === 'up') down.delete(step.button);
  }
  return [...down].map(([what, step]) => ({ kind: 'stays-down', step, what }));
}

/** Goes back to where the pointer was, and nothing before it remembered that. */
function nothingRemembered(steps: readonly MacroStep[]): readonly MacroFinding[] {
  let remembered = false;
  const found: MacroFinding[] = [];
  for (const step of steps) {
    if (step.kind !== 'pointer') continue;
    if (step.change === 'remember') remembered = true;
    else if (!remembered) found.push({ kind: 'nothing-remembered', step: step.id });
  }
  return found;
}

/** Goes round and round, and waits for nothing on the way: a hundred times a second. */
function neverEnds({ run }: Macro, steps: readonly MacroStep[]): readonly MacroFinding[] {
  const waits = steps.some(({ kind }) => kind === 'wait' || kind === 'until' || kind === 'macro');
  return run !== 'toggle' || waits || steps.length === 0 ? [] : [{ kind: 'never-ends', step: null }];
}

/** The edits that mend a finding; none where only the person can. */
export function mendOf(macro: Macro, finding: MacroFinding, newId: NewId): readonly SingleEdit[] {
  const { step } = finding;
  if (step === null) return [];
  const found = everyStep(macro.steps).find(({ id }) => id === step);
  switch (finding.kind) {
    case 'nothing-waits': {
      const { window } = finding;
      if (!window) return [];
      const until = { kind: 'until', window, atMostMs: 3000, late: 'stop' } as const;
      return addStep(macro, { beside: step }, until, newId);
    }
    case 'stays-down': {
      const last = macro.steps.at(-1);
      if (!last || !found) return [];
      const up =
        found.kind === 'key-down'
          ? ({ kind: 'key-up', code: found.code } as const)
          : found.kind === 'button'
            ? ({ kind: 'button', button: found.button, change: 'up' } as const)
            : null;
      return up ? addStep(macro, { beside: last.id }, up, newId) : [];
    }
    case 'stops-here':
    case 'outside':
    case 'long-wait':
    case 'untypable-text':
    case 'untypable-keys':
    case 'broken-field':
    case 'never-ends':
    case 'nothing-remembered':
      return [];
  }
}

import { isBlock, type Macro, type MacroStep, type Setup, type WindowAsked } from '../setup/index.ts';
import { questionsOf } from './ask.ts';
import { typedAs } from './compileEffect.ts';
import type { Effect, Typed } from './effect.ts';

/** Something a macro does at its time. */
export type MacroAct =
  | Extract<Effect, { kind: 'text' | 'click' | 'wheel' }>
  | { readonly kind: 'chord'; readonly typed: Typed }
  | { readonly kind: 'key-down' | 'key-up'; readonly code: string }
  | { readonly kind: 'button-down' | 'button-up'; readonly button: number }
  | {
      /** Keys go down round the acts that follow, up to the one at `end`, which lets go of them. */
      readonly kind: 'hold';
      readonly typed: Typed;
      readonly end: number;
    }
  | { readonly kind: 'let-go'; readonly begin: number }
  | {
      readonly kind: 'until';
      readonly window: WindowAsked;
      readonly atMostMs: number;
      readonly late: 'stop' | 'go-on';
    }
  | {
      readonly kind: 'pointer-remember' | 'pointer-back';
      /** Which place of those that are remembered. */
      readonly mark: string;
    }
  | {
      /** The person at the desk is asked, before the act that follows types what they answer. */
      readonly kind: 'ask';
      readonly questions: readonly string[];
    }
  | { readonly kind: 'menu-item'; readonly path: readonly string[] }
  | { readonly kind: 'focus'; readonly program: string; readonly launch: boolean }
  | { readonly kind: 'layer'; readonly layer: string; readonly on: boolean };

/** An act with when it comes. */
export interface TimedAct {
  /** How many milliseconds after the one before. */
  readonly wait: number;
  /** The step of the macro's own that it comes from, the innermost; of another macro inside, the step that runs that. */
  readonly step: string;
  readonly act: MacroAct;
}

/** A macro laid out in time: repeats and other macros written out, waits added up, what is left out left out. Plain JSON. */
export interface CompiledMacro {
  readonly id: string;
  /** What a round does. */
  readonly acts: readonly TimedAct[];
  /** How long a round goes on after its last act: milliseconds. */
  readonly rest: number;
  /** The least time between two things it sends: milliseconds. */
  readonly pace: number;
  /** How many rounds; null, without end, for one that runs while held or until pressed again. */
  readonly rounds: number | null;
  /** Once for each press, while it is held, or from press to press. */
  readonly run: Macro['run'];
  /** What a further press does while it runs. */
  readonly again: Macro['again'];
  /** Whether it runs on in another program. */
  readonly goesOn: boolean;
}

/** Lays a macro out. The set-up is sound: nothing is missing, no circles. */
export function compileMacro(setup: Setup, macro: Macro): CompiledMacro {
  const acts: TimedAct[] = [];
  let wait = 0;
  const add = (step: string, act: MacroAct) => {
    acts.push({ wait, step, act });
    wait = 0;
  };
  /** `own` is the step that stands for all of another macro; `mark` tells places remembered by each apart. */
  const lay = (steps: readonly MacroStep[], own: string | null, mark: string): void => {
    for (const step of steps) {
      const id = own ?? step.id;
      if (step.skipped) continue;
      if (step.kind === 'wait') wait += step.ms;
      else if (step.kind === 'repeat') for (let i = 0; i < step.times; i++) lay(step.steps, own, mark);
      else if (step.kind === 'macro') {
        const other = setup.macros.find((each) => each.id === step.macro);
        lay(other?.steps ?? [], id, `${mark}/${step.macro}`);
      } else if (isBlock(step)) {
        const begin = acts.length;
        const typed = typedAs(step.keys);
        add(id, { kind: 'hold', typed, end: begin });
        const { wait: before } = acts[begin] as TimedAct;
        lay(step.steps, own, mark);
        acts[begin] = { wait: before, step: id, act: { kind: 'hold', typed, end: acts.length } };
        add(id, { kind: 'let-go', begin });
      } else {
        const questions = step.kind === 'text' ? questionsOf(step.text) : [];
        if (questions.length > 0) add(id, { kind: 'ask', questions });
        add(id, actOf(step, mark));
      }
    }
  };
  lay(macro.steps, null, macro.id);
  const { id, run, again, goesOn, pace } = macro;
  const rounds = run === 'times' ? macro.times : null;
  return { id, acts, rest: wait, pace, rounds, run, again, goesOn };
}

/** What a step does that stands for itself. */
function actOf(
  step: Exclude<MacroStep, { kind: 'wait' | 'repeat' | 'macro' | 'hold' }>,
  mark: string,
): MacroAct {
  const { id: _id, note: _note, skipped: _skipped, ...act } = step;
  switch (act.kind) {
    case 'button':
      return { kind: `button-${act.change}`, button: act.button };
    case 'shortcut':
      return { kind: 'chord', typed: typedAs(act.shortcut) };
    case 'menu':
      return { kind: 'menu-item', path: act.path };
    case 'pointer':
      return { kind: `pointer-${act.change}`, mark };
    case 'click':
    case 'wheel': {
      const { keys, ...bare } = act;
      return keys === null ? bare : { ...bare, keys };
    }
    case 'key-down':
    case 'key-up':
    case 'text':
    case 'until':
    case 'focus':
    case 'layer':
      return act;
  }
}

/** Whether an act sends something, so that the pace of its macro counts for it. */
export function sends({ kind }: MacroAct): boolean {
  switch (kind) {
    case 'until':
    case 'ask':
    case 'layer':
      return false;
    case 'chord':
    case 'key-down':
    case 'key-up':
    case 'hold':
    case 'let-go':
    case 'button-down':
    case 'button-up':
    case 'text':
    case 'click':
    case 'wheel':
    case 'pointer-remember':
    case 'pointer-back':
    case 'menu-item':
    case 'focus':
      return true;
  }
}

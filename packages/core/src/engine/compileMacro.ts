import type { Macro, MacroStep, Setup } from '../setup/index.ts';
import { typedAs } from './compileEffect.ts';
import type { Effect, Typed } from './effect.ts';
import { fingerprintOf } from './fingerprint.ts';

/** Something a macro does at its time. */
export type MacroAct =
  | Extract<Effect, { kind: 'text' | 'click' | 'wheel' }>
  | { readonly kind: 'chord'; readonly typed: Typed }
  | { readonly kind: 'key-down' | 'key-up'; readonly code: string }
  | { readonly kind: 'button-down' | 'button-up'; readonly button: number }
  | { readonly kind: 'focus'; readonly program: string }
  | { readonly kind: 'layer'; readonly layer: string; readonly on: boolean };

/** A macro laid out in time: repeats and other macros written out, waits added up. */
export interface CompiledMacro {
  readonly id: string;
  /** What is done, and how many milliseconds after the one before. */
  readonly acts: readonly { readonly after: number; readonly act: MacroAct }[];
  /** How long a round lasts: milliseconds. */
  readonly length: number;
  /** How many rounds; null, without end, for one that runs while held or until pressed again. */
  readonly rounds: number | null;
  /** Once for each press, while it is held, or from press to press. */
  readonly run: Macro['run'];
  /** What a further press does while it runs. */
  readonly again: Macro['again'];
  /** Whether it runs on in another program. */
  readonly goesOn: boolean;
  /** The same for macros that do the same, so that a running one can be told from an edited one. */
  readonly fingerprint: string;
}

/** A round of a macro that goes round and round lasts at least this long, so that it comes to an end: ms. */
const LEAST_ROUND_MS = 10;

/** Lays a macro out. The set-up is sound: nothing is missing, no circles. */
export function compileMacro(setup: Setup, macro: Macro): CompiledMacro {
  const acts: { after: number; act: MacroAct }[] = [];
  let after = 0;
  const lay = (steps: readonly MacroStep[]): void => {
    for (const step of steps) {
      if (step.kind === 'wait') after += step.ms;
      else if (step.kind === 'repeat') for (let i = 0; i < step.times; i++) lay(step.steps);
      else if (step.kind === 'macro') lay(setup.macros.find(({ id }) => id === step.macro)?.steps ?? []);
      else acts.push({ after, act: actOf(step) });
    }
  };
  lay(macro.steps);
  const { id, run, again, goesOn } = macro;
  const endless = run !== 'times';
  const length = endless ? Math.max(after, LEAST_ROUND_MS) : after;
  const made = { id, acts, length, rounds: endless ? null : macro.times, run, again, goesOn };
  return { ...made, fingerprint: fingerprintOf(made) };
}

/** Without its id: two macros that do the same are the same. */
function actOf(step: Exclude<MacroStep, { kind: 'wait' | 'repeat' | 'macro' }>): MacroAct {
  const { id: _id, ...act } = step;
  switch (act.kind) {
    case 'button':
      return { kind: `button-${act.change}`, button: act.button };
    case 'shortcut':
      return { kind: 'chord', typed: typedAs(act.shortcut) };
    case 'key-down':
    case 'key-up':
    case 'text':
    case 'click':
    case 'wheel':
    case 'focus':
    case 'layer':
      return act;
  }
}

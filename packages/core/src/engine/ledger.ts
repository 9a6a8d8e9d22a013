import { MODIFIER_KEYS, modifierOf } from '../keys/index.ts';
import { type Run, send, withEntry, without } from './run.ts';
import type { Hold, PlainHold } from './state.ts';

/**
 * Keys and pointer buttons are counted for each program that gets them: one that is down already is not sent
 * again, and goes up with the last thing that holds it.
 */
export function ledgerKey(program: string | null, code: string): string {
  return program === null ? code : `${program} ${code}`;
}

/** Puts a key down for a program; sent only when nothing holds it yet. */
export function keyDown(run: Run, program: string | null, code: string): PlainHold {
  if (countUp(run, ledgerKey(program, code))) send(run, program, { kind: 'key-down', code });
  return { kind: 'key', program, code };
}

/** Lets a key go; sent only when nothing else holds it. */
export function keyUp(run: Run, program: string | null, code: string): void {
  if (countDown(run, ledgerKey(program, code))) send(run, program, { kind: 'key-up', code });
}

/** The same for a pointer button. */
export function buttonDown(run: Run, program: string | null, button: number): PlainHold {
  if (countUp(run, ledgerKey(program, `button-${button}`)))
    send(run, program, { kind: 'button-down', button });
  return { kind: 'button', program, button };
}

export function buttonUp(run: Run, program: string | null, button: number): void {
  if (countDown(run, ledgerKey(program, `button-${button}`)))
    send(run, program, { kind: 'button-up', button });
}

function countUp(run: Run, key: string): boolean {
  const count = run.state.down[key] ?? 0;
  run.state.down = withEntry(run.state.down, key, count + 1);
  return count === 0;
}

function countDown(run: Run, key: string): boolean {
  const count = run.state.down[key] ?? 0;
  if (count === 0) return false;
  run.state.down = count > 1 ? withEntry(run.state.down, key, count - 1) : without(run.state.down, key);
  return count === 1;
}

const MODIFIER_CODES = [...MODIFIER_KEYS.keys()];

/** Taps keys in order, up in reverse. */
export function tapKeys(run: Run, program: string | null, codes: readonly string[]): void {
  for (const code of codes) keyDown(run, program, code);
  for (const code of codes.toReversed()) keyUp(run, program, code);
}

/**
 * Does something with no other modifiers held than those of `codes` and of `own`: the others are lifted before
 * and put back after, in the order of the modifiers, so that a pedal's Shift cannot turn undo into redo.
 */
export function exactly(
  run: Run,
  program: string | null,
  codes: readonly string[],
  own: readonly Hold[],
  act: () => void,
): void {
  const wanted = new Set(codes.map(modifierOf));
  const kept = new Set(own.flatMap((hold) => (hold.kind === 'key' ? [hold.code] : [])));
  const lifted = MODIFIER_CODES.filter(
    (code) =>
      run.state.down[ledgerKey(program, code)] !== undefined &&
      !wanted.has(modifierOf(code)) &&
      !kept.has(code),
  );
  for (const code of lifted.toReversed()) send(run, program, { kind: 'key-up', code });
  act();
  for (const code of lifted) send(run, program, { kind: 'key-down', code });
}

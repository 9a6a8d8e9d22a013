import { MODIFIER_KEYS, modifierOf } from '../keys/index.ts';
import { withEntry, without } from './record.ts';
import type { Destination, Hold, PlainHold } from './state.ts';
import { type StepContext, send } from './stepContext.ts';

/**
 * Keys and pointer buttons are counted for each computer and program that gets them: one that is down already is not
 * sent again, and goes up with the last thing that holds it.
 */
function ledgerKey({ program, computer }: Destination, code: string): string {
  const here = program === null ? code : `${program} ${code}`;
  return computer === null ? here : `${computer}: ${here}`;
}

/** Puts a key down; sent only when nothing holds it yet. */
export function keyDown(context: StepContext, to: Destination, code: string): PlainHold {
  if (countUp(context, ledgerKey(to, code))) send(context, to, { kind: 'key-down', code });
  return { kind: 'key', to, code };
}

/** Lets a key go; sent only when nothing else holds it. */
export function keyUp(context: StepContext, to: Destination, code: string): void {
  if (countDown(context, ledgerKey(to, code))) send(context, to, { kind: 'key-up', code });
}

/** The same for a pointer button. */
export function buttonDown(context: StepContext, to: Destination, button: number): PlainHold {
  if (countUp(context, ledgerKey(to, `button-${button}`))) send(context, to, { kind: 'button-down', button });
  return { kind: 'button', to, button };
}

/** The other way round. */
export function buttonUp(context: StepContext, to: Destination, button: number): void {
  if (countDown(context, ledgerKey(to, `button-${button}`))) send(context, to, { kind: 'button-up', button });
}

/** Whether it goes down with this. */
function countUp(context: StepContext, key: string): boolean {
  const count = context.state.down[key] ?? 0;
  context.state.down = withEntry(context.state.down, key, count + 1);
  return count === 0;
}

/** Whether it goes up with this; one that is not down does not. */
function countDown(context: StepContext, key: string): boolean {
  const count = context.state.down[key] ?? 0;
  if (count === 0) return false;
  context.state.down =
    count > 1 ? withEntry(context.state.down, key, count - 1) : without(context.state.down, key);
  return count === 1;
}

/** The modifiers' keys, in the order in which they go down. */
const MODIFIER_CODES = [...MODIFIER_KEYS.keys()];

/** Whether anything holds it. */
function isDown({ state }: StepContext, to: Destination, code: string): boolean {
  return state.down[ledgerKey(to, code)] !== undefined;
}

/**
 * Puts a shortcut's keys down in order. Where something else holds its key already, but not its modifiers, the key is
 * lifted first: a program reads a shortcut when its key goes down, so that modifiers alone would run nothing.
 */
export function keysDown(context: StepContext, to: Destination, codes: readonly string[]): PlainHold[] {
  let modifiersMissing = false;
  for (let i = 0; i < codes.length - 1; i++) {
    if (!isDown(context, to, codes[i] as string)) modifiersMissing = true;
  }
  return putDown(context, to, codes, modifiersMissing);
}

/** `anew`: a key that is down already is lifted first and goes down after the modifiers. */
function putDown(
  context: StepContext,
  to: Destination,
  codes: readonly string[],
  anew: boolean,
): PlainHold[] {
  const key = codes.at(-1);
  const lifts = anew && key !== undefined && modifierOf(key) === null && isDown(context, to, key);
  if (lifts) send(context, to, { kind: 'key-up', code: key });
  const holds: PlainHold[] = [];
  for (const code of codes) holds.push(keyDown(context, to, code));
  if (lifts) send(context, to, { kind: 'key-down', code: key });
  return holds;
}

/** Taps a shortcut's keys, up in reverse; a key that something else holds is lifted and pressed again. */
export function tapKeys(context: StepContext, to: Destination, codes: readonly string[]): void {
  putDown(context, to, codes, true);
  for (let i = codes.length - 1; i >= 0; i--) keyUp(context, to, codes[i] as string);
}

/**
 * Does something with no other modifiers held than those of `codes` and of `own`: the others are lifted before
 * and put back after, in the order of the modifiers, so that a pedal's Shift cannot turn undo into redo.
 */
export function exactly(
  context: StepContext,
  to: Destination,
  codes: readonly string[],
  own: readonly Hold[],
  act: () => void,
): void {
  const wanted = new Set(codes.map(modifierOf));
  const kept = new Set(own.flatMap((hold) => (hold.kind === 'key' ? [hold.code] : [])));
  const lifted = MODIFIER_CODES.filter(
    (code) => isDown(context, to, code) && !wanted.has(modifierOf(code)) && !kept.has(code),
  );
  for (const code of lifted.toReversed()) send(context, to, { kind: 'key-up', code });
  act();
  for (const code of lifted) send(context, to, { kind: 'key-down', code });
}

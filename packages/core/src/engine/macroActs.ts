import { answeredText } from './ask.ts';
import { typedAs } from './compileEffect.ts';
import type { MacroAct } from './compileMacro.ts';
import { endHold } from './holds.ts';
import { layerOff, layerOn } from './layers.ts';
import { buttonDown, exactly, keyDown, keysDown, tapKeys } from './ledger.ts';
import { sendClick, sendWheel } from './pointer.ts';
import { withEntry, without } from './record.ts';
import type { Destination, MacroHold, PlainHold, Running, Using } from './state.ts';
import { nextSerial, type StepContext, send } from './stepContext.ts';
import { keysFor } from './typed.ts';

/** What a macro does at once; a hold and what it waits for decide besides where it goes on. */
type PlainAct = Exclude<MacroAct, { kind: 'hold' | 'until' | 'ask' }>;

/** Finds what a step put down by itself, so that one that lets go ends that and nothing else. */
const isKey =
  (code: string) =>
  ({ block, hold }: MacroHold) =>
    block === null && hold.kind === 'key' && hold.code === code;
const isButton =
  (button: number) =>
  ({ block, hold }: MacroHold) =>
    block === null && hold.kind === 'button' && hold.button === button;

/** Does one act; gives what the macro holds afterwards. A macro is one thing: what a step puts down it puts down once. */
export function doAct(
  context: StepContext,
  { macro, holds, owner, to, answers }: Running,
  act: PlainAct,
): readonly MacroHold[] {
  const own = holds.map(({ hold }) => hold);
  const exact = (codes: readonly string[], todo: () => void) => exactly(context, to, codes, own, todo);
  const put = (hold: PlainHold) => [...holds, { block: null, hold }];
  const release = (same: (hold: MacroHold) => boolean) => {
    const at = holds.findLastIndex(same);
    const found = holds[at];
    if (found) endHold(context, found.hold);
    return found ? holds.toSpliced(at, 1) : holds;
  };
  switch (act.kind) {
    case 'chord':
      for (const codes of keysFor(context, to, act.typed)) exact(codes, () => tapKeys(context, to, codes));
      return holds;
    case 'key-down':
      return holds.some(isKey(act.code)) ? holds : put(keyDown(context, to, act.code));
    case 'key-up':
      return release(isKey(act.code));
    case 'button-down':
      return holds.some(isButton(act.button)) ? holds : put(buttonDown(context, to, act.button));
    case 'button-up':
      return release(isButton(act.button));
    case 'let-go': {
      const inside = holds.filter(({ block }) => block === act.begin);
      for (const { hold } of inside.toReversed()) endHold(context, hold);
      return holds.filter(({ block }) => block !== act.begin);
    }
    case 'text':
      exact([], () => send(context, to, { kind: 'text', text: answeredText(act.text, answers) }));
      return holds;
    case 'click':
      exactlyWith(context, to, act.keys, exact, () => sendClick(context, to, act));
      return holds;
    case 'wheel':
      exactlyWith(context, to, act.keys, exact, () => sendWheel(context, to, act));
      return holds;
    case 'menu-item':
      exact([], () => send(context, to, { kind: 'menu-item', path: [...act.path] }));
      return holds;
    case 'pointer-remember':
    case 'pointer-back':
      send(context, to, { kind: act.kind, mark: act.mark });
      return holds;
    case 'focus':
      send(context, { ...to, program: act.program }, { kind: 'focus', launch: act.launch });
      return holds;
    case 'layer':
      setLayer(context, macro, act, owner);
      return holds;
  }
}

/** Puts the keys of a hold down, for the block that begins at an act; null where they cannot be typed. */
export function holdKeys(
  context: StepContext,
  { to }: Running,
  { typed }: Extract<MacroAct, { kind: 'hold' }>,
  block: number,
): readonly MacroHold[] | null {
  const [codes] = keysFor(context, to, typed);
  return codes ? keysDown(context, to, codes).map((hold) => ({ block, hold })) : null;
}

/** An act of the pointer with keys held: exactly those, or nothing where they cannot be typed. */
function exactlyWith(
  context: StepContext,
  to: Destination,
  keys: string | undefined,
  exact: (codes: readonly string[], todo: () => void) => void,
  act: () => void,
): void {
  if (keys === undefined) {
    exact([], act);
    return;
  }
  for (const codes of keysFor(context, to, typedAs(keys)))
    exact(codes, () => {
      const holds = keysDown(context, to, codes);
      act();
      for (const hold of holds.toReversed()) endHold(context, hold);
    });
}

/**
 * A layer set by a macro stays on until one takes it off, as if it were latched by the macro's control. Each macro keeps
 * it on for itself. One that takes it off takes back its own; one that has not set it takes it from all.
 */
function setLayer(
  context: StepContext,
  macro: string,
  { layer, on }: Extract<MacroAct, { kind: 'layer' }>,
  using: Using,
): void {
  const prefix = `layer ${layer} `;
  const own = prefix + macro;
  const { latched } = context.state;
  if (on && !latched[own]) {
    const serial = nextSerial(context);
    context.state.latched = withEntry(latched, own, { using, holds: [{ kind: 'layer', layer }], serial });
    layerOn(context, layer);
  }
  if (on) return;
  const taken = latched[own] ? [own] : Object.keys(latched).filter((key) => key.startsWith(prefix));
  for (const key of taken) {
    context.state.latched = without(context.state.latched, key);
    layerOff(context, layer);
  }
}

import { type Chords, chordsOf, type KeysBy, type Layout, type NoKey } from '../keys/layouts/index.ts';
import type { Result } from '../result.ts';
import type { Compiled } from './compile.ts';
import { typedBy } from './compileEffect.ts';
import { programAt } from './destination.ts';
import type { Typed } from './effect.ts';
import { keyboardOf } from './keyboards.ts';
import type { Destination } from './state.ts';
import type { StepContext } from './stepContext.ts';

/** Nothing to press. */
const NONE: Chords = [];

/**
 * The keys that make who gets it read a shortcut: by the layout of the computer and by what the program goes by. What
 * cannot be typed there is said, and comes to no keys at all.
 */
export function keysFor(context: StepContext, to: Destination, typed: Typed): Chords {
  const { compiled, state } = context;
  const layout = keyboardOf(compiled.keyboards, to.computer);
  const program = to.program ?? programAt(state, to.computer);
  const reads = program !== null && compiled.readsPlaces.has(program) ? 'place' : 'character';
  const shortcut = typed.onLayout[layout.id] ?? typed.shortcut;
  const found = chordsOn(compiled, layout, typed.keysBy ?? reads, shortcut);
  if (found.ok) return found.value;
  context.changes.push({ kind: 'no-key', shortcut, missing: found.problem, layout: layout.name });
  return NONE;
}

/** The command of an intent that the program has that gets it, as what is typed; null, and said, where it has none. */
export function typedOfIntent(context: StepContext, to: Destination, intent: string): Typed | null {
  const program = to.program ?? programAt(context.state, to.computer);
  const command = program === null ? undefined : context.compiled.intents.get(program)?.get(intent);
  if (command) return typedBy(command);
  context.changes.push({ kind: 'no-intent', intent, program });
  return null;
}

/** The keys of shortcuts one after the other; none where one of them cannot be typed: half of it would do harm. */
export function keysForAll(context: StepContext, to: Destination, all: readonly Typed[]): Chords {
  const chords = all.map((typed) => keysFor(context, to, typed));
  return chords.some((each) => each.length === 0) ? NONE : chords.flat();
}

/** Found once for each layout and shortcut. */
function chordsOn(
  { memo }: Compiled,
  layout: Layout,
  keysBy: KeysBy,
  shortcut: string,
): Result<Chords, NoKey> {
  const key = `${layout.id} ${keysBy} ${shortcut}`;
  const before = memo.keys.get(key);
  if (before) return before;
  const found = chordsOf(shortcut, layout, keysBy);
  memo.keys.set(key, found);
  return found;
}

import { type Compiled, compile, INITIAL_STATE, step } from '@nimble-lever/core/engine';
import { chordsOf, type Layout } from '@nimble-lever/core/keys/layouts';
import { resolveProfile } from '@nimble-lever/core/resolve';
import { acting, applyEdit, type Edit, everyShortcut, itemAt, type Setup } from '@nimble-lever/core/setup';
import { type Times, timed } from './times.ts';

/** A window each program's rules must be asked about, its title never the same twice. */
function windowAt(i: number) {
  return { executable: `other-${i}`, class: 'none', title: `program-${i % 199}: shot ${100 + (i % 900)}` };
}

/** Deciding the profile of a window through all rules, and the whole event with it. */
export function timeFront(setup: Setup, count: number): { decide: Times; event: Times } {
  const compiled = compile(setup);
  const decide = timed(count, (i) => resolveProfile(compiled.rules, windowAt(i), null));
  let state = INITIAL_STATE;
  const event = timed(count, (i) => {
    state = step(compiled, state, { kind: 'front', t: i, window: windowAt(i) }).state;
  });
  return { decide, event };
}

/** Compiling a set-up anew. */
export function timeCompile(setup: Setup, count: number): Times {
  return timed(count, () => compile(setup));
}

/** Compiling after one edit of a binding, from what was compiled before. */
export function timeRecompile(setup: Setup, count: number): Times {
  let current = setup;
  let compiled: Compiled = compile(setup);
  const edited = Array.from({ length: 2 * count + 2 }, (_, i) => {
    const place = { profile: `program-${i % 199}`, layer: 'base', device: 'pad-0', control: 'key-1' };
    const at = itemAt.binding({ ...place, trigger: 'press' });
    const behaviour = acting({ kind: 'shortcut', shortcut: 'B' }, 'tap');
    const edit: Edit = i % 2 === 0 ? { kind: 'set', at, fields: { behaviour } } : { kind: 'remove', at };
    const applied = applyEdit(current, edit);
    if (!applied.ok) throw new Error(applied.problem.code);
    current = applied.value.setup;
    return current;
  });
  let next = 0;
  return timed(count, () => {
    const setupNow = edited[next];
    next += 1;
    if (setupNow) compiled = compile(setupNow, compiled);
  });
}

/**
 * A change of the keyboard's layout: compiling for it, and finding the keys of every shortcut of the set-up on it, which is
 * otherwise done as each is first sent.
 */
export function timeLayoutChange(
  setup: Setup,
  layouts: readonly [Layout, Layout],
  count: number,
): { compiling: Times; resolving: Times; shortcuts: number } {
  let compiled: Compiled = compile(setup);
  const compiling = timed(count, (i) => {
    const here = layouts[i % 2 === 0 ? 0 : 1];
    compiled = compile(setup, compiled, { here, elsewhere: new Map() });
  });
  const shortcuts = everyShortcut(setup);
  const resolving = timed(count, (i) => {
    const layout = layouts[i % 2 === 0 ? 0 : 1];
    for (const { shortcut, keysBy } of shortcuts) chordsOf(shortcut, layout, keysBy);
  });
  return { compiling, resolving, shortcuts: shortcuts.length };
}

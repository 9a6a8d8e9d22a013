import { formatSteps, parseSteps, type Shortcut } from '../../keys/index.ts';
import { type Layout, meaningOf, resolveShortcut } from '../../keys/layouts/index.ts';
import type { SingleEdit } from '../edits/edit.ts';
import type { Setup } from '../setup.ts';
import { everyShortcut } from './everyShortcut.ts';

/**
 * The edits that read the shortcuts of an older version anew, as made on a keyboard of this layout. That version kept the
 * places of keys, which were read as the characters a United States keyboard has there; programs that read places mean
 * those anyway.
 */
export function readAsMadeOn(setup: Setup, layout: Layout): readonly SingleEdit[] {
  const changed = everyShortcut(setup).flatMap(({ shortcut, keysBy, replace }) => {
    const steps = parseSteps(shortcut);
    if (keysBy === 'place' || !steps.ok) return [];
    const anew = formatSteps(steps.value.map((step) => madeOn(step, layout)));
    return anew === shortcut ? [] : [replace(anew)];
  });
  return [...changed, { kind: 'set', at: '', fields: { madeOn: layout.id } }];
}

/** What the keys of a United States shortcut mean on another layout. */
function madeOn(step: Shortcut, layout: Layout): Shortcut {
  if (step.key?.kind !== 'character') return step;
  const keys = resolveShortcut(step, layout, 'place');
  const code = keys.ok ? keys.value.codes.at(-1) : undefined;
  if (!keys.ok || code === undefined) return step;
  const shift = step.shift || keys.value.codes.includes('ShiftLeft');
  const { key: _key, ...held } = step;
  return meaningOf({ code, value: null, held: { ...held, shift } }, layout, 'character');
}

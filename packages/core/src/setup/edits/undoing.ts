import type { Setup } from '../setup.ts';
import { parseAddress } from './address.ts';
import { Draft } from './draft.ts';
import { type Edit, partsOf, type SingleEdit, together } from './edit.ts';
import { sameJson } from './sameJson.ts';

/**
 * The edit that takes an earlier one back now. Fields that someone has changed since are left as they are; null where
 * nothing of the earlier edit is left to take back.
 */
export function undoingEdit(setup: Setup, edit: Edit, inverse: Edit): Edit | null {
  const given = new Map<string, unknown>();
  for (const part of partsOf(edit)) {
    if (part.kind !== 'set') continue;
    for (const [path, value] of Object.entries(part.fields)) given.set(`${part.at} ${path}`, value);
  }
  const draft = new Draft(setup);
  const parts = partsOf(inverse).flatMap((part): SingleEdit[] => {
    if (part.kind !== 'set') return [part];
    const item = draft.find(parseAddress(part.at)?.steps ?? []);
    const fields = Object.entries(part.fields).filter(([path]) => {
      const key = `${part.at} ${path}`;
      return !item || !given.has(key) || sameJson(fieldOf(item, path), given.get(key));
    });
    return fields.length > 0 ? [{ ...part, fields: Object.fromEntries(fields) }] : [];
  });
  return parts.length > 0 || partsOf(inverse).length === 0 ? together(parts) : null;
}

/** What a field holds now; undefined where it is not there. */
export function fieldOf(item: unknown, path: string): unknown {
  let value: unknown = item;
  for (const name of path.split('.')) {
    if (typeof value !== 'object' || value === null) return path.startsWith('face.') ? null : undefined;
    value = (value as { [name: string]: unknown })[name];
  }
  return value;
}

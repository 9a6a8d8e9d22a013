import { z } from 'zod';
import type { ItemKind } from '../itemKinds.ts';
import { shapeOf } from './items.ts';

/** Fields whose parts make sense only together: they are set as a whole. */
const WHOLE: ReadonlySet<string> = new Set([
  'action',
  'sends',
  'message',
  'shape',
  'cap',
  'native',
  'executable',
  'class',
  'title',
  'stored',
  'onLayout',
  'keyboards',
  'picture',
  'area',
  'grid',
]);

/** Whether a field is set as a whole, never part by part. */
export function isWhole(name: string): boolean {
  return WHOLE.has(name);
}

/** Schemas of fields by item and path, found once. */
const found = new Map<string, z.ZodType | null>();

/**
 * The schema of a field of an item, by its path with dots (`settings.wheel.lines`); null where no such field can
 * be set. An id is never set.
 */
export function fieldSchema(kind: ItemKind, path: string): z.ZodType | null {
  const key = `${kind} ${path}`;
  const before = found.get(key);
  if (before !== undefined) return before;
  const made = path === 'id' ? null : walk(shapeOf(kind).own, path.split('.'));
  found.set(key, made);
  return made;
}

/** Fields are named by the schema itself: one that is added can be set at once. */
function walk(schema: z.ZodType, names: readonly string[]): z.ZodType | null {
  const [name, ...rest] = names;
  if (name === undefined) return schema;
  const next = fieldsNamed(schema, name);
  if (rest.length > 0 && isWhole(name)) return null;
  const inner = next.flatMap((each) => walk(each, rest) ?? []);
  const [first, ...others] = inner;
  if (!first) return null;
  return others.length === 0 ? first : z.union([first, ...others]);
}

/** What a field may be in any of the shapes a schema allows. */
function fieldsNamed(schema: z.ZodType, name: string): readonly z.ZodType[] {
  if (schema instanceof z.ZodNullable || schema instanceof z.ZodOptional || schema instanceof z.ZodDefault) {
    return fieldsNamed(schema.def.innerType as z.ZodType, name);
  }
  if (schema instanceof z.ZodUnion) {
    const options = schema.options as readonly z.ZodType[];
    return [...new Set(options.flatMap((option) => fieldsNamed(option, name)))];
  }
  if (!(schema instanceof z.ZodObject)) return [];
  const own = Object.hasOwn(schema.shape, name) ? (schema.shape[name] as z.ZodType) : undefined;
  return own && !(own instanceof z.ZodLiteral) ? [own] : [];
}

import { z } from 'zod';
import { because, idSchema } from '../../devices/index.ts';
import { stepSchemaAt } from '../macro.ts';
import { addressSchema, itemAddressSchema, type ParsedAddress, parseAddress } from './address.ts';
import { fieldSchema } from './fields.ts';
import { shapeOf } from './items.ts';

/** The version of edits as they are sent and kept. Older ones are brought up to date by `upcastPair` and `upcastPair2`. */
export const EDIT_FORMAT = 3;

/** The most fields one edit sets, and the most edits that apply as one. */
const MOST_FIELDS = 100;
/** Enough to copy a device into every profile; more would not fit into a request. */
export const MOST_TOGETHER = 50_000;

/** Paths and values. Whether they fit the item is decided where it is known which item it is. */
const fieldsSchema = z
  .record(z.string().max(120), z.unknown())
  .refine((fields) => Object.keys(fields).length <= MOST_FIELDS, because('too-many-fields'));

/** Changes fields of an item, each by its path. A binding that is not there yet is made by its behaviour. */
const setSchema = z
  .strictObject({ kind: z.literal('set'), at: addressSchema, fields: fieldsSchema })
  .check((context) => {
    const { at, fields } = context.value;
    const kind = parseAddress(at)?.kind;
    if (!kind) return;
    const read: Record<string, unknown> = {};
    for (const [path, value] of Object.entries(fields)) {
      const schema = fieldSchema(kind, path);
      if (!schema) {
        const params = { code: 'no-such-field', field: path };
        context.issues.push({ code: 'custom', input: value, path: ['fields', path], params });
        continue;
      }
      const parsed = schema.safeParse(value);
      if (parsed.success) read[path] = parsed.data;
      else pass(context.issues, parsed.error.issues, ['fields', path]);
    }
    context.value = { ...context.value, fields: read };
  });

/** Adds an item with all that is in it, after another of its list; null puts it first. */
const addSchema = z
  .strictObject({
    kind: z.literal('add'),
    at: itemAddressSchema,
    item: z.unknown(),
    after: idSchema.nullable(),
  })
  .check((context) => {
    const { at, item } = context.value;
    const address = parseAddress(at);
    const last = address?.steps.at(-1);
    if (!address || !last || last.list.of === 'binding') {
      context.issues.push({ code: 'custom', input: at, path: ['at'], params: { code: 'not-added' } });
      return;
    }
    const schema = wholeSchemaAt(address);
    if (!schema) {
      context.issues.push({ code: 'custom', input: at, path: ['at'], params: { code: 'steps-too-deep' } });
      return;
    }
    const parsed = schema.safeParse(item);
    if (!parsed.success) return pass(context.issues, parsed.error.issues, ['item']);
    if ((parsed.data as { id?: unknown }).id !== last.id) {
      context.issues.push({
        code: 'custom',
        input: item,
        path: ['item', 'id'],
        params: { code: 'other-id' },
      });
      return;
    }
    context.value = { ...context.value, item: parsed.data };
  });

/** The schema of a whole item at an address; null for a step that would stand too deep. */
function wholeSchemaAt({ kind, steps }: ParsedAddress): z.ZodType | null {
  return kind === 'step' ? stepSchemaAt(steps.length - 1) : shapeOf(kind).whole;
}

/** Passes on what another schema found, under a path. */
function pass(
  issues: z.core.$ZodRawIssue[],
  found: readonly z.core.$ZodIssue[],
  path: readonly PropertyKey[],
): void {
  for (const issue of found) {
    const { message: _message, ...rest } = issue;
    issues.push({ ...rest, input: undefined, path: [...path, ...issue.path] } as z.core.$ZodRawIssue);
  }
}

/** Removes an item with all that is in it and all that is bound to it. */
const removeSchema = z.strictObject({ kind: z.literal('remove'), at: itemAddressSchema });

/** Puts an item after another of its list; null puts it first. */
const moveSchema = z.strictObject({
  kind: z.literal('move'),
  at: itemAddressSchema,
  after: idSchema.nullable(),
});

/** A change of one item. */
export const singleEditSchema = z.discriminatedUnion('kind', [
  setSchema,
  addSchema,
  removeSchema,
  moveSchema,
]);
/** One change of one item. */
export type SingleEdit = z.infer<typeof singleEditSchema>;
/** A change of fields. */
export type SetEdit = Extract<SingleEdit, { kind: 'set' }>;

/**
 * One change to a set-up, which names what it changes and nothing else. `together` holds changes that apply, and are
 * undone, as one; an empty one changes nothing.
 */
export const editSchema = z.discriminatedUnion('kind', [
  setSchema,
  addSchema,
  removeSchema,
  moveSchema,
  z.strictObject({ kind: z.literal('together'), edits: z.array(singleEditSchema).max(MOST_TOGETHER) }),
]);
/** What a person does at once: one change, or several that are undone together. */
export type Edit = z.infer<typeof editSchema>;

/** The single edits an edit comes to. */
export function partsOf(edit: Edit): readonly SingleEdit[] {
  return edit.kind === 'together' ? edit.edits : [edit];
}

/** Several edits as one. */
export function together(edits: readonly SingleEdit[]): Edit {
  const [only] = edits;
  return edits.length === 1 && only ? only : { kind: 'together', edits: [...edits] };
}

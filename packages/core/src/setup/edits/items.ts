import type { z } from 'zod';
import { controlSchema, deviceSchema } from '../../devices/index.ts';
import { bindingSchema } from '../binding.ts';
import type { ItemKind } from '../itemKinds.ts';
import { macroSchema, ownStepSchema, stepSchema } from '../macro.ts';
import { pageSchema } from '../page.ts';
import { radialItemSchema, radialMenuSchema } from '../radialMenu.ts';
import { ruleSchema } from '../rule.ts';
import {
  commandSchema,
  type LIMITS,
  layerSchema,
  type Profile,
  profileSchema,
  programSchema,
  setupSchema,
} from '../setup.ts';
import { unreadablePartSchema } from '../unreadable.ts';

/** A list of items inside another item. A record holds them by id, or bindings by slot key. */
export interface ItemList {
  readonly of: ItemKind;
  /** A list in an order, or things by their ids. */
  readonly as: 'array' | 'record';
  /** The limit on how many there may be; null where another one bounds it. */
  readonly limit: keyof typeof LIMITS | null;
}

/** What a kind of item is made of: its own fields, and the lists of items in it. */
export interface ItemShape {
  /** The item with everything in it. */
  readonly whole: z.ZodType;
  /** The item's own fields, without its lists. */
  readonly own: z.ZodType;
  readonly lists: Readonly<Record<string, ItemList>>;
}

/** A list of items of one kind, with its limit. */
const array = (of: ItemKind, limit: ItemList['limit']): ItemList => ({ of, as: 'array', limit });

/** What a set-up is made of: every kind of item, its fields and the lists of items inside it. */
export const ITEMS = {
  setup: {
    whole: setupSchema,
    own: setupSchema.pick({ name: true, keyboards: true, madeOn: true }),
    lists: {
      devices: array('device', 'devices'),
      commonCommands: array('command', 'commands'),
      programs: array('program', 'programs'),
      layers: array('layer', 'layers'),
      pages: array('page', 'pages'),
      profiles: { of: 'profile', as: 'record', limit: null },
      macros: array('macro', 'macros'),
      radialMenus: array('radial-menu', 'radialMenus'),
      unreadable: array('unreadable', null),
    },
  },
  device: {
    whole: deviceSchema,
    own: deviceSchema.omit({ controls: true }),
    lists: { controls: array('control', 'controls') },
  },
  control: { whole: controlSchema, own: controlSchema, lists: {} },
  program: {
    whole: programSchema,
    own: programSchema.omit({ rules: true, commands: true }),
    lists: { rules: array('rule', 'rules'), commands: array('command', 'commands') },
  },
  command: { whole: commandSchema, own: commandSchema, lists: {} },
  rule: { whole: ruleSchema, own: ruleSchema, lists: {} },
  layer: { whole: layerSchema, own: layerSchema, lists: {} },
  page: { whole: pageSchema, own: pageSchema, lists: {} },
  profile: {
    whole: profileSchema,
    own: profileSchema.omit({ rules: true, bindings: true }),
    lists: {
      rules: array('rule', 'rules'),
      bindings: { of: 'binding', as: 'record', limit: 'bindingsOfProfile' },
    },
  },
  binding: { whole: bindingSchema, own: bindingSchema, lists: {} },
  macro: {
    whole: macroSchema,
    own: macroSchema.omit({ steps: true }),
    lists: { steps: array('step', 'steps') },
  },
  step: { whole: stepSchema, own: ownStepSchema, lists: { steps: array('step', 'steps') } },
  'radial-menu': {
    whole: radialMenuSchema,
    own: radialMenuSchema.omit({ items: true }),
    lists: { items: array('radial-item', 'radialItems') },
  },
  'radial-item': { whole: radialItemSchema, own: radialItemSchema, lists: {} },
  unreadable: { whole: unreadablePartSchema, own: unreadablePartSchema, lists: {} },
} as const satisfies Record<ItemKind, ItemShape>;

/** The shape of a kind of item, with its lists by name. */
export function shapeOf(kind: ItemKind): ItemShape {
  return ITEMS[kind];
}

/** An item as plain data: what an address leads to. */
export type Item = { readonly [field: string]: unknown };

/** The items of a list, in order, with their ids. */
export function itemsIn(list: ItemList, held: unknown): readonly (readonly [id: string, item: Item])[] {
  if (list.as === 'record') return Object.entries((held ?? {}) as Profile['bindings']);
  return ((held ?? []) as readonly (Item & { id: string })[]).map((item) => [item.id, item]);
}

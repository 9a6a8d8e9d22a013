/** The kinds of items an edit can be about. */
export const ITEM_KINDS = [
  'setup',
  'device',
  'control',
  'program',
  'command',
  'rule',
  'layer',
  'page',
  'profile',
  'binding',
  'macro',
  'step',
  'radial-menu',
  'radial-item',
  'unreadable',
] as const;
/** A kind of thing that edits speak of. */
export type ItemKind = (typeof ITEM_KINDS)[number];

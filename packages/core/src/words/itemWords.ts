import type { ItemKind } from '../setup/index.ts';

/** What kinds of items are called. */
export const ITEM_WORDS: Readonly<Record<ItemKind, string>> = {
  setup: 'set-up',
  device: 'device',
  control: 'control',
  program: 'program',
  command: 'command',
  rule: 'rule',
  layer: 'layer',
  page: 'page',
  profile: 'profile',
  binding: 'binding',
  macro: 'macro',
  step: 'step',
  'radial-menu': 'radial menu',
  'radial-item': 'item',
  unreadable: 'part that cannot be read',
};

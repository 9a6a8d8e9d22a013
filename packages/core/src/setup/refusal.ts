import type { Trigger } from '../devices/index.ts';
import type { PressStyle } from './binding.ts';
import type { ItemKind } from './itemKinds.ts';
import type { PageKind } from './page.ts';

/** Why an edit was not applied, or what is wrong with a set-up: a code with its facts. */
export type Refusal =
  | { readonly code: 'unknown-profile'; readonly profile: string }
  | { readonly code: 'unknown-layer'; readonly layer: string }
  | { readonly code: 'unknown-page'; readonly page: string }
  /** A folder that was to be chosen, or a set that was to be opened. */
  | { readonly code: 'page-kind'; readonly page: string; readonly kind: PageKind }
  | { readonly code: 'page-of-other-device'; readonly page: string }
  /** What a page is, or which device it is of, stays. */
  | { readonly code: 'page-fixed'; readonly page: string }
  | { readonly code: 'set-within'; readonly page: string }
  | { readonly code: 'page-base-circle'; readonly page: string }
  | { readonly code: 'pages-based-on'; readonly page: string; readonly others: readonly string[] }
  | { readonly code: 'folder-circle'; readonly page: string }
  | { readonly code: 'too-deep'; readonly page: string; readonly limit: number }
  | { readonly code: 'cell-outside'; readonly cell: string }
  | { readonly code: 'cells-overlap'; readonly cell: string; readonly other: string }
  | { readonly code: 'unknown-device'; readonly device: string }
  | { readonly code: 'unknown-control'; readonly device: string; readonly control: string }
  | {
      readonly code: 'control-lacks-trigger';
      readonly device: string;
      readonly control: string;
      readonly trigger: Trigger;
    }
  | { readonly code: 'unknown-command'; readonly command: string; readonly profile: string }
  | { readonly code: 'style-needs-release'; readonly style: PressStyle; readonly trigger: Trigger }
  | { readonly code: 'unknown-program'; readonly program: string }
  | { readonly code: 'unknown-macro'; readonly macro: string }
  | { readonly code: 'unknown-radial-menu'; readonly menu: string }
  | { readonly code: 'macro-circle'; readonly macro: string }
  | { readonly code: 'macro-too-long'; readonly macro: string; readonly limit: number }
  | { readonly code: 'guard-needs-press'; readonly trigger: Trigger }
  | { readonly code: 'slide-needs-message' }
  | { readonly code: 'still-used'; readonly name: string }
  | { readonly code: 'nothing-set'; readonly control: string; readonly profile: string }
  | { readonly code: 'id-taken'; readonly id: string }
  | { readonly code: 'name-taken'; readonly name: string }
  | {
      readonly code: 'too-many';
      readonly what: keyof typeof import('./setup.ts').LIMITS;
      readonly limit: number;
    }
  | { readonly code: 'others-based-on'; readonly profile: string; readonly others: readonly string[] }
  | { readonly code: 'based-on-circle'; readonly profile: string }
  | { readonly code: 'bad-slot-key'; readonly profile: string; readonly key: string }
  | { readonly code: 'profile-of-other-program'; readonly profile: string }
  | { readonly code: 'item-gone'; readonly item: ItemKind; readonly id: string }
  | { readonly code: 'field-gone'; readonly item: ItemKind; readonly field: string }
  | { readonly code: 'fields-clash'; readonly item: ItemKind; readonly fields: readonly string[] }
  | { readonly code: 'last-one'; readonly item: ItemKind }
  | { readonly code: 'order-fixed'; readonly item: ItemKind }
  /** An undo of what is undone already, or a redo of what is not. */
  | { readonly code: 'turned-already' }
  | { readonly code: 'entry-unknown' }
  | { readonly code: 'changed-since' }
  | { readonly code: 'everywhere-missing' }
  | { readonly code: 'everywhere-based' }
  | { readonly code: 'base-layer-missing' };

import type { RowPlace, Slot } from '@nimble-lever/core/setup';

/** What is to be copied, before it is said where to. */
export type CopyFrom =
  | { readonly what: 'cell'; readonly from: Slot; readonly name: string }
  | { readonly what: 'row'; readonly layer: string; readonly from: RowPlace; readonly name: string }
  | { readonly what: 'device'; readonly from: string; readonly name: string }
  | { readonly what: 'column'; readonly from: string; readonly name: string };

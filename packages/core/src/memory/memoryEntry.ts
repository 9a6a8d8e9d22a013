import type { Trigger } from '../devices/index.ts';

/** What a control does by its device's own memory: nothing that needs time, layers or a computer's help. */
export type MemoryDoes =
  | { readonly kind: 'keys'; readonly held: boolean; readonly codes: readonly string[] }
  /** Chords one after another. */
  | { readonly kind: 'steps'; readonly chords: readonly (readonly string[])[] }
  | { readonly kind: 'button'; readonly held: boolean; readonly button: number }
  | { readonly kind: 'wheel'; readonly ticks: number; readonly axis: 'vertical' | 'horizontal' }
  | { readonly kind: 'nothing' };

/** One control's trigger in a device's memory. */
export interface MemoryEntry {
  readonly control: string;
  readonly trigger: Trigger;
  readonly does: MemoryDoes;
}

/** What a device's memory holds. */
export interface Memory {
  /** The layout whose keys were chosen, by its id: on another one they mean something else. Null where it is not known. */
  readonly layout: string | null;
  readonly entries: readonly MemoryEntry[];
}

/** Why something cannot be kept in a device's memory. */
export type MemoryReason =
  | 'trigger'
  | 'style'
  | 'guard'
  | 'target'
  | 'heard-by'
  | 'waits'
  | 'macro'
  | 'text'
  | 'radial'
  | 'show'
  | 'program'
  | 'profile'
  | 'layer'
  | 'page'
  | 'message'
  | 'pointer'
  | 'key'
  | 'no-key'
  | 'intent'
  | 'full';

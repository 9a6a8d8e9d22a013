import { ok, type Result, refuse } from '../../result.ts';
import type { Layout, Press } from './layout.ts';
import { waysOf } from './ways.ts';

/** A character that a keyboard cannot type, and where it stands (from 0, in characters). */
export interface Untypeable {
  readonly character: string;
  /** Character from the start of the text. */
  readonly at: number;
}

/** Characters that have a key of their own on every layout. */
const CONTROLS: Readonly<Record<string, string>> = { '\n': 'Enter', '\t': 'Tab' };

/** The presses that type a text on a layout, easiest first; the first character it lacks is told. */
export function typeText(layout: Layout, text: string): Result<readonly Press[], Untypeable> {
  const presses: Press[] = [];
  const ways = waysOf(layout);
  for (const [at, character] of Array.from(text.normalize('NFC')).entries()) {
    const code = CONTROLS[character];
    const way = code ? [{ code, shift: false, altGr: false }] : ways.get(character)?.[0];
    if (!way) return refuse({ character, at });
    presses.push(...way);
  }
  return ok(presses);
}

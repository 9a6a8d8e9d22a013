import type { Stroke } from '../engine/index.ts';
import { formatShortcut, legendOf, modifierOf } from '../keys/index.ts';
import { type KeysBy, type Layout, shortcutOf, US_LAYOUT } from '../keys/layouts/index.ts';
import { buttonName } from './actions.ts';
import { tidy } from './numbers.ts';

/** What was sent, as people read it: a chord of keys, wheel ticks or a pointer button, and how often in a row. */
export interface Sent {
  /** Our shortcut notation where it is one, else words. */
  readonly text: string;
  /** How many times in a row. */
  readonly count: number;
}

/**
 * Puts strokes together: keys that go down together are one chord, called what it means to a program that goes by
 * characters of the keyboard's layout, or by places; the same in a row is counted.
 */
export function sentOf(
  strokes: readonly Stroke[],
  layout: Layout = US_LAYOUT,
  keysBy: KeysBy = 'character',
): readonly Sent[] {
  const texts: string[] = [];
  let chord: string[] = [];
  const endChord = () => {
    if (chord.length > 0) texts.push(chordText(chord, layout, keysBy));
    chord = [];
  };
  for (const stroke of strokes) {
    if (stroke.kind === 'key-down') chord.push(stroke.code);
    else endChord();
    texts.push(...textOf(stroke));
  }
  endChord();
  return counted(texts);
}

/** What came up that these strokes had not put down themselves: the end of a latch, a key let go of. */
export function cameUpOf(
  strokes: readonly Stroke[],
  layout: Layout = US_LAYOUT,
  keysBy: KeysBy = 'character',
): readonly Sent[] {
  const down = new Set<string>();
  const up: string[] = [];
  const texts: string[] = [];
  for (const stroke of strokes) {
    if (stroke.kind === 'key-down') down.add(stroke.code);
    if (stroke.kind === 'key-up' && !down.delete(stroke.code)) up.push(stroke.code);
    if (stroke.kind === 'button-down') down.add(`button ${stroke.button}`);
    if (stroke.kind === 'button-up' && !down.delete(`button ${stroke.button}`)) {
      texts.push(buttonName(stroke.button));
    }
  }
  // Keys come up in the opposite order; a chord is called as it went down.
  return counted(up.length > 0 ? [chordText(up.toReversed(), layout, keysBy), ...texts] : texts);
}

/** The arrow of wheel ticks. */
export function wheelText(ticks: number, axis: 'vertical' | 'horizontal'): string {
  if (axis === 'vertical') return ticks > 0 ? 'Wheel ↑' : 'Wheel ↓';
  return ticks > 0 ? 'Wheel →' : 'Wheel ←';
}

/** A stroke in a few characters. Ups are left out: what went down is told, and comes up. */
function textOf(stroke: Stroke): string[] {
  switch (stroke.kind) {
    case 'wheel':
      return [wheelText(stroke.ticks, stroke.axis)];
    // Only what goes down is told.
    case 'button-down':
      return [buttonName(stroke.button)];
    case 'text':
      return [`“${stroke.text}”`];
    case 'pointer-move':
      return [`Pointer to ${stroke.to.x}, ${stroke.to.y}`];
    case 'pointer-remember':
      return [];
    case 'pointer-back':
      return ['Pointer back'];
    case 'menu-item':
      return [menuText(stroke.path)];
    case 'focus':
      return [`To ${stroke.program}`];
    case 'message':
      return [messageText(stroke)];
    case 'key-down':
    case 'key-up':
    case 'button-up':
      return [];
  }
}

/** An item of a menu, from the menu down: `Window › Colours`. */
export function menuText(path: readonly string[]): string {
  return path.join(' › ');
}

/** A message with its value. */
function messageText({ message, value }: Extract<Stroke, { kind: 'message' }>): string {
  if (message.protocol === 'osc') return `${message.address} ${tidy(value)}`;
  return `MIDI ${message.channel} controller ${message.controller} ${value}`;
}

/** The same in a row is one with a number: a turned dial would fill the list. */
function counted(texts: readonly string[]): readonly Sent[] {
  const sent: Sent[] = [];
  for (const text of texts) {
    const last = sent.at(-1);
    if (last?.text === text) sent[sent.length - 1] = { text, count: last.count + 1 };
    else sent.push({ text, count: 1 });
  }
  return sent;
}

/** Keys that were down together; two that are no modifiers are no shortcut. */
function chordText(codes: readonly string[], layout: Layout, keysBy: KeysBy): string {
  const keys = codes.filter((code) => modifierOf(code) === null);
  if (keys.length > 1) return codes.map((code) => legendOf(code, 'linux', layout.legends)).join('+');
  return formatShortcut(shortcutOf(codes, layout, keysBy));
}

import type { Stroke } from '../engine/index.ts';
import { formatShortcut, legendOf, modifierOf } from '../keys/index.ts';

/** What was sent, as people read it: a chord of keys, wheel ticks or a pointer button, and how often in a row. */
export interface Sent {
  /** Our shortcut notation where it is one, else words. */
  readonly text: string;
  readonly count: number;
}

/** Puts strokes together: keys that go down together are one chord; the same in a row is counted. */
export function sentOf(strokes: readonly Stroke[]): readonly Sent[] {
  const texts: string[] = [];
  let chord: string[] = [];
  const endChord = () => {
    if (chord.length > 0) texts.push(chordText(chord));
    chord = [];
  };
  for (const stroke of strokes) {
    if (stroke.kind === 'key-down') chord.push(stroke.code);
    else endChord();
    if (stroke.kind === 'wheel') texts.push(stroke.ticks > 0 ? 'Wheel ↑' : 'Wheel ↓');
    if (stroke.kind === 'button-down') texts.push(`Mouse button ${stroke.button + 1}`);
  }
  endChord();
  return counted(texts);
}

function counted(texts: readonly string[]): readonly Sent[] {
  const sent: Sent[] = [];
  for (const text of texts) {
    const last = sent.at(-1);
    if (last?.text === text) sent[sent.length - 1] = { text, count: last.count + 1 };
    else sent.push({ text, count: 1 });
  }
  return sent;
}

function chordText(codes: readonly string[]): string {
  const keys = codes.filter((code) => modifierOf(code) === null);
  if (keys.length > 1) return codes.map(legendOf).join('+');
  const has = (name: string) => codes.some((code) => modifierOf(code) === name);
  return formatShortcut({
    ctrl: has('ctrl'),
    shift: has('shift'),
    alt: has('alt'),
    meta: has('meta'),
    code: keys[0] ?? null,
  });
}

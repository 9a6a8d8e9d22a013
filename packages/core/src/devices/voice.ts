import { type Control, controlOf } from './control.ts';
import { type Device, deviceOf } from './device.ts';
import { freeId } from './freeId.ts';
import { cutName } from './names.ts';

/** Phrases stand one below the other: millimetres from one to the next. */
const PITCH = 24;

/** Phrases are drawn as lines of text, one under the other. */
function phraseAt(id: string, phrase: string, index: number): Control {
  return controlOf({
    id,
    name: cutName(phrase),
    kind: 'phrase',
    shape: { kind: 'rect', x: 2, y: 2 + index * PITCH, width: 116, height: 20, radius: 10 },
    canPress: false,
    phrase,
  });
}

/** Spoken phrases, a control each. */
export function voice(id: string, phrases: readonly string[], name = 'Voice'): Device {
  return deviceOf({
    id,
    name,
    kind: 'voice',
    width: 120,
    height: Math.max(PITCH, phrases.length * PITCH),
    controls: phrases.map((phrase, index) => phraseAt(`phrase-${index + 1}`, phrase, index)),
  });
}

/** A voice with one phrase more, below the others. */
export function addPhrase(device: Device, phrase: string): Device {
  const { controls } = device;
  const id = freeId('phrase', new Set(controls.map((control) => control.id)), 'phrase');
  const next = [...controls, phraseAt(id, phrase, controls.length)];
  return { ...device, height: Math.max(device.height, next.length * PITCH), controls: next };
}

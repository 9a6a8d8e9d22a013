import { controlOf } from './control.ts';
import { type Device, USUAL_SETTINGS } from './device.ts';

/** Spoken phrases, a control each. */
export function voice(id: string, phrases: readonly string[], name = 'Voice'): Device {
  return {
    id,
    name,
    kind: 'voice',
    width: 120,
    height: Math.max(24, phrases.length * 24),
    body: [],
    controls: phrases.map((phrase, index) =>
      controlOf({
        id: `phrase-${index + 1}`,
        name: phrase,
        kind: 'phrase',
        shape: { kind: 'rect', x: 2, y: 2 + index * 24, width: 116, height: 20, radius: 10 },
        canPress: false,
        phrase,
      }),
    ),
    settings: USUAL_SETTINGS,
    descriptor: null,
  };
}

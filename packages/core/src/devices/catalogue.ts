import { benchDial } from './benchDial.ts';
import { deskMouse } from './deskMouse.ts';
import type { Device } from './device.ts';
import { keyDial } from './keyDial.ts';
import { mirrored } from './mirrored.ts';
import { onePedal } from './onePedal.ts';
import { penTablet } from './penTablet.ts';
import { pocketMouse } from './pocketMouse.ts';
import { shuttle } from './shuttle.ts';
import { sixPad } from './sixPad.ts';
import { smallPanel } from './smallPanel.ts';
import { threePedals } from './threePedals.ts';
import { twelvePad } from './twelvePad.ts';
import { voice } from './voice.ts';
import { wallPanel } from './wallPanel.ts';

/** What the voice of the demo hears, so that there is something to say. */
const PHRASES = ['Next shot', 'Take it', 'Undo that', 'Quiet please'];

/**
 * One maker a model. A device is made with an id of its own, so that two of the same model can stand side by side.
 */
const MAKERS: Readonly<Record<string, (id: string) => Device>> = {
  'pocket-mouse': pocketMouse,
  'desk-mouse': deskMouse,
  'pen-tablet': penTablet,
  'pen-tablet-left': (id) => mirrored(penTablet(id, 'Left-handed tablet')),
  'bench-dial': benchDial,
  'key-dial': keyDial,
  shuttle,
  'six-pad': sixPad,
  'twelve-pad': twelvePad,
  'one-pedal': onePedal,
  'three-pedals': threePedals,
  'small-panel': smallPanel,
  'wall-panel': wallPanel,
  voice: (id) => voice(id, PHRASES),
};

/** The devices we ship, each as it comes; their ids are the models' names. */
export const CATALOGUE: readonly Device[] = Object.keys(MAKERS).flatMap(
  (model) => fromCatalogue(model, model) ?? [],
);

/** A device of the catalogue as it comes, under an id; null for a model we do not ship. */
export function fromCatalogue(model: string, id: string): Device | null {
  const make = Object.hasOwn(MAKERS, model) ? MAKERS[model] : undefined;
  return make ? { ...make(id), model } : null;
}

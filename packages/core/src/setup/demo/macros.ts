import type { Macro } from '../macro.ts';
import { newMacro } from '../newParts.ts';
import { type BareStep, numberSteps } from '../numbered.ts';
import type { WindowAsked } from '../rule.ts';

/** The macro that holds a frame, which a key of the shuttle runs. */
export const HOLD_FRAME = 'hold-a-frame';

/** A window of a practice program, by its title where that tells it from others. */
const asked = (executable: string, title?: string): WindowAsked => ({
  executable: { match: 'exact', text: executable },
  class: null,
  title: title === undefined ? null : { match: title.includes('*') ? 'glob' : 'exact', text: title },
});
const until = (executable: string, title?: string): BareStep => ({
  kind: 'until',
  window: asked(executable, title),
  atMostMs: 3000,
  late: 'stop',
});
const press = (shortcut: string): BareStep => ({ kind: 'shortcut', shortcut });

/** A frame held for a moment of film: doubled twice, with time for the camera in between. */
const holdFrame = (): Macro =>
  newMacro({
    id: HOLD_FRAME,
    name: 'Hold a frame',
    program: 'larkframe',
    steps: numberSteps([press('D'), { kind: 'wait', ms: 500 }, press('D'), press('ArrowRight')]),
  });

/** All layers go to grading under one name, in one colour: a click on one layer’s output with Alt held is for all. */
const sendWings = (): Macro =>
  newMacro({
    id: 'send-wings',
    name: 'Send wings to grading',
    program: 'brindle',
    steps: numberSteps([
      { kind: 'pointer', change: 'remember' },
      press('Ctrl+A'),
      {
        kind: 'hold',
        keys: 'Alt',
        note: 'so that it is for all that are selected',
        steps: [
          {
            kind: 'click',
            button: 0,
            count: 1,
            at: { from: 'window', corner: 'top-right', x: -36, y: 50 },
            note: 'Output of the first layer',
          },
        ],
      },
      until('brindle', 'Output'),
      { kind: 'text', text: 'wings ‹counter wings 1›' },
      press('Enter'),
      until('brindle', 'Brindle*'),
      { kind: 'wait', ms: 500 },
      { kind: 'menu', path: ['Window', 'Colours…'] },
      until('brindle', 'Colours'),
      { kind: 'repeat', times: 2, steps: [press('ArrowDown'), { kind: 'wait', ms: 60 }] },
      press('Enter'),
      until('brindle', 'Brindle*'),
      { kind: 'pointer', change: 'back' },
      press('Ctrl+S'),
    ]),
  });

/** A card of today's work, from wherever one is. */
const newCard = (): Macro =>
  newMacro({
    id: 'new-card',
    name: 'New card with the date',
    steps: numberSteps([
      { kind: 'focus', program: 'quillboard', launch: true },
      until('quillboard'),
      press('Ctrl+Enter'),
      { kind: 'text', text: '‹date d MMM yyyy›, ‹time HH:mm›: ' },
    ]),
  });

/** The film as it is now, under the next number. */
const exportReel = (): Macro =>
  newMacro({
    id: 'export-the-reel',
    name: 'Export the reel',
    program: 'larkframe',
    steps: numberSteps([
      press('Ctrl+Shift+E'),
      until('larkframe', 'Export the film'),
      { kind: 'text', text: 'heron ‹date yyyy-MM-dd› ‹counter reel 01›' },
      press('Enter'),
    ]),
  });

/** Chains of steps the workshop uses every day. */
export const demoMacros = (): Macro[] => [holdFrame(), sendWings(), newCard(), exportReel()];

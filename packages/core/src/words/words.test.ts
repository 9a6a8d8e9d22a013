import { mainTriggersOf } from '../devices/index.ts';
import { type EngineEvent, simulate } from '../engine/index.ts';
import { parseShortcut } from '../keys/index.ts';
import { profileChain, resolveBehaviour } from '../resolve/index.ts';
import { BASE_LAYER, copyDevice, demoSetup, itemAt, planCopy } from '../setup/index.ts';
import { editWords, fieldsWords } from './edits.ts';
import { accountOf } from './explanations.ts';
import { stepName } from './macroSteps.ts';
import { memoryDoesWords, memoryProblemWords, memoryReasonWords } from './memory.ts';
import { triggerName } from './names.ts';
import { refusalWords } from './refusals.ts';
import { shortcutProblemWords } from './textProblems.ts';
import { whyThisOne } from './whyThisOne.ts';

const setup = demoSetup();

test('rows of the Board are named as people name them', () => {
  const controls = setup.devices.flatMap((device) => device.controls);
  const names = controls.flatMap((control) =>
    mainTriggersOf(control).map((trigger) => triggerName(control, trigger)),
  );
  // Common practice, no source: left, right, wheel press, two thumb buttons, wheel up, wheel down.
  expect(names.slice(3, 10)).toEqual([
    'Left',
    'Right',
    'Wheel press',
    'Wheel up',
    'Wheel down',
    'Thumb, front',
    'Thumb, rear',
  ]);
  expect(names.slice(0, 3)).toEqual(['Turn clockwise', 'Turn anticlockwise', 'Press']);
  expect(names).toContain('Lower knob, press');
  expect(names).toContain('Fader 2, value');
  expect(names.at(-1)).toBe('Key 6');
});

const front = (executable: string): EngineEvent => ({
  kind: 'front',
  t: 0,
  window: { executable, class: '', title: '' },
});
const dial = { device: 'bench-dial', control: 'dial' };

test.each<[string, EngineEvent[], string]>([
  [
    'a program comes to the front',
    [front('larkframe')],
    "Larkframe came to the front. Rule “larkframe” fits the program's name.",
  ],
  [
    'one that no rule fits',
    [front('unheard-of')],
    'unheard-of came to the front. No rule fits, so Everywhere applies.',
  ],
  [
    'a turn of six steps',
    [front('larkframe'), { kind: 'turn', t: 1, ...dial, unit: 'degrees', amount: 108 }],
    'Bench dial turned 108°. Larkframe, base layer: Step one frame on. 108° ÷ 18° = 6 steps.',
  ],
  [
    'a turn with a rest',
    [front('larkframe'), { kind: 'turn', t: 1, ...dial, unit: 'degrees', amount: -40 }],
    'Bench dial turned back 40°. Larkframe, base layer: Step one frame back. 2 steps of 18°, 4° kept.',
  ],
  [
    'a turn too small for a step',
    [{ kind: 'turn', t: 1, ...dial, unit: 'degrees', amount: 5 }],
    'Bench dial turned 5°. 5° of 18° for one step.',
  ],
  [
    'off',
    [front('brindle'), { kind: 'down', t: 1, device: 'pocket-mouse', control: 'wheel' }],
    'Pocket mouse wheel press. Brindle, base layer: off, nothing reaches the program in front.',
  ],
  [
    'native',
    [{ kind: 'down', t: 1, device: 'pocket-mouse', control: 'left' }],
    'Pocket mouse left. Nothing is set, so it does what it does by itself.',
  ],
  [
    'let go by a change of front',
    [front('larkframe'), { kind: 'down', t: 1, ...dial }, front('brindle')],
    "Brindle came to the front. Rule “brindle” fits the program's name. Enter was still held by Bench dial, press, and was let go first.",
  ],
  [
    'silence after that',
    [front('larkframe'), { kind: 'down', t: 1, ...dial }, front('brindle'), { kind: 'up', t: 2, ...dial }],
    'Bench dial press came up. What it held was let go before, so it comes up in silence.',
  ],
  [
    'a wheel',
    [{ kind: 'turn', t: 1, device: 'pocket-mouse', control: 'wheel', unit: 'detents', amount: -2 }],
    'Pocket mouse wheel down 2 detents. Nothing is set, so it does what it does by itself.',
  ],
  [
    'one knob of two',
    [{ kind: 'turn', t: 1, device: 'twelve-pad', control: 'upper-knob', unit: 'detents', amount: -1 }],
    'Twelve pad upper knob turned back 1 detent. Everywhere, base layer: Volume down.',
  ],
  ['a pin', [{ kind: 'pin', t: 1, profile: 'brindle' }], 'Brindle pinned. Brindle is pinned and stays.'],
  [
    'an unknown control',
    [{ kind: 'down', t: 1, device: 'gone', control: 'x' }],
    'gone x. The rig has no such control.',
  ],
])('account: %s', (_name, events, sentence) => {
  const last = simulate(setup, events).explanations.at(-1);
  const { subject, did, why } = accountOf(setup, last ?? raise());
  expect(`${subject} ${did}. ${why}`).toBe(sentence);
});

function raise(): never {
  throw new Error('no explanation');
}

test.each([
  [
    'larkframe',
    'clockwise',
    'Set in Larkframe, base layer. Without it, “Scroll down” from Everywhere would apply.',
  ],
  [
    'brindle',
    'press',
    'Nothing set here; comes from Everywhere, base layer. Without it, the control would do what it does by itself.',
  ],
] as const)('why this one, in %s %s', (profile, trigger, sentence) => {
  const resolution = resolveBehaviour(
    profileChain(setup, profile),
    [BASE_LAYER],
    'bench-dial',
    'dial',
    trigger,
  );
  expect(whyThisOne(setup, resolution, profile)).toBe(sentence);
});

test('edits and problems are put into words', () => {
  const slot = { profile: 'larkframe', layer: BASE_LAYER, ...dial, trigger: 'clockwise' } as const;
  expect(editWords(setup, { kind: 'remove', at: itemAt.binding(slot) })).toBe(
    'clear Bench dial, turn clockwise in Larkframe',
  );
  const device = itemAt.device('bench-dial');
  expect(editWords(setup, { kind: 'remove', at: device })).toBe('remove Bench dial');
  expect(editWords(setup, copyDevice(setup, 'bench-dial')?.edit ?? raise())).toBe(
    'add Bench dial 2 with what is bound to it',
  );
  const step = { kind: 'remove', at: `${itemAt.macro('hold-a-frame')}/steps/step-1` } as const;
  expect(editWords(setup, step, { step: stepName })).toBe('remove the step “keys D” of Hold a frame');
  const gone = `${itemAt.macro('hold-a-frame')}/steps/gone`;
  expect(editWords(setup, { kind: 'remove', at: gone }, { step: stepName })).toBe(
    'remove a step of Hold a frame',
  );
  expect(editWords(setup, { kind: 'set', at: `${device}/controls/dial`, fields: { canPress: false } })).toBe(
    'change Dial of Bench dial',
  );
  expect(editWords(setup, { kind: 'set', at: itemAt.binding(slot), fields: { note: 'why?' } })).toBe(
    'note on Bench dial, turn clockwise in Larkframe',
  );
  expect(fieldsWords(['note', 'face.label', 'behaviour.action'])).toBe(
    'its note, its label and what it does',
  );
  const column = planCopy(setup, { what: 'column', from: 'larkframe', to: 'tallow' });
  expect(column.edit && editWords(setup, column.edit)).toMatch(/^set .* in Tallow and \d+ more$/);
  expect(memoryDoesWords({ kind: 'keys', held: true, codes: ['ControlLeft', 'KeyZ'] })).toBe('Ctrl+Z');
  expect(memoryDoesWords({ kind: 'steps', chords: [['KeyD'], ['ShiftLeft', 'KeyF']] })).toBe('D, Shift+F');
  expect(memoryDoesWords(null)).toBe('not kept');
  expect(memoryReasonWords('waits')).toContain('needs Nimble Lever');
  expect(memoryProblemWords('damaged')).toContain('Store it again');
  const wrong = parseShortcut('Ctrl+Wobble');
  expect(wrong.ok ? '' : shortcutProblemWords(wrong.problem)).toContain('“Wobble” is not a key');
  expect(refusalWords({ code: 'name-taken', name: 'Brindle' })).toContain(
    'already a program called “Brindle”',
  );
});

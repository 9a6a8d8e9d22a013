import fc from 'fast-check';
import { type Simulated, type Stroke, simulate } from '../engine/index.ts';
import { US_LAYOUT } from '../keys/layouts/index.ts';
import {
  type BareStep,
  isBlock,
  type Macro,
  type MacroStep,
  newMacro,
  numberSteps,
  type Place,
} from '../setup/index.ts';
import { bound, events, fuzz, smallSetup } from '../testing/index.ts';
import type { Deed, DeedBody } from './deed.ts';
import { type Recording, recordSteps, repeatOffers, withRepeat } from './record.ts';

const HOW: Recording = { waits: 'none', layout: US_LAYOUT, keysBy: 'character', front: null };
const SIZE = { width: 400, height: 300 };
const press = (shortcut: string): BareStep => ({ kind: 'shortcut', shortcut });

/** Deeds in a few words each: `10 +ControlLeft`, `20 -KeyZ`, `30 (0 390,20 Output list`, `40 )0 390,20`, `50 "w"`, `60 ~-1`, `70 front brindle Colours`. */
function deeds(...lines: readonly string[]): Deed[] {
  const one = (what: string, rest: readonly string[]): DeedBody => {
    const [sign, value] = [what[0], what.slice(1)];
    if (sign === '+') return { kind: 'key-down', code: value, text: null };
    if (sign === '-') return { kind: 'key-up', code: value };
    if (sign === '"') return { kind: 'key-down', code: `Key${value.toUpperCase()}`, text: value };
    if (sign === '“') return { kind: 'text', text: value };
    if (sign === '~') return { kind: 'wheel', ticks: Number(value), axis: 'vertical' };
    if (sign === '≡') return { kind: 'menu-item', path: value.split('>') };
    if (sign === '(' || sign === ')') {
      const [x = 0, y = 0] = (rest[0] ?? '').split(',').map(Number);
      const name = rest.slice(1).join(' ') || null;
      return {
        kind: sign === '(' ? 'button-down' : 'button-up',
        button: Number(value),
        at: { x, y, ...SIZE, name },
      };
    }
    const [executable = '', ...title] = rest;
    const window = executable === '' ? null : { executable, class: '', title: title.join(' ') };
    return { kind: 'front', window, program: executable || null, byHand: what === 'hand' };
  };
  return lines.map((line): Deed => {
    const [t = '', what = '', ...rest] = line.split(' ');
    return { t: Number(t), ...one(what, rest) };
  });
}

/** Steps in a line, as the tests below read them. */
function line(steps: readonly BareStep[]): string {
  return steps.map(told).join(' ');
}
function told(step: BareStep): string {
  switch (step.kind) {
    case 'shortcut':
      return step.shortcut;
    case 'text':
      return `“${step.text}”`;
    case 'wait':
      return `${step.ms}ms`;
    case 'click': {
      const at = step.at ? `@${step.at.corner}:${step.at.x},${step.at.y}` : '';
      return `${step.keys ? `${step.keys}+` : ''}click${step.button}×${step.count}${at}${step.note ? `[${step.note}]` : ''}`;
    }
    case 'wheel':
      return `${step.keys ? `${step.keys}+` : ''}wheel${step.ticks}`;
    case 'hold':
      return `${step.keys}(${line(step.steps)})`;
    case 'repeat':
      return `${step.times}×(${line(step.steps)})`;
    case 'until':
      return `until:${step.window.executable?.text}${step.window.title ? `/${step.window.title.text}` : ''}`;
    case 'menu':
      return `≡${step.path.join('>')}`;
    case 'focus':
      return `*${step.program}`;
    default:
      return step.kind;
  }
}

test.each<[string, string[], string, Partial<Recording>?]>([
  ['a shortcut is exact', ['0 +ControlLeft', '50 +KeyZ', '60 -KeyZ', '90 -ControlLeft'], 'Ctrl+Z'],
  ['the right modifier is the same', ['0 +ShiftRight', '50 +F5', '60 -F5', '90 -ShiftRight'], 'Shift+F5'],
  ['a modifier by itself', ['0 +AltLeft', '60 -AltLeft'], 'Alt'],
  ['a key that repeats goes down once', ['0 +KeyA', '500 +KeyA', '530 +KeyA', '560 -KeyA'], 'A'],
  [
    'keys that roll over each other are two',
    ['0 +KeyD', '40 +ArrowRight', '60 -KeyD', '90 -ArrowRight'],
    'D ArrowRight',
  ],
  [
    'typed characters are one text',
    ['0 "w', '90 -KeyW', '100 "i', '150 -KeyI', '900 "n', '950 -KeyN'],
    '“win”',
  ],
  ['Enter ends it', ['0 "w', '90 -KeyW', '100 +Enter', '150 -Enter'], '“w” Enter'],
  [
    'a capital is part of the text',
    ['0 +ShiftLeft', '10 "W', '20 -KeyW', '30 -ShiftLeft', '40 "i', '50 -KeyI'],
    '“Wi”',
  ],
  ['text that came as such joins it', ['0 "w', '9 -KeyW', '20 “ing'], '“wing”'],
  [
    'several things under one modifier are in a hold',
    ['0 +ControlLeft', '10 +KeyC', '20 -KeyC', '30 +KeyV', '40 -KeyV', '50 -ControlLeft'],
    'Ctrl(Ctrl+C Ctrl+V)',
  ],
  [
    'one click has its modifier with it',
    ['0 +AltLeft', '10 (0 20,30', '20 )0 20,30', '50 -AltLeft'],
    'Alt+click0×1@top-left:20,30',
  ],
  [
    'a modifier more for one of several',
    [
      '0 +AltLeft',
      '10 (0 20,30',
      '20 )0 20,30',
      '600 +ShiftLeft',
      '610 +KeyA',
      '620 -KeyA',
      '630 -ShiftLeft',
      '650 -AltLeft',
    ],
    'Alt(click0×1@top-left:20,30 Shift+Alt+A)',
  ],
  [
    'two modifiers round the same',
    [
      '0 +ControlLeft',
      '1 +AltLeft',
      '10 (0 20,30',
      '20 )0 20,30',
      '600 (0 90,30',
      '610 )0 90,30',
      '640 -AltLeft',
      '650 -ControlLeft',
    ],
    'Ctrl+Alt(click0×1@top-left:20,30 click0×1@top-left:90,30)',
  ],
  [
    'a place from the nearest corner, with its name',
    ['0 (0 390,20 Output list', '20 )0 390,20 Output list'],
    'click0×1@top-right:-10,20[Output list]',
  ],
  ['from the bottom', ['0 (2 10,299', '20 )2 10,299'], 'click2×1@bottom-left:10,-1'],
  [
    'two clicks in one place soon after each other are a double click',
    ['0 (0 20,30', '20 )0 20,30', '200 (0 21,30', '220 )0 21,30'],
    'click0×2@top-left:20,30',
  ],
  [
    'later they are two',
    ['0 (0 20,30', '20 )0 20,30', '600 (0 21,30', '620 )0 21,30'],
    'click0×1@top-left:20,30 click0×1@top-left:21,30',
  ],
  ['a drag is left out', ['0 (0 20,30', '20 )0 90,30', '50 +KeyA', '60 -KeyA'], 'A'],
  [
    'ticks that follow each other are one turn',
    ['0 ~-1', '100 ~-1', '200 ~-1', '900 ~-1', '950 ~1'],
    'wheel-3 wheel-1 wheel1',
  ],
  [
    'a key held while the pointer does something',
    ['0 +Space', '10 (0 20,30', '20 )0 20,30', '90 -Space'],
    'Space+click0×1@top-left:20,30',
  ],
  ['an item of a menu', ['0 ≡Window>Colours'], '≡Window>Colours'],
  [
    'a window that came is waited for',
    ['0 +KeyA', '10 -KeyA', '400 front brindle Colours', '500 +KeyB'],
    'A until:brindle B',
  ],
  [
    'of a program seen before, by its title',
    ['0 front brindle Wing', '9 +KeyA', '10 -KeyA', '400 front brindle Colours'],
    'until:brindle A until:brindle/Colours',
  ],
  [
    'a window that comes while the keys are still down is no part of the hold',
    [
      '0 +AltLeft',
      '5 (0 20,30',
      '20 )0 20,30',
      '25 front brindle',
      '90 -AltLeft',
      '99 +Enter',
      '100 front brindle Wing',
      '120 -Enter',
    ],
    'Alt+click0×1@top-left:20,30 until:brindle Enter until:brindle/Wing',
  ],
  [
    'of the program that was in front when it began, by its title',
    ['9 +KeyA', '10 -KeyA', '400 front brindle Colours'],
    'A until:brindle/Colours',
    { front: { executable: 'brindle', class: '', title: 'Wing' } },
  ],
  [
    'only the last of windows that came one after the other',
    ['0 +KeyA', '10 -KeyA', '400 front brindle Wait', '600 front brindle Colours'],
    'A until:brindle/Colours',
  ],
  ['a window the person went to', ['0 hand hushbox', '10 +KeyA'], '*hushbox A'],
  [
    'pauses as they were',
    ['0 +KeyA', '10 -KeyA', '512 +KeyB', '520 -KeyB', '700 +KeyC'],
    'A 512ms B 188ms C',
    { waits: 'kept' },
  ],
  [
    'pauses rounded, those of a hand left out',
    ['0 +KeyA', '10 -KeyA', '512 +KeyB', '520 -KeyB', '700 +KeyC', '1934 +KeyD'],
    'A 500ms B C 1200ms D',
    { waits: 'rounded' },
  ],
  [
    'no pause before a window that came; after it one',
    ['0 +KeyA', '10 -KeyA', '900 front brindle', '1300 +KeyB'],
    'A until:brindle 400ms B',
    { waits: 'rounded' },
  ],
])('%s', (_name, lines, steps, how = {}) => {
  expect(line(recordSteps(deeds(...lines), { ...HOW, ...how }).steps)).toBe(steps);
});

test('what cannot be a step is told', () => {
  const { leftOut } = recordSteps(deeds('0 (0 20,30', '20 )0 90,30', '50 front', '60 hand', '70 hand'), HOW);
  expect(leftOut.map(({ t, kind }) => `${t} ${kind}`)).toEqual([
    '20 drag',
    '50 bare-desk',
    '60 bare-desk',
    '70 bare-desk',
  ]);
});

test('the same steps in a row are offered as a repeat, the one that saves most', () => {
  const steps = [
    press('X'),
    ...Array.from({ length: 4 }, () => [press('A'), press('B')]).flat(),
    press('C'),
    press('C'),
    press('C'),
  ];
  const offers = repeatOffers(steps);
  expect(offers).toEqual([
    { at: 1, length: 2, times: 4 },
    { at: 9, length: 1, times: 3 },
  ]);
  const folded = offers
    .toReversed()
    .reduce<readonly BareStep[]>((now, offer) => withRepeat(now, offer), steps);
  expect(line(folded)).toBe('X 4×(A B) 3×(C)');
  expect(repeatOffers([press('A'), press('A'), press('B')])).toEqual([]);
});

/** What a desk sees of strokes. */
function seen(strokes: readonly Stroke[]): Deed[] {
  let place: Place | null = null;
  const at = () => {
    if (!place) return null;
    const { corner, x, y } = place;
    return {
      x: corner.endsWith('left') ? x : SIZE.width + x,
      y: corner.startsWith('top') ? y : SIZE.height + y,
      ...SIZE,
      name: null,
    };
  };
  return strokes.flatMap((stroke): Deed[] => {
    const { t } = stroke;
    switch (stroke.kind) {
      case 'key-down':
        return [{ t, kind: 'key-down', code: stroke.code, text: null }];
      case 'key-up':
        return [{ t, kind: 'key-up', code: stroke.code }];
      case 'button-down':
      case 'button-up':
        return [{ t, kind: stroke.kind, button: stroke.button, at: at() }];
      case 'wheel':
        return [{ t, kind: 'wheel', ticks: stroke.ticks, axis: stroke.axis }];
      case 'text':
        return [{ t, kind: 'text', text: stroke.text }];
      case 'menu-item':
        return [{ t, kind: 'menu-item', path: stroke.path }];
      case 'pointer-move':
        place = stroke.to;
        return [];
      default:
        return [];
    }
  });
}

const place = fc
  .tuple(fc.integer({ min: 0, max: 190 }), fc.integer({ min: 0, max: 140 }), fc.boolean(), fc.boolean())
  .map(([x, y, right, below]): Place => {
    const corner = below ? (right ? 'bottom-right' : 'bottom-left') : right ? 'top-right' : 'top-left';
    return { from: 'window', corner, x: right ? -x : x, y: below ? -y : y };
  });
const clicked = fc
  .tuple(fc.integer({ min: 0, max: 2 }), fc.integer({ min: 1, max: 3 }), place)
  .map(([button, count, at]): BareStep => ({ kind: 'click', button, count, at }));
const plain = fc.oneof(
  fc.constantFrom('A', 'F5', 'Enter').map(press),
  clicked,
  fc.constantFrom(-3, 1, 20).map((ticks): BareStep => ({ kind: 'wheel', ticks, axis: 'horizontal' })),
  fc.constant<BareStep>({ kind: 'menu', path: ['Layer', 'Output'] }),
);
const done = fc.oneof(
  { weight: 3, arbitrary: plain },
  fc.constantFrom('Ctrl+Z', 'Ctrl+Shift+Z', 'Alt+ArrowLeft', 'Shift').map(press),
  fc.constantFrom('wing', 'Reed 2').map((text): BareStep => ({ kind: 'text', text })),
  clicked.map((click): BareStep => ({ ...click, keys: 'Alt' }) as BareStep),
  fc
    .tuple(fc.constantFrom('Alt', 'Ctrl', 'Ctrl+Shift'), fc.array(plain, { minLength: 2, maxLength: 4 }))
    .map(([keys, steps]): BareStep => ({ kind: 'hold', keys, steps: apart(steps) })),
);
/** Far enough from each other that a hand would not have done them as one. */
const apart = (steps: readonly BareStep[]): readonly BareStep[] =>
  steps.flatMap((step, i) => (i === 0 ? [step] : [{ kind: 'wait', ms: 700 }, step]));

function ran(steps: readonly BareStep[]): Simulated {
  const macro: Macro = newMacro({ id: 'tried', name: 'Tried', steps: numberSteps(steps) });
  const setup = smallSetup();
  const runs = { kind: 'macro', macro: 'tried' } as const;
  const made = bound([['everywhere pad/key-1 press', runs]], { ...setup, macros: [macro] });
  return simulate(made, events('0 down pad/key-1', '900000 time'));
}
/** What was sent, without when; texts one after the other are one. */
function bare(strokes: readonly Stroke[]): readonly string[] {
  const all: string[] = [];
  for (const stroke of strokes) {
    const { t: _t, cause: _cause, device: _device, ...body } = stroke;
    const last = all.at(-1);
    if (stroke.kind === 'text' && last?.startsWith('text ')) all[all.length - 1] = last + stroke.text;
    else all.push(stroke.kind === 'text' ? `text ${stroke.text}` : JSON.stringify(body));
  }
  return all;
}

test('what was recorded, replayed on the same desk, sends the same in the same order', () => {
  fuzz(
    fc.property(
      fc.array(done, { maxLength: 6 }),
      fc.constantFrom(...(['kept', 'rounded', 'none'] as const)),
      (steps, waits) => {
        const { strokes } = ran(apart(steps));
        const recorded = recordSteps(seen(strokes), { ...HOW, waits });
        expect(recorded.leftOut).toEqual([]);
        expect(bare(ran(recorded.steps).strokes)).toEqual(bare(strokes));
        const blocks = (list: readonly MacroStep[]): boolean =>
          list.every((step) => !isBlock(step) || step.steps.length > 1);
        expect(blocks(numberSteps(recorded.steps))).toBe(true);
      },
    ),
    300,
  );
});

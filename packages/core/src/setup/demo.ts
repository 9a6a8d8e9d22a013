import { benchDial, pocketMouse, type Trigger, twelvePad } from '../devices/index.ts';
import { acting, type Behaviour, type Binding, type Face, OFF, slotKey } from './binding.ts';
import { brindle, demoCommonCommands, hushbox, larkframe } from './demoPrograms.ts';
import { BASE_LAYER, EVERYWHERE, type Profile, type Setup } from './setup.ts';

type Place = readonly [device: string, control: string, trigger: Trigger];
type Row = readonly [place: Place, behaviour: Behaviour, extra?: { face?: Face; note?: string }];

const turnOn: Place = ['bench-dial', 'dial', 'clockwise'];
const turnBack: Place = ['bench-dial', 'dial', 'anticlockwise'];
const dialPress: Place = ['bench-dial', 'dial', 'press'];
const mouse = (control: string, trigger: Trigger = 'press'): Place => ['pocket-mouse', control, trigger];
const padKey = (number: number): Place => ['twelve-pad', `key-${number}`, 'press'];
const knob = (which: 'upper' | 'lower', trigger: Trigger): Place => ['twelve-pad', `${which}-knob`, trigger];

const command = (id: string): Behaviour => acting({ kind: 'command', command: id }, 'follow');
const tap = (id: string): Behaviour => acting({ kind: 'command', command: id }, 'tap');
const wheel = (ticks: number): Behaviour => acting({ kind: 'wheel', ticks, axis: 'vertical' }, 'tap');

const face = (label: string, icon: string | null, colour: Face['colour']): Face => ({ label, icon, colour });

const profile = (id: string, program: string | null, rows: readonly Row[]): Profile => ({
  id,
  name: null,
  program,
  rules: [],
  basedOn: null,
  bindings: Object.fromEntries(
    rows.map(([[device, control, trigger], behaviour, extra]): [string, Binding] => [
      slotKey(BASE_LAYER, device, control, trigger),
      { behaviour, face: extra?.face ?? null, note: extra?.note ?? null },
    ]),
  ),
});

const everywhere = (): Profile =>
  profile(EVERYWHERE, null, [
    [turnOn, wheel(-1)],
    [turnBack, wheel(1)],
    [dialPress, command('mute')],
    [mouse('thumb-front'), command('next-item')],
    [mouse('thumb-rear'), command('previous-item')],
    [padKey(1), command('undo'), { face: face('Undo', 'undo', 'plum') }],
    [padKey(2), command('redo'), { face: face('Redo', 'redo', 'plum') }],
    [padKey(3), command('copy')],
    [padKey(4), command('paste')],
    [padKey(12), command('save'), { face: face('Save', 'save', 'ink') }],
    [knob('upper', 'clockwise'), tap('volume-up')],
    [knob('upper', 'anticlockwise'), tap('volume-down')],
    [knob('upper', 'press'), command('mute')],
  ]);

const larkframeProfile = (): Profile =>
  profile('larkframe', 'larkframe', [
    [
      turnOn,
      tap('larkframe-step-on'),
      {
        face: face('Frame on', 'skip-forward', 'ink'),
        note: 'Same turn as in Hushbox, where it scrubs on.',
      },
    ],
    [turnBack, tap('larkframe-step-back'), { face: face('Frame back', 'skip-back', 'ink') }],
    [dialPress, command('larkframe-take'), { face: face('Take', 'camera', 'green') }],
    [mouse('thumb-front'), command('larkframe-magnify')],
    [mouse('thumb-rear'), command('larkframe-fit')],
    [mouse('wheel'), command('larkframe-onion')],
    [padKey(5), command('larkframe-play'), { face: face('Play', 'play', 'green') }],
    [padKey(6), command('larkframe-first')],
    [padKey(7), command('larkframe-last')],
    [padKey(8), command('larkframe-double')],
    [padKey(9), command('larkframe-onion'), { face: face('Onion', 'layers', 'teal') }],
  ]);

const brindleProfile = (): Profile =>
  profile('brindle', 'brindle', [
    [turnOn, tap('brindle-larger'), { face: face('Larger', 'plus', 'amber') }],
    [turnBack, tap('brindle-smaller'), { face: face('Smaller', 'minus', 'amber') }],
    [mouse('thumb-front'), command('brindle-upright')],
    [mouse('thumb-rear'), command('brindle-fit')],
    [mouse('wheel'), OFF, { note: 'Kept pasting by accident while painting feathers.' }],
    [padKey(2), command('brindle-redo'), { face: face('Redo', 'redo', 'plum') }],
    [padKey(5), command('brindle-brush'), { face: face('Brush', 'brush', 'amber') }],
    [padKey(6), command('brindle-eraser'), { face: face('Eraser', 'eraser', 'amber') }],
    [padKey(7), command('brindle-next-colour')],
    [knob('upper', 'clockwise'), tap('brindle-zoom-in')],
    [knob('upper', 'anticlockwise'), tap('brindle-zoom-out')],
    [knob('upper', 'press'), command('brindle-fit')],
  ]);

const hushboxProfile = (): Profile =>
  profile('hushbox', 'hushbox', [
    [turnOn, tap('hushbox-scrub-on')],
    [turnBack, tap('hushbox-scrub-back')],
    [dialPress, command('hushbox-split')],
    [mouse('thumb-front'), command('hushbox-zoom-selection')],
    [mouse('thumb-rear'), command('hushbox-fit')],
    [padKey(5), command('hushbox-play'), { face: face('Play', 'play', 'green') }],
    [padKey(6), command('hushbox-start')],
    [padKey(7), command('hushbox-end')],
    [padKey(8), command('hushbox-marker')],
  ]);

/** Saltmarsh Paper Theatre: a two-person paper-puppet workshop finishing “The Heron's Umbrella”. */
export function demoSetup(): Setup {
  return {
    name: 'Saltmarsh Paper Theatre',
    devices: [benchDial('bench-dial'), pocketMouse('pocket-mouse'), twelvePad('twelve-pad')],
    commonCommands: demoCommonCommands(),
    programs: [larkframe(), brindle(), hushbox()],
    layers: [{ id: BASE_LAYER, name: 'Base' }],
    profiles: {
      [EVERYWHERE]: everywhere(),
      larkframe: larkframeProfile(),
      brindle: brindleProfile(),
      hushbox: hushboxProfile(),
    },
    macros: [],
    radialMenus: [],
  };
}

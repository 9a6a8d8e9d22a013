import { acting, type Behaviour, type Face, OFF } from '../binding.ts';
import { EVERYWHERE, type Profile } from '../setup.ts';
import { HOLD_FRAME } from './macros.ts';
import { BRUSH, CANVAS, CLIPBOARD, FILM_STRIP, FRAMES, PUPPET, SHOT, SHOWING, WORDS } from './pages.ts';
import {
  command,
  dialPress,
  face,
  fader,
  guarded,
  knob,
  mouse,
  padKey,
  page,
  panel,
  pedal,
  profile,
  type Row,
  shuttle,
  sixKey,
  tablet,
  tap,
  turnBack,
  turnOn,
  wheel,
} from './rows.ts';

/** The ids of the demo's own layer and radial menu. */
export const FAR = 'far';
export const PAINTS = 'paints';

/** What means the same in every program: undo, paste, next item, volume; pedals for Shift, the far layer and the talk key. */
export const everywhere = (): Profile =>
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
    [tablet('side-1'), acting({ kind: 'shortcut', shortcut: 'Shift' }, 'follow')],
    [tablet('side-2'), acting({ kind: 'shortcut', shortcut: 'Ctrl' }, 'follow')],
    [tablet('side-3'), command('undo')],
    [pedal('left'), acting({ kind: 'shortcut', shortcut: 'Shift' }, 'follow')],
    [pedal('middle'), acting({ kind: 'layer', layer: FAR, mode: 'on' }, 'follow')],
    [
      pedal('right'),
      { kind: 'off', heardBy: ['tin-can'], sends: { kind: 'command', command: 'talk' } },
      { note: 'Talk to the puppet room. Nothing in front may hear it.' },
    ],
    ...['larkframe', 'brindle', 'hushbox', 'tallow', 'quillboard', 'fernway', 'tin-can'].map(
      (program, i): Row => [
        panel(`cell-${i + 1}`),
        acting({ kind: 'program', program, launch: true }, 'tap'),
      ],
    ),
    [sixKey(1), page('ask', null, 'bench-dial'), { face: face('Dial sets', 'layers', 'plum') }],
    [sixKey(2), page('next-set', null, 'bench-dial'), { face: face('Next set', 'repeat-2', 'plum') }],
    [sixKey(3), acting({ kind: 'show', device: null }, 'follow'), { face: face('Show all', 'eye', 'ink') }],
    [panel('cell-12'), acting({ kind: 'profile', change: 'automatic', profiles: [] }, 'tap')],
  ]);

/** A cell of the panel's page for showing. */
const showing = (id: string, behaviour: Behaviour, own: Face | null = null): Row => [
  panel(`showing-${id}`),
  behaviour,
  { layer: SHOWING, ...(own && { face: own }) },
];

/** Frames back and forth by hand and foot. */
export const larkframeProfile = (): Profile =>
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
    [shuttle('ring', 'shuttle-clockwise'), tap('larkframe-step-on')],
    [shuttle('ring', 'shuttle-anticlockwise'), tap('larkframe-step-back')],
    [shuttle('jog', 'clockwise'), tap('larkframe-step-on')],
    [shuttle('jog', 'anticlockwise'), tap('larkframe-step-back')],
    [shuttle('key-1'), command('larkframe-first')],
    [shuttle('key-4'), command('larkframe-last')],
    [
      shuttle('key-5'),
      guarded('larkframe-delete', 'longer'),
      { face: face('Delete', 'delete', 'ink'), note: 'Asks for a longer press since shot 3.' },
    ],
    [shuttle('key-9'), acting({ kind: 'macro', macro: HOLD_FRAME }, 'tap')],
    [turnOn, tap('larkframe-last'), { layer: FAR }],
    [turnBack, tap('larkframe-first'), { layer: FAR }],
    [turnOn, tap('larkframe-step-on'), { layer: FRAMES, face: face('Frame on', 'skip-forward', 'ink') }],
    [turnBack, tap('larkframe-step-back'), { layer: FRAMES, face: face('Frame back', 'skip-back', 'ink') }],
    [dialPress, command('larkframe-double'), { layer: FRAMES, face: face('Double', 'copy', 'green') }],
    [turnOn, tap('larkframe-last'), { layer: FILM_STRIP }],
    [turnBack, tap('larkframe-first'), { layer: FILM_STRIP }],
    [dialPress, command('larkframe-play'), { layer: FILM_STRIP, face: face('Play', 'play', 'green') }],
    [sixKey(6), page('open', SHOT), { face: face('Shot', 'film', 'green') }],
    [sixKey(1), command('larkframe-take'), { layer: SHOT, face: face('Take', 'camera', 'green') }],
    [sixKey(2), command('larkframe-double'), { layer: SHOT, face: face('Double', 'copy', 'plum') }],
    [sixKey(3), command('larkframe-onion'), { layer: SHOT, face: face('Onion', 'layers', 'teal') }],
    [sixKey(4), command('larkframe-guides'), { layer: SHOT, face: face('Guides', 'grid-3x3', 'teal') }],
    [sixKey(5), command('larkframe-magnify'), { layer: SHOT, face: face('Magnify', 'zoom-in', 'teal') }],
    [sixKey(6), page('back'), { layer: SHOT, face: face('Back', 'corner-up-left', 'ink') }],
    [panel('cell-8'), page('open', SHOWING), { face: face('Showing', 'film', 'green') }],
    showing('take', command('larkframe-take'), face('Take', 'camera', 'amber')),
    showing('play', command('larkframe-play'), face('Play', 'play', 'green')),
    showing('undo', command('larkframe-undo'), face('Undo', 'undo', 'plum')),
    showing('redo', command('larkframe-redo'), face('Redo', 'redo', 'plum')),
    showing('onion', command('larkframe-onion'), face('Onion skin', 'layers', 'teal')),
    showing('guides', command('larkframe-guides'), face('Guides', 'grid-3x3', 'teal')),
    showing('frame-back', command('larkframe-step-back'), face('Frame back', 'skip-back', 'blue')),
    showing('frame-on', command('larkframe-step-on'), face('Frame on', 'skip-forward', 'blue')),
    showing('double', command('larkframe-double'), face('Double the frame', 'copy', 'ink')),
    showing('first', command('larkframe-first')),
    showing('last', command('larkframe-last')),
    showing('delete', guarded('larkframe-delete', 'longer'), face('Delete', 'delete', 'ink')),
    showing('back', page('back'), face('Back', 'corner-up-left', 'ink')),
    [
      panel('showing-frames', 'clockwise'),
      tap('larkframe-step-on'),
      { layer: SHOWING, face: face('Frames', 'film', null) },
    ],
    [panel('showing-frames', 'anticlockwise'), tap('larkframe-step-back'), { layer: SHOWING }],
    [
      panel('showing-lamp', 'slide'),
      fader('/larkframe/lamp'),
      { layer: SHOWING, face: face('Lamp', null, null) },
    ],
  ]);

/** Brush sizes on the dial, colours on a ring, the pen hovering and touching. */
export const brindleProfile = (): Profile =>
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
    [tablet('side-4'), acting({ kind: 'radial', menu: PAINTS }, 'follow')],
    [tablet('side-5'), command('brindle-brush')],
    [tablet('side-6'), command('brindle-eraser')],
    [tablet('ring', 'clockwise'), tap('brindle-zoom-in')],
    [tablet('ring', 'anticlockwise'), tap('brindle-zoom-out')],
    [tablet('strip', 'slide-up'), tap('brindle-larger')],
    [tablet('strip', 'slide-down'), tap('brindle-smaller')],
    [tablet('upper-switch'), command('brindle-hand')],
    [tablet('upper-switch', 'touch-press'), command('brindle-zoom-in')],
    [turnOn, tap('brindle-larger'), { layer: BRUSH, face: face('Larger', 'plus', 'amber') }],
    [turnBack, tap('brindle-smaller'), { layer: BRUSH, face: face('Smaller', 'minus', 'amber') }],
    [dialPress, command('brindle-brush'), { layer: BRUSH, face: face('Brush', 'brush', 'amber') }],
    [turnOn, tap('brindle-zoom-in'), { layer: CANVAS }],
    [turnBack, tap('brindle-zoom-out'), { layer: CANVAS }],
    [dialPress, command('brindle-fit'), { layer: CANVAS }],
    [sixKey(6), page('open', PUPPET), { face: face('Puppet', 'brush', 'amber') }],
    [sixKey(1), command('brindle-brush'), { layer: PUPPET, face: face('Brush', 'brush', 'amber') }],
    [sixKey(2), command('brindle-eraser'), { layer: PUPPET, face: face('Eraser', 'eraser', 'amber') }],
    [sixKey(3), command('brindle-next-colour'), { layer: PUPPET, face: face('Colour', 'palette', 'amber') }],
    [
      sixKey(4),
      command('brindle-mirror'),
      { layer: PUPPET, face: face('Mirror', 'flip-horizontal-2', 'teal') },
    ],
    [sixKey(5), command('brindle-upright'), { layer: PUPPET, face: face('Upright', 'rotate-ccw', 'teal') }],
    [sixKey(6), page('back'), { layer: PUPPET, face: face('Back', 'corner-up-left', 'ink') }],
  ]);

/** Scrubbing on dial, ring and jog; markers on the shuttle’s keys. */
export const hushboxProfile = (): Profile =>
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
    [shuttle('ring', 'shuttle-clockwise'), tap('hushbox-scrub-on')],
    [shuttle('ring', 'shuttle-anticlockwise'), tap('hushbox-scrub-back')],
    [shuttle('jog', 'clockwise'), tap('hushbox-scrub-on')],
    [shuttle('jog', 'anticlockwise'), tap('hushbox-scrub-back')],
    [shuttle('key-1'), command('hushbox-previous-marker')],
    [shuttle('key-4'), command('hushbox-next-marker')],
    [panel('fader-1', 'slide'), fader('/hushbox/gain')],
  ]);

/** Hue on the dial, strength and brightness on the knobs, faders for the whole. */
export const tallowProfile = (): Profile =>
  profile('tallow', 'tallow', [
    [turnOn, tap('tallow-hue-on')],
    [turnBack, tap('tallow-hue-back')],
    [dialPress, command('tallow-before')],
    [padKey(5), command('tallow-shadows')],
    [padKey(6), command('tallow-middles')],
    [padKey(7), command('tallow-lights')],
    [padKey(8), command('tallow-centre')],
    [knob('upper', 'clockwise'), tap('tallow-stronger')],
    [knob('upper', 'anticlockwise'), tap('tallow-weaker')],
    [knob('lower', 'clockwise'), tap('tallow-brighter')],
    [knob('lower', 'anticlockwise'), tap('tallow-darker')],
    [panel('fader-1', 'slide'), fader('/tallow/brightness')],
    [panel('fader-2', 'slide'), fader('/tallow/saturation')],
  ]);

/** Word by word. */
export const quillboardProfile = (): Profile =>
  profile('quillboard', 'quillboard', [
    [turnOn, tap('quillboard-next-word')],
    [turnBack, tap('quillboard-previous-word')],
    [dialPress, command('quillboard-bold')],
    [padKey(5), command('quillboard-select-on')],
    [padKey(6), command('quillboard-select-back')],
    [turnOn, tap('quillboard-select-on'), { layer: WORDS }],
    [turnBack, tap('quillboard-select-back'), { layer: WORDS }],
    [dialPress, command('quillboard-capitals'), { layer: WORDS }],
    [turnOn, tap('quillboard-paste'), { layer: CLIPBOARD }],
    [turnBack, tap('quillboard-copy'), { layer: CLIPBOARD }],
    [dialPress, command('quillboard-cut'), { layer: CLIPBOARD }],
  ]);

/** Tabs and pages. */
export const fernwayProfile = (): Profile =>
  profile('fernway', 'fernway', [
    [turnOn, tap('fernway-next-tab')],
    [turnBack, tap('fernway-previous-tab')],
    [mouse('thumb-front'), command('fernway-forward')],
    [mouse('thumb-rear'), command('fernway-back')],
  ]);

/** Loudness. */
export const tinCanProfile = (): Profile =>
  profile('tin-can', 'tin-can', [
    [turnOn, tap('tin-can-louder')],
    [turnBack, tap('tin-can-quieter')],
  ]);

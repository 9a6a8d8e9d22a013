import {
  benchDial,
  type Cell,
  type Control,
  type Device,
  penTablet,
  pocketMouse,
  shuttle,
  type Trigger,
  threePedals,
  triggersOf,
  twelvePad,
  voice,
  wallPanel,
} from '../devices/index.ts';
import {
  BASE_LAYER,
  demoSetup,
  EVERYWHERE,
  executableRule,
  type Macro,
  newPage,
  numberItems,
  numberSteps,
  type Page,
  type RadialMenu,
  type Setup,
} from '../setup/index.ts';

/** A device with only some of its controls, so that random events often meet on one. */
function only(device: Device, controls: readonly string[]): Device {
  return { ...device, controls: device.controls.filter(({ id }) => controls.includes(id)) };
}

/** One control of every kind: pressed, turned, sprung, slid and spoken to. */
export function smallRig(): Device[] {
  const dial = benchDial('dial');
  const mouse = pocketMouse('mouse');
  return [
    {
      ...dial,
      controls: dial.controls.map((control) => ({
        ...control,
        rotor: { kind: 'continuous', stepDegrees: 18, speedUp: { max: 4, from: 100, to: 400 } },
      })),
    },
    only({ ...mouse, settings: { ...mouse.settings, computers: ['Desk', 'Loft'] } }, [
      'left',
      'wheel',
      'thumb-front',
    ]),
    only(twelvePad('pad'), ['key-1', 'key-2', 'key-3', 'upper-knob']),
    only(penTablet('tablet'), ['tip', 'upper-switch']),
    only(shuttle('shuttle'), ['ring', 'jog']),
    only(threePedals('pedals'), ['left', 'right']),
    smallPanel(),
    voice('voice', ['take the frame', 'again']),
  ];
}

/** A panel with cells of its own page, of every page and of a folder, and one that slides both ways. */
function smallPanel(): Device {
  const panel = wallPanel('panel');
  const cells: Readonly<Record<string, Partial<Cell>>> = {
    'cell-1': {},
    'cell-2': { everyPage: true },
    'cell-3': { page: 'takes' },
    'cell-4': { page: 'puppets' },
    'fader-1': {},
  };
  return {
    ...panel,
    controls: panel.controls.flatMap((control) => {
      const own = cells[control.id];
      // What slides slides across as well, by other steps.
      const across = control.slider && { thresholds: [0.2, 0.55] };
      return control.cell && own ? [{ ...control, across, cell: { ...control.cell, ...own } }] : [];
    }),
  };
}

const MACRO = {
  program: null,
  run: 'times',
  times: 1,
  again: 'ignore',
  goesOn: false,
  pace: 0,
} as const;

/** Macros of every way to run; random set-ups change their steps. */
export function smallMacros(): Macro[] {
  return [
    {
      ...MACRO,
      id: 'plain',
      name: 'Plain',
      steps: numberSteps([
        { kind: 'shortcut', shortcut: 'Ctrl+Z' },
        { kind: 'wait', ms: 500 },
        { kind: 'text', text: 'heron' },
      ]),
    },
    {
      ...MACRO,
      id: 'holding',
      name: 'Holding',
      run: 'held',
      goesOn: true,
      steps: numberSteps([
        { kind: 'key-down', code: 'ShiftLeft' },
        { kind: 'wait', ms: 30 },
        { kind: 'shortcut', shortcut: 'Alt+A' },
        { kind: 'macro', macro: 'plain' },
      ]),
    },
    {
      ...MACRO,
      id: 'toggling',
      name: 'Toggling',
      run: 'toggle',
      steps: numberSteps([
        { kind: 'button', button: 0, change: 'down' },
        { kind: 'wait', ms: 80 },
        { kind: 'wheel', ticks: 1, axis: 'vertical' },
      ]),
    },
  ];
}

export function smallMenus(): RadialMenu[] {
  const item = (label: string, action: RadialMenu['items'][number]['action']) => ({
    label,
    icon: null,
    action,
  });
  return [
    {
      id: 'ring',
      name: 'Ring',
      program: null,
      items: numberItems(
        [
          item('Undo', { kind: 'shortcut', shortcut: 'Ctrl+Z' }),
          item('Text', { kind: 'text', text: 'wing' }),
          item('More', { kind: 'radial', menu: 'ring' }),
          item('Plain', { kind: 'macro', macro: 'plain' }),
        ],
        'item',
      ),
    },
  ];
}

/** Folders in each other and of a program, and sets of two programs and of none, on three devices. */
export function smallPages(): Page[] {
  return [
    newPage({ id: 'drawer', device: 'pad', kind: 'folder', name: 'Drawer' }),
    newPage({
      id: 'inner',
      device: 'pad',
      kind: 'folder',
      name: 'Inner',
      within: 'drawer',
      showsThrough: true,
    }),
    newPage({ id: 'lark-drawer', device: 'pad', kind: 'folder', name: 'Larks', program: 'larkframe' }),
    newPage({
      id: 'frames',
      device: 'dial',
      kind: 'set',
      name: 'Frames',
      program: 'larkframe',
      follows: true,
    }),
    newPage({ id: 'strip', device: 'dial', kind: 'set', name: 'Strip', program: 'larkframe' }),
    newPage({ id: 'sizes', device: 'dial', kind: 'set', name: 'Sizes', program: 'brindle' }),
    newPage({ id: 'words', device: 'dial', kind: 'set', name: 'Words' }),
    newPage({ id: 'takes', device: 'panel', kind: 'folder', name: 'Takes' }),
    newPage({ id: 'puppets', device: 'panel', kind: 'set', name: 'Puppets' }),
    newPage({ id: 'more-takes', device: 'panel', kind: 'folder', name: 'More takes', basedOn: 'takes' }),
    newPage({
      id: 'third-takes',
      device: 'panel',
      kind: 'folder',
      name: 'Third takes',
      basedOn: 'more-takes',
    }),
    newPage({ id: 'near', device: 'mouse', kind: 'set', name: 'Near' }),
    newPage({ id: 'paints', device: 'mouse', kind: 'folder', name: 'Paints', program: 'brindle' }),
  ];
}

const PROGRAMS: readonly string[] = ['larkframe', 'brindle', 'hushbox'];

/** Three of the demo's programs with the small rig, three layers, pages, macros, a menu, and nothing bound. */
export function smallSetup(): Setup {
  const demo = demoSetup();
  const profiles = Object.fromEntries(
    [EVERYWHERE, ...PROGRAMS].flatMap((id) => {
      const profile = demo.profiles[id];
      return profile ? [[id, { ...profile, bindings: {} }]] : [];
    }),
  );
  return {
    ...demo,
    programs: demo.programs.filter(({ id }) => PROGRAMS.includes(id)),
    devices: smallRig(),
    layers: [
      { id: BASE_LAYER, name: 'Base' },
      { id: 'second', name: 'Second' },
      { id: 'third', name: 'Third' },
    ],
    profiles: {
      ...profiles,
      'larkframe-export': {
        id: 'larkframe-export',
        name: 'Larkframe, export',
        program: 'larkframe',
        rules: [{ ...executableRule('larkframe'), title: { match: 'glob', text: 'Export*' } }],
        basedOn: 'larkframe',
        bindings: {},
      },
    },
    pages: smallPages(),
    macros: smallMacros(),
    radialMenus: smallMenus(),
  };
}

/** Every device, control and trigger of a set-up. */
export function placesOf(setup: Setup): { device: Device; control: Control; trigger: Trigger }[] {
  return setup.devices.flatMap((device) =>
    device.controls.flatMap((control) =>
      triggersOf(control).map((trigger) => ({ device, control, trigger })),
    ),
  );
}

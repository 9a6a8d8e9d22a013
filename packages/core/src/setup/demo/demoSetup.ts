import { fromCatalogue } from '../../devices/index.ts';
import { numberItems } from '../numbered.ts';
import type { RadialMenu } from '../radialMenu.ts';
import { BASE_LAYER, type Setup } from '../setup.ts';
import { demoMacros } from './macros.ts';
import { demoPages } from './pages.ts';
import {
  brindleProfile,
  everywhere,
  FAR,
  fernwayProfile,
  hushboxProfile,
  larkframeProfile,
  PAINTS,
  quillboardProfile,
  tallowProfile,
  tinCanProfile,
} from './profiles.ts';
import {
  brindle,
  demoCommonCommands,
  fernway,
  hushbox,
  larkframe,
  quillboard,
  tallow,
  tinCan,
} from './programs.ts';
import { withShowing } from './showing.ts';

/** The rig of the demo, from the dial that everyone tries first to the voice. */
const MODELS = [
  // In the order in which the story needs them.
  'bench-dial',
  'pocket-mouse',
  'twelve-pad',
  'pen-tablet',
  'shuttle',
  'three-pedals',
  'wall-panel',
  'six-pad',
] as const;

/** The rig: the mouse can be used at two computers. */
const rig = (): Setup['devices'] =>
  MODELS.flatMap((model) => {
    const device = fromCatalogue(model, model);
    if (!device) return [];
    if (model === 'wall-panel') return [withShowing(device)];
    if (model !== 'pocket-mouse') return [device];
    return [{ ...device, settings: { ...device.settings, computers: ['Studio desk', 'Loft laptop'] } }];
  });

/** A radial menu of paints, in colours of the scene. */
const paints = (): RadialMenu => {
  const item = (label: string, icon: string | null, shortcut: string) => ({
    label,
    icon,
    action: { kind: 'shortcut' as const, shortcut },
  });
  return {
    id: PAINTS,
    name: 'Paints',
    program: null,
    items: numberItems(
      [
        item('Next colour', 'palette', 'C'),
        item('Larger', 'plus', ']'),
        item('Eraser', 'eraser', 'E'),
        item('Smaller', 'minus', '['),
        item('Last colour', 'palette', 'Shift+C'),
        item('Brush', 'brush', 'B'),
      ],
      'item',
    ),
  };
};

/** Saltmarsh Paper Theatre: a two-person paper-puppet workshop finishing “The Heron's Umbrella”. */
export function demoSetup(): Setup {
  const profiles = [
    everywhere(),
    larkframeProfile(),
    brindleProfile(),
    hushboxProfile(),
    tallowProfile(),
    quillboardProfile(),
    fernwayProfile(),
    tinCanProfile(),
  ];
  return {
    name: 'Saltmarsh Paper Theatre',
    keyboards: {},
    madeOn: 'us',
    devices: rig(),
    commonCommands: demoCommonCommands(),
    programs: [larkframe(), brindle(), hushbox(), tallow(), quillboard(), fernway(), tinCan()],
    layers: [
      { id: BASE_LAYER, name: 'Base' },
      { id: FAR, name: 'Far' },
    ],
    pages: demoPages(),
    profiles: Object.fromEntries(profiles.map((profile) => [profile.id, profile])),
    macros: demoMacros(),
    radialMenus: [paints()],
    unreadable: [],
  };
}

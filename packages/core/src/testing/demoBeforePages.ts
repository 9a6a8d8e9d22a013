import { type Control, controlOf, type Device, deviceOf } from '../devices/index.ts';
import { demoSetup, type Setup } from '../setup/index.ts';

/** The wall panel as it was before panels were divided by grids. */
function panelBefore(): Device {
  const cells = Array.from({ length: 12 }, (_, i): Control => {
    const [x, y] = [8 + (i % 4) * 44, 8 + Math.floor(i / 4) * 44];
    const shape = { kind: 'rect', x, y, width: 38, height: 38, radius: 6 } as const;
    return controlOf({ id: `cell-${i + 1}`, name: `Cell ${i + 1}`, kind: 'cell', shape, canPress: true });
  });
  const faders = [0, 1].map((i): Control => {
    const shape = { kind: 'rect', x: 188 + i * 30, y: 8, width: 22, height: 126, radius: 6 } as const;
    const slider = { thresholds: [0.25, 0.5, 0.75] };
    const own = { id: `fader-${i + 1}`, name: `Fader ${i + 1}`, kind: 'slider' } as const;
    return controlOf({ ...own, shape, canPress: false, slider });
  });
  return deviceOf({
    id: 'wall-panel',
    name: 'Wall panel',
    kind: 'touch-panel',
    width: 248,
    height: 142,
    body: [{ kind: 'rect', x: 1, y: 1, width: 246, height: 140, radius: 8 }],
    controls: [...cells, ...faders],
  });
}

/** What opens a page of the panel. */
const OPENER = 'base/wall-panel/cell-8/press';

/** Commands of windows in which programs ask something, which there were not yet. */
const SINCE: ReadonlySet<string> = new Set([
  'larkframe-export',
  'brindle-all-layers',
  'brindle-colours',
  'tallow-wheel-colour',
]);

/** The demo as it was before there were pages, and a pad that has only those. */
export function demoBeforePages(): Setup {
  const demo = demoSetup();
  const pages = new Set(demo.pages.map(({ id }) => id));
  const isOld = (key: string) =>
    !pages.has(key.split('/')[0] ?? '') && !key.includes('/six-pad/') && key !== OPENER;
  const profiles = Object.entries(demo.profiles).map(([id, profile]) => {
    const bindings = Object.entries(profile.bindings).filter(([key]) => isOld(key));
    return [id, { ...profile, bindings: Object.fromEntries(bindings) }] as const;
  });
  return {
    ...demo,
    devices: demo.devices
      .filter(({ id }) => id !== 'six-pad')
      .map((device) => {
        const { controls, width, height, body } = panelBefore();
        return device.id === 'wall-panel'
          ? { ...device, controls, width, height, body, panel: null }
          : device;
      }),
    pages: [],
    programs: demo.programs.map((program) => ({
      ...program,
      commands: program.commands.filter(({ id }) => !SINCE.has(id)),
    })),
    // The first of them, which knew no program then.
    macros: demo.macros.slice(0, 1).map((macro) => ({ ...macro, program: null })),
    profiles: Object.fromEntries(profiles),
  };
}

import Papa from 'papaparse';
import { BASE_LAYER, type Setup, type Slot, slotOf } from '../setup/index.ts';
import {
  describeAction,
  deviceName,
  layerName,
  pageName,
  profileName,
  triggerNameIn,
} from '../words/index.ts';
import { doesWords } from './differenceWords.ts';

/** The columns of a table of bindings. */
export const BINDING_COLUMNS = [
  'Profile',
  'Device',
  'Control',
  'Layer or page',
  'Does',
  'Shortcut',
  'Style',
  'Label',
  'Note',
] as const;

/** Everything that is bound, a row each, in the order of profiles, devices and controls. */
export function bindingRows(setup: Setup): readonly (readonly string[])[] {
  const devices = new Map(setup.devices.map(({ id }, i) => [id, i]));
  const controls = new Map(
    setup.devices.flatMap(({ id, controls: own }) =>
      own.map((control, i) => [`${id}/${control.id}`, i] as const),
    ),
  );
  const order = ({ device, control }: Slot) =>
    (devices.get(device) ?? 0) * 10_000 + (controls.get(`${device}/${control}`) ?? 0);
  return Object.values(setup.profiles).flatMap((profile) =>
    Object.entries(profile.bindings)
      .flatMap(([key, binding]) => {
        const slot = slotOf(profile.id, key);
        return slot ? [{ slot, binding }] : [];
      })
      .sort((a, b) => order(a.slot) - order(b.slot))
      .map(({ slot: { layer, device, control, trigger }, binding }) => {
        const { behaviour, face, note } = binding;
        const action = behaviour.kind === 'action' ? behaviour : null;
        const isPage = setup.pages.some(({ id }) => id === layer);
        return [
          profileName(setup, profile.id),
          deviceName(setup, device),
          triggerNameIn(setup, device, control, trigger),
          layer === BASE_LAYER ? '' : isPage ? pageName(setup, layer) : layerName(setup, layer),
          action ? describeAction(setup, profile, action.action).name : doesWords(setup, profile.id, binding),
          (action && describeAction(setup, profile, action.action).shortcut) ?? '',
          action?.style ?? '',
          face?.label ?? '',
          note ?? '',
        ];
      }),
  );
}

/** All bindings as a table of texts (RFC 4180). What a sheet would take for a formula is kept a text. */
export function bindingsCsv(setup: Setup): string {
  return `${Papa.unparse({ fields: [...BINDING_COLUMNS], data: bindingRows(setup) as string[][] }, { escapeFormulae: true })}\r\n`;
}

/** All bindings as a table in Markdown (GitHub Flavored Markdown, section 4.10), a heading for each profile. */
export function bindingsMarkdown(setup: Setup): string {
  const [, ...columns] = BINDING_COLUMNS;
  const rows = bindingRows(setup);
  const profiles = [...new Set(rows.map(([profile = '']) => profile))];
  const line = (cells: readonly string[]) => `| ${cells.map(cellText).join(' | ')} |`;
  const tables = profiles.map((profile) => {
    const own = rows.filter(([name]) => name === profile).map(([, ...cells]) => line(cells));
    return [
      `## ${profile.replace(/[\\`*_{}[\]<>#|]/g, '\\$&')}`,
      '',
      line(columns),
      line(columns.map(() => '---')),
      ...own,
      '',
    ];
  });
  return [`# ${setup.name.replace(/[\\`*_{}[\]<>#|]/g, '\\$&')}`, '', ...tables.flat()].join('\n');
}

/** What would end a cell, or be read as markup, is a character like any other. */
function cellText(text: string): string {
  return text.replace(/[\\|`*_<>[\]]/g, '\\$&').replace(/\s+/g, ' ');
}

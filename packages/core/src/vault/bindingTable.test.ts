import Papa from 'papaparse';
import { demoSetup, itemAt, type Setup } from '../setup/index.ts';
import { BINDING_COLUMNS, bindingRows, bindingsCsv, bindingsMarkdown } from './index.ts';

/** The demo with a note on a binding. */
function noted(note: string): Setup {
  const setup = structuredClone(demoSetup()) as {
    profiles: Record<string, { bindings: Record<string, { note: string }> }>;
  };
  const binding = setup.profiles.everywhere?.bindings['base/twelve-pad/key-1/press'];
  if (!binding) throw new Error(itemAt.profile('everywhere'));
  binding.note = note;
  return setup as unknown as Setup;
}
const count = (setup: Setup) =>
  Object.values(setup.profiles).reduce((sum, { bindings }) => sum + Object.keys(bindings).length, 0);

test('every binding has a row, whose cells come out of the table as they went in', () => {
  const setup = noted('Left, "the good one"\nsecond line');
  const { data, errors } = Papa.parse<string[]>(bindingsCsv(setup), { skipEmptyLines: true });
  expect(errors).toEqual([]);
  expect(data[0]).toEqual([...BINDING_COLUMNS]);
  expect(data.slice(1)).toEqual(bindingRows(setup));
  expect(data).toHaveLength(count(setup) + 1);
  expect(data).toContainEqual([
    'Everywhere',
    'Twelve pad',
    'Key 1',
    '',
    'Undo',
    'Ctrl+Z',
    'follow',
    'Undo',
    'Left, "the good one"\nsecond line',
  ]);
});

test('what a sheet would take for a formula is a text in it', () => {
  expect(bindingsCsv(noted('=1+1'))).toContain(`"'=1+1"`);
});

test('the table in Markdown has a heading for each profile, and no cell breaks it', () => {
  const text = bindingsMarkdown(noted('a | b\n# no heading <b>`'));
  expect(text).toContain('# Saltmarsh Paper Theatre\n');
  expect(text.match(/^## /gm)).toHaveLength(
    Object.values(demoSetup().profiles).filter(({ bindings }) => Object.keys(bindings).length > 0).length,
  );
  const rows = text.split('\n').filter((line) => line.startsWith('| '));
  const cells = (line: string) => line.match(/(?<!\\)\|/g)?.length;
  expect(new Set(rows.map(cells))).toEqual(new Set([BINDING_COLUMNS.length]));
  expect(text).toContain('a \\| b # no heading \\<b\\>\\`');
});

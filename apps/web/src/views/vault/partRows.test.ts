import { partRows } from './partRows.ts';

const part = (section: string, name: string, ...lines: string[]) => ({
  key: `${section}/${name}`,
  section,
  name,
  lines,
  chip: 'new',
});
const PARTS = [
  part('Devices', 'Six pad'),
  part('Larkframe', 'Key 10', 'Undo → Redo'),
  part('Devices', 'Bench dial'),
  part('Larkframe', 'Key 2'),
];
const told = (search: string) =>
  partRows(PARTS, search).map((row) => (row.kind === 'section' ? [row.name, row.keys.length] : row.name));

test('parts stand under their headings, by name and number', () => {
  expect(told('')).toEqual([['Devices', 2], 'Bench dial', 'Six pad', ['Larkframe', 2], 'Key 2', 'Key 10']);
});

test.each<[string, unknown[]]>([
  ['UNDO', [['Larkframe', 1], 'Key 10']],
  ['devices', [['Devices', 2], 'Bench dial', 'Six pad']],
  ['pad', [['Devices', 1], 'Six pad']],
  ['nothing', []],
])('a search for %s leaves what has it in its heading, name or lines', (search, left) => {
  expect(told(search)).toEqual(left);
});

import fc from 'fast-check';
import {
  applyEdit,
  type Command,
  demoSetup,
  LIMITS,
  newCommand,
  type Setup,
  together,
} from '../setup/index.ts';
import { commandsOf } from './list/planImport.ts';
import { cellProblemWords } from './listWords.ts';
import {
  blockText,
  cellText,
  doubledIn,
  fillDown,
  planPaste,
  readBlock,
  readCell,
  SHEET_COLUMNS,
} from './sheet.ts';

const made = (name: string, shortcut: string): Command =>
  newCommand({ id: name.toLowerCase(), name, shortcut, family: 'edit' });
const after = (setup: Setup, edits: Parameters<typeof together>[0]): Setup => {
  const done = applyEdit(setup, together(edits));
  if (!done.ok) throw new Error(JSON.stringify(done.problem));
  const back = applyEdit(done.value.setup, done.value.inverse);
  expect(back.ok && back.value.setup).toEqual(setup);
  return done.value.setup;
};
const order = (setup: Setup, program: string) => commandsOf(setup, program).map(({ id }) => id);

test.each([
  ['name', '  Take   two ', { name: 'Take two' }],
  ['name', ' ', 'A command needs a name.'],
  ['name', 'x'.repeat(61), 'A name has at most 60 characters, in one line.'],
  ['shortcut', 'ctrl + shift + k', { shortcut: 'Ctrl+Shift+K' }],
  ['shortcut', 'Ctrl+K, Ctrl+S', { shortcut: 'Ctrl+K, Ctrl+S' }],
  ['shortcut', 'Grtl+K', '“Grtl” is not a key. Write it as in Ctrl+Shift+Z, ], ArrowRight or F5.'],
  ['family', 'VIEW', { family: 'view' }],
  ['family', 'File menu', { family: 'system' }],
  ['family', 'wings', '“wings” is no family. There are move, view, edit, tool, time and system.'],
  ['intent', 'Next moment', { intent: 'next-moment' }],
  ['intent', '', { intent: null }],
  ['risky', 'yes', { risky: true }],
  ['risky', '', { risky: false }],
  ['note', ' ', { note: null }],
  ['note', 'x'.repeat(1001), 'A note has at most 1,000 characters.'],
] as const)('a cell of %s: “%s”', (column, text, expected) => {
  const read = readCell(column, text);
  expect(read.ok ? read.value : cellProblemWords(read.problem)).toEqual(expected);
});

test('what is copied of a sheet and pasted over another place of it is the same there', () => {
  const setup = demoSetup();
  const ids = order(setup, 'larkframe');
  fc.assert(
    fc.property(fc.nat(8), fc.integer({ min: 1, max: 6 }), fc.nat(9), fc.nat(5), (from, rows, to, first) => {
      const columns = SHEET_COLUMNS.slice(first);
      const commands = commandsOf(setup, 'larkframe');
      const block = commands.slice(from, from + rows).map((each) => columns.map((c) => cellText(each, c)));
      const at = { program: 'larkframe', order: ids, row: to, column: columns[0] ?? 'name' } as const;
      const plan = planPaste(setup, block, at);
      expect([plan.left, plan.added, plan.taken]).toEqual([[], [], block.length * columns.length]);
      const now = commandsOf(after(setup, plan.edits), 'larkframe');
      const pasted = now.slice(to, to + block.length).map((each) => columns.map((c) => cellText(each, c)));
      expect(pasted).toEqual(block);
    }),
  );
});

test('a block goes to the clipboard and comes back the same, whatever stands in it', () => {
  const text = fc.string({ unit: fc.constantFrom('a', ' ', '"', '\t', '\n', 'é', '=') });
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 4 }),
      fc.array(fc.array(text, { minLength: 4 }), { minLength: 1 }),
      (n, rows) => {
        const block = rows.map((row) => [`x${row[0]}`, ...row.slice(1, n)]);
        expect(readBlock(blockText(block))).toEqual(block);
        expect(readBlock(`${blockText(block)}\r\n`)).toEqual(block);
      },
    ),
  );
  expect(readBlock('')).toEqual([]);
});

test('rows below the last become commands; what does not fit is left and told by its place', () => {
  const setup = demoSetup();
  const ids = order(setup, 'brindle');
  const block = [
    ['Smear', 'Shift+S', 'tool', 'smear', 'no', ''],
    ['Blot', 'Hyper+B', 'tool'],
    ['Bleed', 'Shift+Alt+B', 'wetness'],
    ['', 'F9'],
  ];
  const plan = planPaste(setup, block, { program: 'brindle', order: ids, row: ids.length, column: 'name' });
  expect(plan.left.map(({ row, column, problem }) => [row, column, problem.code])).toEqual([
    [2, 2, 'bad-shortcut'],
    [3, 3, 'no-family'],
    [4, 1, 'name-missing'],
  ]);
  const now = commandsOf(after(setup, plan.edits), 'brindle').slice(ids.length);
  expect(now.map(({ id, name, shortcut, family, intent }) => [id, name, shortcut, family, intent])).toEqual([
    ['brindle-smear', 'Smear', 'Shift+S', 'tool', 'smear'],
    ['brindle-bleed', 'Bleed', 'Shift+Alt+B', 'edit', null],
  ]);
});

test('a full list takes no more, and says so', () => {
  const setup = demoSetup();
  setup.commonCommands = Array.from({ length: LIMITS.commands }, (_, i) => made(`Common ${i}`, 'F1'));
  const at = { program: null, order: order(setup, ''), row: LIMITS.commands, column: 'name' } as const;
  const plan = planPaste(setup, [['One more', 'F2']], at);
  expect(plan).toMatchObject({ edits: [], left: [{ row: 1, problem: { code: 'too-many' } }] });
});

test('filled down: the first gives what it has, never its name', () => {
  const setup = demoSetup();
  const [a = '', b = '', c = ''] = order(setup, 'larkframe');
  const now = after(setup, fillDown(setup, 'larkframe', [a, b, c], ['name', 'family', 'risky']));
  const [first, second, third] = commandsOf(now, 'larkframe');
  expect([second?.family, third?.family]).toEqual([first?.family, first?.family]);
  expect(second?.name).not.toBe(first?.name);
  expect(fillDown(setup, 'larkframe', [a, b], ['name'])).toEqual([]);
});

test('commands with the same keys name each other', () => {
  const list = [made('One', 'F5'), made('Two', 'F6'), made('Three', 'F5')];
  expect([...doubledIn(list)]).toEqual([
    ['one', ['Three']],
    ['three', ['One']],
  ]);
});

import fc from 'fast-check';
import Papa from 'papaparse';
import { NOTATION } from '../../keys/index.ts';
import { applyEdit, demoSetup, newCommand, type Setup } from '../../setup/index.ts';
import { arbitrarySetup, Counted } from '../../testing/index.ts';
import { findColumns } from './columns.ts';
import { importEdit, planWholeImport } from './planImport.ts';
import { readList } from './readList.ts';
import { LIST_FILES, writeList } from './writeList.ts';

/** What a text becomes in Larkframe, a line each: `2 add Undo = Ctrl+Z (edit, undo)`. */
function taken(text: string, setup: Setup = demoSetup(), program: string | null = 'larkframe'): string[] {
  const list = readList(text);
  const columns = findColumns(list.lines, NOTATION);
  const lines = planWholeImport(setup, list, { program, columns, proposes: true }).map(
    ({ line, outcome }) => {
      if (outcome.kind === 'skip') return `${line} skip ${outcome.why.code}`;
      if (outcome.kind === 'same') return `${line} same ${outcome.command.name}`;
      if (outcome.kind === 'change') return `${line} change ${outcome.before.name}: ${outcome.fields.join()}`;
      const { name, shortcut, family, intent, note } = outcome.command;
      return `${line} add ${name} = ${shortcut} (${family}, ${intent})${note ? ` “${note}”` : ''}`;
    },
  );
  return [...lines, ...list.problems.map(({ line, code }) => `${line} ${code}`)];
}

const WANTED = ['add Stage lamp = L (edit, null)', 'add Zoom in = Ctrl+= (view, zoom-in)'];

test.each([
  ['commas, with heads (RFC 4180)', 'Command,Keys\r\nStage lamp,L\r\nZoom in,Ctrl+=\r\n', [2, 3]],
  ['quotes with commas and quotes in them', '"Stage lamp","L"\n"Zoom in","Ctrl+="\n', [1, 2]],
  ['tabs', 'Stage lamp\tL\nZoom in\tCtrl+=', [1, 2]],
  ['semicolons, keys first', 'Tasten;Befehl\nL;Stage lamp\nStrg+=;Zoom in', [2, 3]],
  [
    'a table of Markdown',
    '| Command | Keys |\n|---|:-:|\n| Stage lamp | `L` |\n| Zoom in | `Ctrl`+`=` |',
    [3, 4],
  ],
  ['a list of Markdown', '# Keys\n\n- **Stage lamp**: `L`\n- Zoom in — `Ctrl+=`', [3, 4]],
  [
    'a page',
    '<h1>Keys</h1><table>\n<tr><th>Command</th><th>Keys</th></tr>\n<tr><td>Stage lamp</td><td><kbd>L</kbd></td></tr>\n<tr><td>Zoom&nbsp;in</td><td><kbd>Ctrl</kbd>+<kbd>=</kbd></td></tr></table>',
    [3, 4],
  ],
  ['pairs of a page', '<dl><dt>Stage lamp<dd>L\n<dt>Zoom in<dd>Ctrl+=</dl>', [1, 2]],
  ['items of a page', '<ul><li>Stage lamp: L</li>\n<li>Ctrl+= Zoom in</li></ul>', [1]],
  ['lines with dots', 'Stage lamp ........ L\nZoom in .... Ctrl+=', [1, 2]],
  ['lines with wide spaces, keys first', 'L     Stage lamp\nCtrl+=    Zoom in', [1, 2]],
  ['lines of both', 'Stage lamp: L\n\nZoom in Ctrl+=', [1, 3]],
])('%s', (_form, text, lines) => {
  const found = taken(text.replaceAll('Strg', 'Ctrl'));
  expect(found.slice(0, lines.length)).toEqual(lines.map((line, i) => `${line} ${WANTED[i]}`));
});

test('what is there is known by its name; what a list does not say stays', () => {
  expect(
    taken('Command,Keys,Category\nONION SKIN,O,View\nMagnify here,Ctrl+M,View\nStage lamp,L,Playback\n'),
  ).toEqual([
    '2 change Onion skin: name',
    '3 change Magnify here: shortcut',
    '4 add Stage lamp = L (time, null)',
  ]);
  expect(taken('Onion skin\tO')).toEqual(['1 same Onion skin']);
});

test('every line that becomes nothing says why, and none stops the others', () => {
  expect(
    taken(
      [
        'name\tkeys',
        'Stage lamp\tL',
        'Stage lamp\tK',
        '\tCtrl+K',
        'Nothing bound\t',
        'Odd\tCtrl+Flurb',
        'Pan\tAlt+drag',
        'Two ways\tCtrl+Y or Ctrl+Shift+Z',
      ].join('\n'),
    ),
  ).toEqual([
    '2 add Stage lamp = L (edit, null)',
    '3 skip twice',
    '4 skip no-name',
    '5 skip no-shortcut',
    '6 skip bad-shortcut',
    '7 skip pointer',
    '8 add Two ways = Ctrl+Y (edit, null) “Also Ctrl+Shift+Z”',
  ]);
  expect(taken('name,keys\n"Stage lamp,L\nZoom in,Ctrl+=')).toEqual(['2 quote-open']);
  expect(taken('   ')).toEqual(['1 list-empty']);
  expect(taken('{"format":"nimble-lever/command-list","version":9}')).toEqual(['1 list-format']);
  expect(taken('{"format":"nimble-lever/command-list","version":1,\n "commands":[{}]}')).toContain(
    '2 list-format',
  );
});

test('a name that is too long is cut, and stands whole in the note', () => {
  const long = `Stage lamp ${'on '.repeat(40)}`.trim();
  const [line] = taken(`${long}\tL`);
  expect(line).toMatch(/^1 add Stage lamp (on )+o?n? ?= L/);
  expect(line).toContain(`“${long}”`);
});

test('what is agreed to is one edit, undone as one; more than fits is told', () => {
  const setup = demoSetup();
  const text = Array.from({ length: 2100 }, (_, i) => `Puppet pose ${i}\tF${(i % 12) + 1}`).join('\n');
  const list = readList(text);
  const planned = planWholeImport(setup, list, {
    program: 'larkframe',
    columns: findColumns(list.lines, NOTATION),
    proposes: true,
  });
  const before = setup.programs[0]?.commands.length ?? 0;
  expect(planned.filter(({ outcome }) => outcome.kind === 'add').length).toBe(2000 - before);
  expect(planned.at(-1)?.outcome).toMatchObject({ kind: 'skip', why: { code: 'too-many', limit: 2000 } });
  const edit = importEdit(setup, 'larkframe', planned);
  if (!edit) throw new Error('There is nothing to write.');
  const done = applyEdit(setup, edit);
  if (!done.ok) throw new Error(JSON.stringify(done.problem));
  expect(done.value.setup.programs[0]?.commands.length).toBe(2000);
  expect(done.value.setup.programs[0]?.commands[before]?.name).toBe('Puppet pose 0');
  const undone = applyEdit(done.value.setup, done.value.inverse);
  expect(undone.ok && undone.value.setup).toEqual(setup);
});

test('what was written is read again and is the same, in every form', () => {
  const counted = new Counted();
  fc.assert(
    fc.property(arbitrarySetup, fc.constantFrom(...LIST_FILES), fc.nat(), (setup, file, at) => {
      const program = setup.programs[at % setup.programs.length];
      if (!program) return counted.leftOut();
      counted.tried();
      const list = readList(writeList(program, program.commands, file));
      expect(list.problems).toEqual([]);
      const planned = planWholeImport(setup, list, {
        program: program.id,
        columns: findColumns(list.lines, NOTATION),
        proposes: true,
      });
      expect(planned.map(({ outcome }) => outcome.kind)).toEqual(program.commands.map(() => 'same'));
    }),
    { numRuns: 60 },
  );
  counted.atLeast(0.7);
});

test('names and notes with every sign come back from a table; none begins as a formula', () => {
  const text = fc.string({ unit: 'grapheme', minLength: 1, maxLength: 30 });
  const setup = demoSetup();
  const [program] = setup.programs;
  if (!program) throw new Error('There is no program.');
  const counted = new Counted();
  fc.assert(
    fc.property(text, fc.constantFrom('=', '+', '-', '@', '"', ',', ''), (words, sign) => {
      const note = `${sign}${words}`.replace(/[\p{Cc}\p{Cs}]/gu, ' ').trim();
      if (note === '') return counted.leftOut();
      counted.tried();
      const command = newCommand({ id: 'odd', name: 'Odd one', shortcut: '=', family: 'edit', note });
      const written = writeList(program, [command], 'csv');
      // As any program for tables takes it apart; the shortcut is `=` itself, and stands in a column of its own.
      const [, cells = []] = Papa.parse<string[]>(written).data;
      expect(cells.at(-1)).not.toMatch(/^[=+@-]/);
      const list = readList(written);
      const [line] = planWholeImport(setup, list, {
        program: program.id,
        columns: findColumns(list.lines, NOTATION),
        proposes: false,
      });
      expect(line?.outcome).toMatchObject({ kind: 'add', command: { name: 'Odd one', shortcut: '=', note } });
    }),
  );
  counted.atLeast(0.7);
});

test('any text is read or told what is wrong with it; markup is taken apart and nothing else', () => {
  const piece = fc.oneof(
    fc.constantFrom(
      '<table>',
      '<tr>',
      '<td>',
      '</td>',
      '<script>',
      '</script>',
      '|',
      '---',
      '\t',
      ';',
      ',',
      '"',
    ),
    fc.constantFrom('\n', '- ', '{', '[', 'Ctrl+Z', '⌘Z', ' — ', '<li>', '&amp;', 'Undo'),
    fc.string({ maxLength: 8 }),
  );
  fc.assert(
    fc.property(fc.array(piece, { maxLength: 30 }), (pieces) => {
      const text = pieces.join('');
      const list = readList(text);
      const count = text.split(/\r\n|\r|\n/).length;
      for (const { line } of [...list.lines, ...list.problems]) {
        expect(line).toBeGreaterThanOrEqual(1);
        expect(line).toBeLessThanOrEqual(count);
      }
      const columns = findColumns(list.lines, NOTATION);
      const setup = demoSetup();
      const planned = planWholeImport(setup, list, { program: 'brindle', columns, proposes: true });
      const edit = importEdit(setup, 'brindle', planned);
      if (edit) expect(applyEdit(setup, edit).ok).toBe(true);
    }),
  );
  const silent = '<table><tr><td>Lamp<script>alert("x")</script></td><td>L</td></tr></table>';
  expect(readList(silent).lines).toEqual([{ line: 1, cells: ['Lamp', 'L'] }]);
});

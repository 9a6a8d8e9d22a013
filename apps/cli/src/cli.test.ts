import { spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { jsonSchemas, writeSetupDocument } from '@nimble-lever/core/formats';
import { demoSetup, newMacro, numberSteps } from '@nimble-lever/core/setup';
import { Refused } from './files.ts';
import { serverAddress } from './online/server.ts';
import { run } from './run.ts';

const node = process.execPath;
const root = path.resolve(__dirname, '../../..');
const script = path.join(root, 'scripts/lever.mjs');
const at = (file: string) => path.join(root, 'docs', file);
const [setup, recording] = ['examples/demo.set-up.json', 'examples/afternoon.events.ndjson'].map(at) as [
  string,
  string,
];
const args = (words: string[]) => [script, ...words];
const lever = (...words: string[]) => run(words);
const refused = (...words: string[]): string => {
  try {
    run(words);
  } catch (error) {
    if (error instanceof Refused) return error.message;
    throw error;
  }
  throw new Error('It was not refused.');
};

test('the schemas and the example set-up in the docs are those of the code', () => {
  for (const [name, schema] of Object.entries(jsonSchemas())) {
    expect(JSON.parse(readFileSync(at(`schema/${name}.schema.json`), 'utf8'))).toEqual(schema);
  }
  expect(JSON.parse(readFileSync(setup, 'utf8')).setup).toEqual(demoSetup());
});

test('the example recording becomes the example strokes', () => {
  expect(lever('rehearse', setup, recording)).toBe(
    readFileSync(at('examples/afternoon.strokes.ndjson'), 'utf8'),
  );
});

test('with --explain every event is explained before its strokes, a line each', () => {
  const lines = lever('rehearse', setup, recording, '--explain').trim().split('\n');
  expect(JSON.parse(lines[1] ?? '')).toEqual({
    t: 120,
    cause: 2,
    kind: 'explanation',
    says: 'Bench dial turned 36°. Larkframe, base layer: Step one frame on. 36° ÷ 18° = 2 steps.',
  });
  expect(lines.every((line) => typeof JSON.parse(line).kind === 'string')).toBe(true);
});

test('explain says what a control does in a program, and why', () => {
  expect(lever('explain', setup, '--front', 'Brindle', '--control', 'bench-dial/dial')).toContain(
    'Turn clockwise: ] ×6. Set in Brindle, base layer. Without it, “Scroll down” from Everywhere would apply.',
  );
  expect(
    lever('explain', setup, '--front', 'unheard-of', '--control', 'twelve-pad/key-1', '--trigger', 'press'),
  ).toBe(
    'unheard-of came to the front. No rule fits, so Everywhere applies.\n' +
      'Key 1: Ctrl+Z. Set in Everywhere, base layer. Without it, the control would do what it does by itself.\n',
  );
});

test('explain tells of a page: which one decides, that one covers, or that it is not there', () => {
  const asked = (control: string, ...more: string[]) =>
    ['explain', setup, '--front', 'Larkframe', '--control', control, ...more] as const;
  expect(lever(...asked('bench-dial/dial', '--page', 'film-strip'))).toContain(
    'Turn clockwise: End ×6. Set in Larkframe, set Film strip.',
  );
  expect(lever(...asked('six-pad/key-1', '--page', 'shot'))).toContain(
    'Key 1: Enter. Set in Larkframe, folder Shot.',
  );
  expect(lever(...asked('six-pad/key-1', '--page', 'shot', '--trigger', 'hold'))).toContain(
    'so it is a press',
  );
  expect(refused(...asked('six-pad/key-1', '--page', 'puppet'))).toContain(
    'only there with Brindle in front',
  );
  expect(refused(...asked('six-pad/key-1', '--page', 'frames'))).toContain('There are: shot, puppet.');
});

test('check tells a sound set-up', () => {
  expect(lever('check', setup)).toBe(
    'Saltmarsh Paper Theatre: sound (8 devices, 7 programs, 161 bindings).\n',
  );
});

test('check tells what is worth a look in macros, by the step it is about', () => {
  const demo = demoSetup();
  demo.macros.push(
    newMacro({
      id: 'tried',
      name: 'Tried',
      program: 'brindle',
      steps: numberSteps([
        {
          kind: 'repeat',
          times: 2,
          steps: [
            { kind: 'shortcut', shortcut: 'F7' },
            { kind: 'wait', ms: 20_000 },
          ],
        },
      ]),
    }),
  );
  const made = mkdtempSync(path.join(tmpdir(), 'lever-'));
  const file = path.join(made, 'macros.json');
  writeFileSync(file, writeSetupDocument(demo));
  expect(lever('check', file).split('\n').slice(1, -1)).toEqual([
    expect.stringMatching(/^ {2}Macro “Tried”, step 1\.1: It may open a window, and nothing waits for that/),
    expect.stringMatching(/^ {2}Macro “Tried”, step 1\.2: It waits for 20 s/),
  ]);
  rmSync(made, { recursive: true });
});

test('device prints the controls of a descriptor and what its reports say', () => {
  expect(lever('device', at('examples/bench-dial.hex'), '--report', '02 00', '--report', '00 01')).toBe(
    'dial, 57 bytes, 2 controls\ndial\tdial\tDial\nbutton-1\tbutton\tButton 1\n' +
      'report 02 00\n{"kind":"turn","device":"device","control":"dial","unit":"detents","amount":2}\n' +
      'report 00 01\n{"kind":"down","device":"device","control":"button-1"}\n',
  );
});

test('device takes the descriptors of all interfaces of a device, and reports by their number', () => {
  const both = [at('examples/twelve-pad.hex'), at('examples/nine-mouse.hex')];
  const said = lever('device', ...both, '--report', '2=02 00 00 00 00 00');
  expect(said).toMatch(/^key-pad, \d+ bytes, \d+ controls\n/);
  expect(refused('device', ...both, '--report', '3=00')).toContain('there is no interface 3');
});

test.each([[['help']], [['--help']], [['check', '-h']]])('%j tells how it is used', (words) => {
  expect(lever(...words)).toMatch(/^Usage:\n {2}lever rehearse/);
});

test('what is done goes to standard output, what is refused to standard error with code 2', () => {
  const process = (...words: string[]) => {
    const { status, stdout, stderr } = spawnSync(node, args(words), { encoding: 'utf8' });
    return { status, stdout: stdout.split('\n')[0], stderr: stderr.split('\n')[0] };
  };
  expect(process('--help')).toEqual({ status: 0, stdout: 'Usage:', stderr: '' });
  expect(process('dance')).toEqual({
    status: 2,
    stdout: '',
    stderr: '“dance” is not how this is used.',
  });
});

test('a trigger that is not set is told as what it is instead', () => {
  const hold = ['--front', 'Brindle', '--control', 'twelve-pad/key-1', '--trigger', 'hold'];
  expect(lever('explain', setup, ...hold)).toContain(
    'hold: not set, so it is a press: Ctrl+Z. Nothing set here; comes from Everywhere',
  );
});

test('it works from any folder, and whoever reads it may stop', () => {
  const shell = `node ${JSON.stringify(script)} rehearse ${JSON.stringify(setup)} ${JSON.stringify(recording)} | head -1`;
  const { status, stdout, stderr } = spawnSync('bash', ['-o', 'pipefail', '-c', shell], {
    encoding: 'utf8',
    cwd: tmpdir(),
  });
  expect({ status, stderr: stderr.replace(/^npm warn.*\n/gm, '') }).toEqual({ status: 0, stderr: '' });
  expect(stdout.trim().split('\n')).toHaveLength(1);
});

test('a file that is wrong is told with line, column and path; one in UTF-16 is read', () => {
  const folder = mkdtempSync(path.join(tmpdir(), 'lever-'));
  const wrong = path.join(folder, 'wrong.json');
  writeFileSync(wrong, readFileSync(setup, 'utf8').replace('"id": "far"', '"id": "Far"'));
  expect(refused('check', wrong)).toMatch(
    /wrong\.json: line \d+, column \d+, setup\.layers\[1\]\.id: An id is/,
  );
  const wide = path.join(folder, 'wide.json');
  writeFileSync(wide, `\ufeff${readFileSync(setup, 'utf8')}`, 'utf16le');
  expect(lever('check', wide)).toContain('sound');
  writeFileSync(wrong, Buffer.from([0x7b, 0x22, 0xe9, 0x22]));
  expect(refused('check', wrong)).toContain('not text in UTF-8');
  expect(refused('check', folder)).toContain('This is a folder');
  rmSync(folder, { recursive: true });
});

test('commands are exported, and taken in again change nothing; a list says what its lines become', () => {
  const folder = mkdtempSync(path.join(tmpdir(), 'lever-'));
  const file = (name: string, text: string) => {
    writeFileSync(path.join(folder, name), text);
    return path.join(folder, name);
  };
  for (const form of ['csv', 'markdown', 'json']) {
    const list = file(
      `list.${form}`,
      lever('commands', 'export', setup, '--program', 'Larkframe', '--as', form),
    );
    const after = lever('commands', 'import', setup, list, '--program', 'larkframe');
    expect(JSON.parse(after).setup).toEqual(demoSetup());
  }
  const list = file('help.txt', 'Play or stop – Shift+Space\nWave the wing – F9\nRest – Grtl+X\n');
  expect(lever('commands', 'import', setup, list, '--program', 'larkframe', '--explain').split('\n')).toEqual(
    [
      '1\tPlay or stop | Shift+Space\tchanges keys of Play or stop',
      '2\tWave the wing | F9\tnew: Wave the wing, F9, edit',
      '3\tRest – Grtl+X\tleft out: No keys.',
      '',
    ],
  );
  const after = JSON.parse(lever('commands', 'import', setup, list, '--program', 'larkframe')).setup;
  const [larkframe] = after.programs;
  expect(larkframe.commands.at(-1)).toMatchObject({ name: 'Wave the wing', shortcut: 'F9' });
  const open = file('open.csv', 'name,shortcut\n"Wave,F9\n');
  expect(refused('commands', 'import', setup, open, '--program', 'larkframe')).toContain('Line 2: a quote');
  expect(refused('commands', 'export', setup, '--program', 'nowhere')).toContain(
    'There are: everywhere, larkframe',
  );
  expect(refused('commands', 'export', setup, '--program', 'larkframe', '--as', 'song')).toContain(
    'csv, markdown',
  );
  rmSync(folder, { recursive: true });
});

test('windows lists rules, and tells which profile a window gets and why', () => {
  expect(lever('windows', setup).split('\n')[0]).toBe("Larkframe\t“larkframe” fits the program's name");
  expect(lever('windows', setup, '--try', 'larkframe', 'Larkframe', 'heron')).toBe(
    "Larkframe\nRule “larkframe” fits the program's name.\n",
  );
  expect(lever('windows', setup, '--try', 'other', '', '')).toBe(
    'Everywhere\nNo rule fits, so Everywhere applies.\n',
  );
  expect(refused('windows', setup, '--try', 'other')).toContain('is not how this is used');
});

test.each([
  [['device', path.resolve('package.json')], 'is not a hexadecimal number'],
  [['device', at('examples/bench-dial.hex'), '--report', 'xyz'], '“xyz” is not'],
  [['explain', setup, '--front', 'Brindle', '--control', 'bench-dial/wheel'], 'There are: dial.'],
  [
    ['explain', setup, '--front', 'Brindle', '--control', 'bench-dial/dial', '--trigger', 'slide'],
    'There are: clockwise',
  ],
  [['check', 'nowhere.json'], 'There is no such file.'],
  [['check', recording], 'This is not JSON: there is something after the end.'],
  [['dance'], 'Usage:'],
  [[], 'Usage:'],
  [['check', setup, '--sideways'], 'There is no option --sideways.'],
  [['explain', setup, '--front'], '--front needs a value'],
])('%j is refused in words, without a stack', (words, said) => {
  const message = refused(...words);
  expect(message).toContain(said);
  expect(message).not.toContain('    at ');
});

test.each<[NodeJS.ProcessEnv, string]>([
  [{}, 'http://127.0.0.1:4680'],
  [{ PORT: '4700' }, 'http://127.0.0.1:4700'],
  [{ PORT: '4700', LEVER_SERVER: 'https://studio.example:8443/' }, 'https://studio.example:8443'],
])('with %j the running server is asked at %s', (environment, address) => {
  expect(serverAddress(environment)).toBe(address);
});

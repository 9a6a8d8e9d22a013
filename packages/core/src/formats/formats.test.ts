import { readFileSync } from 'node:fs';
import path from 'node:path';
import fc from 'fast-check';
import { simulate, strokeSchema } from '../engine/index.ts';
import { demoSetup, type Setup } from '../setup/index.ts';
import { arbitraryScenario, arbitrarySetup, demoBeforePages, fuzz, runAll } from '../testing/index.ts';
import { formatProblemWords } from '../words/index.ts';
import { readEventLines, writeStrokeLines } from './lines.ts';
import { readSetupDocument, writeSetupDocument } from './setupDocument.ts';

const EXAMPLES = path.resolve(__dirname, '../../../../docs/examples');

test('a set-up written as a document and read back is the same set-up', () => {
  fuzz(
    fc.property(arbitrarySetup, (setup) => {
      expect(readSetupDocument(writeSetupDocument(setup))).toEqual({
        ok: true,
        value: { setup, part: null, pictures: {} },
      });
    }),
    200,
  );
});

test('pictures go with the set-up; one that is not as it should be is told by its path', () => {
  const id = 'ab'.repeat(32);
  const pictures = { [id]: 'data:image/webp;base64,UklGRg==' };
  expect(readSetupDocument(writeSetupDocument(demoSetup(), pictures))).toEqual({
    ok: true,
    value: { setup: demoSetup(), part: null, pictures },
  });
  const words = (given: Readonly<Record<string, string>>) => {
    const read = readSetupDocument(writeSetupDocument(demoSetup(), given));
    return read.ok ? '' : formatProblemWords(read.problem[0] ?? raise());
  };
  expect(words({ [id]: 'data:text/html,<script>' })).toContain('a data: URL of a WebP file');
  expect(words({ [id.toUpperCase()]: pictures[id] ?? '' })).toContain('SHA-256');
});

const changed = (change: (document: ReturnType<typeof plain>) => unknown) => {
  const document = plain();
  change(document);
  return JSON.stringify(document);
};
const plain = () => structuredClone({ format: 'nimble-lever/set-up', version: 2, setup: demoSetup() });

test.each([
  ['not JSON', '{"format":', 'line 1, column 11: This is not JSON: a value is missing.'],
  [
    'not JSON further down',
    '{\n  "format": "x"\n  "version": 2\n}',
    'line 3, column 3: This is not JSON: a comma is',
  ],
  [
    'a name that every object has',
    writeSetupDocument(demoSetup()).replace('"everywhere": {', '"__proto__": {'),
    'setup.profiles.__proto__: Nothing can be called that',
  ],
  [
    'a field that is not known',
    changed(({ setup }) => Object.assign(setup, { colour: 1 })),
    'setup.colour: There is no such field',
  ],
  [
    'a value of another type',
    changed(({ setup }) => Object.assign(setup.devices[1] ?? {}, { width: 'wide' })),
    'setup.devices[1].width: A number is needed here.',
  ],
  [
    'an id that is none',
    changed(({ setup }) => Object.assign(setup.layers[1] ?? {}, { id: 'Far Away' })),
    'setup.layers[1].id: An id is lower-case letters',
  ],
  [
    'Everywhere based on something',
    changed(({ setup }) => Object.assign(setup.profiles.everywhere ?? {}, { basedOn: 'larkframe' })),
    'setup.profiles.everywhere.basedOn: Everywhere is under all profiles',
  ],
  [
    'a binding of a layer that is not there',
    changed(({ setup }) => Object.assign(setup.layers[1] ?? {}, { id: 'nearer' })),
    'setup.profiles.everywhere.bindings["base/three-pedals/middle/press"]: There is no layer',
  ],
  [
    'a newer version',
    '{"format":"nimble-lever/set-up","version":6}',
    'version: This is version 6, made by a newer',
  ],
  ['another format', '{"format":"letter","version":1}', 'format: This must be "nimble-lever/set-up".'],
  [
    'a shortcut that is none, with its path',
    changed(({ setup }) => Object.assign(setup.programs[1]?.commands[0] ?? {}, { shortcut: 'Ctrl+Wobble' })),
    'setup.programs[1].commands[0].shortcut: “Wobble” is not a key',
  ],
  [
    'a regular expression that could run for ever',
    changed(({ setup }) =>
      Object.assign(setup.programs[0] ?? {}, {
        rules: [{ id: 'rule-1', negative: false, title: { match: 'regex', text: '(?=a)b' } }],
      }),
    ),
    'setup.programs[0].rules[0].title: ',
  ],
  [
    'a binding of a command that is not there',
    changed(({ setup }) => Object.assign(setup, { commonCommands: [] })),
    'The command “mute” is not in this program',
  ],
])('%s is refused in words', (_name, text, words) => {
  const read = readSetupDocument(text);
  expect(read.ok ? '' : formatProblemWords(read.problem[0] ?? raise())).toContain(words);
});

test('what is wrong is told with the line and column of the very thing, as an editor counts them', () => {
  const text = writeSetupDocument(demoSetup()).replace('"Ctrl+Delete"', '"Ctrl+Dalete"');
  const lines = text.split('\n');
  const line = lines.findIndex((each) => each.includes('"shortcut": "Ctrl+Dalete"'));
  const read = readSetupDocument(text);
  expect(read.ok ? null : read.problem[0]).toMatchObject({
    line: line + 1,
    column: (lines[line]?.indexOf('"shortcut"') ?? 0) + 1,
  });
});

test('a byte-order mark is read; a document nested too deep to be walked is refused without an end', () => {
  expect(readSetupDocument(`\ufeff${writeSetupDocument(demoSetup())}`).ok).toBe(true);
  expect(readEventLines('\ufeff{"kind":"time","t":1}').ok).toBe(true);
  expect(readSetupDocument('['.repeat(200_000)).ok).toBe(false);
  expect(readSetupDocument(`${'['.repeat(200_000)}${']'.repeat(200_000)}`).ok).toBe(false);
});

test('everything a schema refuses is refused in our words', () => {
  const raw = /invalid|expected|zod|schema/i;
  const values = [undefined, null, -1, 1e9, 'x'.repeat(500), '\u0000', [], {}, ['a'], { kind: 'x' }];
  const { setup, ...head } = plain();
  const [device] = setup.devices;
  const [program] = setup.programs;
  const small = {
    ...head,
    setup: {
      ...setup,
      devices: [{ ...device, body: device?.body.slice(0, 1), controls: device?.controls.slice(0, 1) }],
      commonCommands: setup.commonCommands.slice(0, 1),
      programs: [{ ...program, commands: program?.commands.slice(0, 1) }],
      layers: setup.layers.slice(0, 1),
      profiles: { everywhere: { ...setup.profiles.everywhere, bindings: {} } },
    },
  };
  const refused = (path: readonly (string | number)[], value: unknown) => {
    const changed = structuredClone(small) as unknown as Record<string | number, unknown>;
    let parent = changed;
    for (const part of path.slice(0, -1)) parent = parent[part] as Record<string | number, unknown>;
    parent[path.at(-1) ?? ''] = value;
    const read = readSetupDocument(JSON.stringify(changed));
    return read.ok ? [] : read.problem.map((problem) => formatProblemWords({ ...problem, path: [] }));
  };
  const walk = (value: unknown, path: readonly (string | number)[]): void => {
    if (path.length > 0)
      for (const other of values) for (const words of refused(path, other)) expect(words).not.toMatch(raw);
    if (typeof value !== 'object' || value === null) return;
    for (const [key, inside] of Object.entries(value).slice(0, Array.isArray(value) ? 1 : 40)) {
      walk(inside, [...path, Array.isArray(value) ? Number(key) : key]);
    }
  };
  walk(small, []);
});

test('a document of version 4 is the same set-up in another order', () => {
  const old = readFileSync(path.join(EXAMPLES, 'demo.version-4.set-up.json'), 'utf8');
  expect(JSON.parse(old).version).toBe(4);
  const read = readSetupDocument(old);
  expect(read).toEqual({ ok: true, value: { setup: demoSetup(), part: null, pictures: {} } });
  const now = readFileSync(path.join(EXAMPLES, 'demo.set-up.json'), 'utf8');
  expect(read.ok && writeSetupDocument(read.value.setup)).toBe(now);
});

test('a document of version 3, in which a layer was shown as a page, has a folder for it', () => {
  const old = readFileSync(path.join(EXAMPLES, 'demo.version-3.set-up.json'), 'utf8');
  expect(JSON.parse(old).version).toBe(3);
  const read = readSetupDocument(old);
  if (!read.ok) throw new Error(read.problem.map(formatProblemWords).join());
  const { setup } = read.value;
  const [page] = setup.pages;
  expect(page).toMatchObject({ device: 'twelve-pad', kind: 'folder', name: 'Near', showsThrough: true });
  const { everywhere, larkframe, ...others } = setup.profiles;
  const onPage = (key: string) => `${page?.id}/twelve-pad/${key}/press`;
  const actionAt = (profile: Setup['profiles'][string] | undefined, key: string) => {
    const behaviour = profile?.bindings[key]?.behaviour;
    return behaviour?.kind === 'action' ? behaviour.action : null;
  };
  expect(actionAt(everywhere, 'base/twelve-pad/key-11/press')).toMatchObject({
    change: 'open',
    page: page?.id,
  });
  expect(actionAt(everywhere, onPage('key-11'))).toMatchObject({ change: 'back' });
  expect(actionAt(larkframe, onPage('key-1'))).toEqual({ kind: 'command', command: 'larkframe-light' });
  // All else is as it was.
  const before = demoBeforePages();
  expect({ ...setup, pages: [], profiles: others }).toEqual({
    ...before,
    profiles: Object.fromEntries(
      Object.entries(before.profiles).filter(([id]) => id !== 'everywhere' && id !== 'larkframe'),
    ),
  });
});

test.each([1, 2])('a document of version %i is brought up to date', (version) => {
  const old = readFileSync(path.join(EXAMPLES, `demo.version-${version}.set-up.json`), 'utf8');
  expect(JSON.parse(old).version).toBe(version);
  // Nobody has said yet on which keyboard it was made, nor what its programs go by.
  const demo = demoBeforePages();
  const plainly = (commands: typeof demo.commonCommands) =>
    commands.map((command) => ({ ...command, risky: false }));
  const programs = demo.programs.map((program) => ({
    ...program,
    keysBy: 'character',
    commands: plainly(program.commands),
  }));
  // The demo had neither commands for windows nor risky ones, nor devices with a choice of reports then.
  const commonCommands = demo.commonCommands.slice(0, 11);
  const devices = demo.devices.map((device) => ({
    ...device,
    settings: { ...device.settings, reportRate: null },
  }));
  const setup = { ...demo, madeOn: null, programs, commonCommands, devices };
  expect(readSetupDocument(old)).toEqual({ ok: true, value: { setup, part: null, pictures: {} } });
});

test('shortcuts of version 2 were places: they are the characters that a United States keyboard has there', () => {
  const text = writeSetupDocument({ ...demoSetup(), madeOn: null });
  const old = text.replace('"version": 4', '"version": 2').replaceAll('"Ctrl+-"', '"Ctrl+Shift+="');
  const read = readSetupDocument(old);
  const brindle = read.ok ? read.value.setup.programs.find(({ id }) => id === 'brindle') : undefined;
  expect(brindle?.commands.find(({ name }) => name === 'Zoom out')?.shortcut).toBe('Ctrl++');
});

test.each([
  [
    '{"kind":"down","t":1,"device":"a","control":"b"}\n\n{"kind":"up"',
    'line 3, column 13: This is not JSON: a closing }',
  ],
  ['{"kind":"down","t":-1,"device":"a","control":"b"}', 'line 1, column 16, t: At least 0.'],
  [
    '{"kind":"front","t":0,"window":{"executable":3}}',
    'line 1, column 33, window.executable: Text is needed here.',
  ],
  ['{"kind":"hop","t":0}', 'line 1, column 2, kind: There is no such kind.'],
])('events %j are refused with line and path', (text, words) => {
  const read = readEventLines(text);
  expect(read.ok ? '' : formatProblemWords(read.problem)).toContain(words);
});

test('every stroke the engine sends fits the stroke schema, written as a line and read back', () => {
  fuzz(
    fc.property(arbitraryScenario, ({ setup, happenings }) => {
      for (const stroke of runAll(setup, happenings).strokes) {
        const line = writeStrokeLines([stroke]);
        expect(strokeSchema.parse(JSON.parse(line))).toEqual(stroke);
      }
    }),
    100,
  );
});

test('a recording read from lines plays', () => {
  const read = readEventLines(
    '{"kind":"turn","t":5,"device":"bench-dial","control":"dial","unit":"degrees","amount":18}\n',
  );
  expect(read.ok && simulate(demoSetup(), read.value).strokes).toMatchObject([{ t: 5, kind: 'wheel' }]);
});

function raise(): never {
  throw new Error('no problem');
}

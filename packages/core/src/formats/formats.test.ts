import { readFileSync } from 'node:fs';
import path from 'node:path';
import fc from 'fast-check';
import { simulate, strokeSchema } from '../engine/index.ts';
import { demoSetup } from '../setup/index.ts';
import { arbitraryScenario, arbitrarySetup, runAll } from '../testing/index.ts';
import { formatProblemWords } from '../words/index.ts';
import { readEventLines, writeStrokeLines } from './lines.ts';
import { readSetupDocument, writeSetupDocument } from './setupDocument.ts';

const EXAMPLES = path.resolve(__dirname, '../../../../docs/examples');

test('a set-up written as a document and read back is the same set-up', () => {
  fc.assert(
    fc.property(arbitrarySetup, (setup) => {
      expect(readSetupDocument(writeSetupDocument(setup))).toEqual({ ok: true, value: setup });
    }),
    { numRuns: 50 },
  );
});

const changed = (change: (document: ReturnType<typeof plain>) => unknown) => {
  const document = plain();
  change(document);
  return JSON.stringify(document);
};
const plain = () => structuredClone({ format: 'nimble-lever/set-up', version: 2, setup: demoSetup() });

test.each([
  ['not JSON', '{"format":', 'This is not JSON.'],
  [
    'a newer version',
    '{"format":"nimble-lever/set-up","version":3}',
    'version: This is version 3, made by a newer',
  ],
  ['another format', '{"format":"letter","version":1}', 'format: Invalid input'],
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
    'setup: The command “mute” is not in this program',
  ],
])('%s is refused in words', (_name, text, words) => {
  const read = readSetupDocument(text);
  expect(read.ok ? '' : formatProblemWords(read.problem[0] ?? raise())).toContain(words);
});

test('a document of version 1 is brought up to date', () => {
  const old = readFileSync(path.join(EXAMPLES, 'demo.version-1.set-up.json'), 'utf8');
  expect(JSON.parse(old).version).toBe(1);
  expect(readSetupDocument(old)).toEqual({ ok: true, value: demoSetup() });
});

test.each([
  ['{"kind":"down","t":1,"device":"a","control":"b"}\n\n{"kind":"up"', 'line 3: This is not JSON.'],
  ['{"kind":"down","t":-1,"device":"a","control":"b"}', 'line 1, t: Too small'],
  ['{"kind":"front","t":0,"window":{"executable":3}}', 'line 1, window.executable: Invalid input'],
  ['{"kind":"hop","t":0}', 'line 1, kind: Invalid'],
])('events %j are refused with line and path', (text, words) => {
  const read = readEventLines(text);
  expect(read.ok ? '' : formatProblemWords(read.problem)).toContain(words);
});

test('every stroke the engine sends fits the stroke schema, written as a line and read back', () => {
  fc.assert(
    fc.property(arbitraryScenario, ({ setup, happenings }) => {
      for (const stroke of runAll(setup, happenings).strokes) {
        const line = writeStrokeLines([stroke]);
        expect(strokeSchema.parse(JSON.parse(line))).toEqual(stroke);
      }
    }),
    { numRuns: 100 },
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

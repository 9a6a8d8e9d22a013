import fc from 'fast-check';
import { readSetupDocument, writeSetupDocument } from '../formats/index.ts';
import { checkSetup, demoSetup } from '../setup/index.ts';
import { fuzz, smallSetup } from '../testing/index.ts';
import { formatProblemWords } from '../words/index.ts';
import { outgoing, planIncoming, proposeMapping, takeIn } from './index.ts';

/** How many files there are in full. */
const FILES = 3_000;

const macro = outgoing(demoSetup(), { kind: 'macro', id: 'hold-a-frame' });
const GOOD = [
  writeSetupDocument(smallSetup()),
  writeSetupDocument(macro.ok ? macro.value : smallSetup(), {}, { kind: 'macro', id: 'hold-a-frame' }),
];

/** What has broken a reader somewhere, as JSON. */
const ODD = [
  'null',
  'true',
  '-1',
  '1e400',
  '9007199254740993',
  '""',
  '"\\u0000"',
  '"\\ud800"',
  '"__proto__"',
  '"constructor"',
  '"<script>alert(1)</script>"',
  '"../../etc/passwd"',
  '"base/pad/key-1/press"',
  '[]',
  '{}',
  '{"__proto__":{"id":"x"}}',
  `${'['.repeat(3000)}${']'.repeat(3000)}`,
  `"${'x'.repeat(20_000)}"`,
];

/** A file with lines dropped, doubled, swapped, their values replaced, or cut off in the middle of one. */
const mutated = fc.constantFrom(...GOOD).chain((text) => {
  const lines = text.split('\n');
  const at = fc.nat(lines.length - 1);
  const change = fc.tuple(
    at,
    fc.constantFrom('drop', 'double', 'swap', 'value', 'value', 'value', 'name', 'cut', 'letter'),
    fc.constantFrom(...ODD),
    at,
  );
  return fc.array(change, { minLength: 1, maxLength: 4 }).map((changes) => {
    const own = [...lines];
    for (const [i, how, odd, other] of changes) {
      const line = own[i] ?? '';
      if (how === 'drop') own.splice(i, 1);
      else if (how === 'double') own.splice(i, 0, line);
      else if (how === 'swap') [own[i], own[other]] = [own[other] ?? '', line];
      else if (how === 'value')
        own[i] = line.replace(/(": |^ *)("[^"]*"|[-\d.]+|null|true|false)/, `$1${odd}`);
      else if (how === 'name') own[i] = line.replace(/"[^"]*":/, `${odd.startsWith('"') ? odd : '"x"'}:`);
      else if (how === 'letter')
        own[i] = line.slice(0, other % (line.length + 1)) + String.fromCharCode(other % 256);
      else own.length = i;
    }
    return own.join('\n');
  });
});

test('no file, however wrong, is met by an error: it is refused in words, or taken in and sound', () => {
  const now = demoSetup();
  const outcomes = { refused: 0, taken: 0 };
  fuzz(
    fc.property(mutated, (text) => {
      const read = readSetupDocument(text);
      if (!read.ok) {
        outcomes.refused += 1;
        const words = read.problem.map(formatProblemWords);
        expect(words.length).toBeGreaterThan(0);
        for (const line of words) {
          expect(line).toMatch(/[.!?]$/);
          expect(line).not.toMatch(/undefined|\[object|Invalid input|ZodError| at .*\.ts/);
        }
        return;
      }
      outcomes.taken += 1;
      const { setup } = read.value;
      const incoming = planIncoming(now, read.value, proposeMapping(now, setup));
      const taken = takeIn(now, incoming, new Map(incoming.parts.map(({ key }) => [key, 'take'])));
      if (taken.ok) expect(checkSetup(taken.value.setup)).toEqual([]);
      expect(({} as Record<string, unknown>).id).toBeUndefined();
    }),
    FILES,
  );
  // Neither all one nor all the other: both ways were gone.
  expect(Math.min(outcomes.refused, outcomes.taken)).toBeGreaterThan(
    (outcomes.refused + outcomes.taken) / 50,
  );
}, 600_000);

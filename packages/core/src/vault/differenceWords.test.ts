import fc from 'fast-check';
import { applyEdit, demoSetup, type Edit, itemAt, type Setup } from '../setup/index.ts';
import { arbitrarySetup, fuzz } from '../testing/index.ts';
import { differencesOf, differenceWords, unitsOf } from './index.ts';

/** What is otherwise after edits of the demo, in words. */
function told(...edits: readonly Edit[]) {
  const from = demoSetup();
  const to = edits.reduce<Setup>((now, edit) => {
    const applied = applyEdit(now, edit);
    if (!applied.ok) throw new Error(JSON.stringify(applied.problem));
    return applied.value.setup;
  }, from);
  return wordsBetween(from, to);
}

function wordsBetween(from: Setup, to: Setup) {
  const compared = { from, to, fromUnits: unitsOf(from), toUnits: unitsOf(to) };
  return differencesOf(compared.fromUnits, compared.toUnits).map((difference) => {
    const { section, name, lines } = differenceWords(compared, difference);
    return [section, name, difference.change, ...lines];
  });
}

const at = itemAt.binding({
  profile: 'larkframe',
  layer: 'base',
  device: 'twelve-pad',
  control: 'key-11',
  trigger: 'press',
});
const sends = (shortcut: string): Edit => ({
  kind: 'set',
  at,
  fields: { behaviour: { kind: 'action', action: { kind: 'shortcut', shortcut }, style: 'latch' } },
});

test.each<[string, Edit[], string[][]]>([
  [
    'a shortcut',
    [sends('Ctrl+F8')],
    [['Larkframe', 'Twelve pad, Key 11', 'added', 'Key 11: nothing set → Ctrl+F8, latch']],
  ],
  [
    'a face alone',
    [
      {
        kind: 'set',
        at: at.replace('key-11', 'key-1').replace('larkframe', 'everywhere'),
        fields: { note: 'why?' },
      },
    ],
    [['Everywhere', 'Twelve pad, Key 1', 'changed', 'Key 1: another note']],
  ],
  [
    'a device',
    [{ kind: 'set', at: itemAt.device('bench-dial'), fields: { name: 'Big dial', 'settings.holdMs': 320 } }],
    [['Devices', 'Big dial', 'changed', 'Time of a hold, ms: 250 → 320', 'Name: Bench dial → Big dial']],
  ],
  [
    'a step',
    [{ kind: 'remove', at: `${itemAt.macro('hold-a-frame')}/steps/step-2` }],
    [['Macros', 'Hold a frame', 'changed', 'Remove the step “wait 500 ms” of Hold a frame']],
  ],
  [
    'the order of programs',
    [{ kind: 'move', at: itemAt.program('tallow'), after: null }],
    [['The set-up itself', 'Order of the programs', 'changed']],
  ],
  [
    'the name of all',
    [{ kind: 'set', at: '', fields: { name: 'Ours' } }],
    [['The set-up itself', 'Name and keyboards', 'changed', 'Name: Saltmarsh Paper Theatre → Ours']],
  ],
])('%s', (_name, edits, expected) => {
  expect(told(...edits)).toEqual(expected);
});

test('whatever differs has words that say where and what', () => {
  fuzz(
    fc.property(arbitrarySetup, (setup) => {
      for (const [section, name, , ...lines] of [
        ...wordsBetween(setup, demoSetup()),
        ...wordsBetween(demoSetup(), setup),
      ]) {
        expect([section, name, ...lines].filter((text) => !text?.trim())).toEqual([]);
        expect([section, name, ...lines].join(' ')).not.toMatch(/undefined|\[object|null/);
      }
    }),
    120,
  );
});

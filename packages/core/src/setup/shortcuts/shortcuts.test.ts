import { SWAPPED } from '../../testing/index.ts';
import { demoSetup } from '../demo/demoSetup.ts';
import { applyEdit, type Setup, together } from '../index.ts';
import { everyShortcut } from './everyShortcut.ts';
import { readAsMadeOn } from './madeOn.ts';
import { freeShortcut, typingReport } from './untypeable.ts';

const after = (setup: Setup, edits: Parameters<typeof together>[0]): Setup => {
  const applied = applyEdit(setup, together(edits));
  if (!applied.ok) throw new Error(applied.problem.code);
  return applied.value.setup;
};
const shortcutOf = (setup: Setup, program: string, name: string) =>
  setup.programs.find(({ id }) => id === program)?.commands.find((command) => command.name === name);

test('every shortcut of a set-up can be replaced where it stands', () => {
  const setup = demoSetup();
  const places = everyShortcut(setup);
  const commands = [setup.commonCommands, ...setup.programs.map((program) => program.commands)].flat().length;
  expect(places.filter(({ command }) => command !== null)).toHaveLength(commands);
  expect(places.length).toBeGreaterThan(commands);
  const replaced = after(
    setup,
    places.map(({ replace }) => replace('F9')),
  );
  expect(everyShortcut(replaced).map(({ shortcut }) => shortcut)).toEqual(places.map(() => 'F9'));
});

test('shortcuts of an older version are read anew as made on another keyboard, but for programs that read places', () => {
  const old = { ...demoSetup(), madeOn: null };
  const setup = after(old, readAsMadeOn(old, SWAPPED));
  expect(setup.madeOn).toBe('swapped');
  // The key at the place of Z types Y there, that of = a dead accent, that of [ an umlaut.
  expect(shortcutOf(setup, 'brindle', 'Undo')?.shortcut).toBe('Ctrl+Y');
  expect(shortcutOf(setup, 'brindle', 'Zoom in')?.shortcut).toBe('Ctrl+´');
  expect(shortcutOf(setup, 'brindle', 'Brush smaller')?.shortcut).toBe('Ü');
  expect(shortcutOf(setup, 'hushbox', 'Undo')?.shortcut).toBe('Ctrl+Z');
  expect(readAsMadeOn(setup, SWAPPED).length).toBeGreaterThan(0);
});

test('what a keyboard cannot type is counted, and answered for that keyboard alone', () => {
  const demo = demoSetup();
  const brindle = demo.programs.find(({ id }) => id === 'brindle');
  if (!brindle) throw new Error('no demo');
  const command = {
    ...brindle.commands[0],
    id: 'odd',
    name: 'Odd',
    shortcut: 'Ctrl+[',
  } as (typeof brindle.commands)[0];
  const missing = { ...command, id: 'gone', name: 'Gone', shortcut: 'Ctrl+Ñ' };
  const programs = demo.programs.map((each) =>
    each === brindle ? { ...each, commands: [...each.commands, command, missing] } : each,
  );
  const setup = { ...demo, programs };
  const report = typingReport(setup, SWAPPED);
  expect(report.all).toBe(everyShortcut(setup).length);
  expect(report.untypeable.map(({ place, why, samePlace }) => [place.shortcut, why, samePlace])).toEqual([
    ['Ctrl+[', 'altgr', 'Ctrl+{BracketLeft}'],
    ['Ctrl+Ñ', 'no-key', null],
  ]);
  const [first, second] = report.untypeable;
  const answered = after(
    setup,
    [first?.use('Ctrl+{BracketLeft}'), second?.use('F9')].flatMap((edit) => edit ?? []),
  );
  expect(typingReport(answered, SWAPPED).untypeable).toEqual([]);
  const odd = shortcutOf(answered, 'brindle', 'Odd');
  expect([odd?.shortcut, odd?.onLayout]).toEqual(['Ctrl+[', { swapped: 'Ctrl+{BracketLeft}' }]);
});

test('a free shortcut is one that the program has for nothing', () => {
  const setup = demoSetup();
  const quillboard = setup.programs.find(({ id }) => id === 'quillboard') ?? null;
  expect(freeShortcut(setup, quillboard, [])).toBe('Ctrl+Shift+A');
  expect(freeShortcut(setup, quillboard, ['Ctrl+Shift+A'])).toBe('Ctrl+Shift+B');
  expect(
    freeShortcut(
      setup,
      null,
      Array.from('ABCDEFGHIJKLMNOPQRSTUVWXYZ', (l) => `Ctrl+Shift+${l}`),
    ),
  ).toBeNull();
});

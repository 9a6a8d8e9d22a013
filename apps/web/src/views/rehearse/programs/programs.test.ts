import { demoSetup } from '@nimble-lever/core/setup';
import { rehearseReducer, runShortcut, shortcutArrived } from '../rehearseSlice.ts';
import { BRINDLE_COMMANDS, markBegun, markDrawn } from './brindle.ts';
import { LARKFRAME_COMMANDS, playOn } from './larkframe.ts';

const initial = rehearseReducer(undefined, { type: 'start' });
const press = (program: 'larkframe' | 'brindle', shortcuts: string) =>
  shortcuts
    .split(' ')
    .reduce((state, shortcut) => rehearseReducer(state, shortcutArrived({ program, shortcut })), initial);

test.each([
  ['larkframe', LARKFRAME_COMMANDS],
  ['brindle', BRINDLE_COMMANDS],
] as const)('%s runs every command of its list in the demo, under the same name', (id, commands) => {
  const known = demoSetup().programs.find((program) => program.id === id)?.commands ?? [];
  const own = new Map<string, string>(commands.map(({ shortcut, name }) => [shortcut, name]));
  expect(known.map(({ shortcut }) => [shortcut, own.get(shortcut)])).toEqual(
    known.map(({ shortcut, name }) => [shortcut, name]),
  );
});

test.each([
  ['ArrowRight ArrowRight', 5, 7],
  ['ArrowRight ArrowRight ArrowRight ArrowRight ArrowRight', 6, 7],
  ['Home ArrowLeft', 0, 7],
  ['Enter', 4, 8],
  ['Enter Ctrl+Z', 3, 7],
  ['Enter Ctrl+Z Ctrl+Shift+Z', 4, 8],
  ['End Delete', 5, 6],
  ['Home Delete Delete Delete Delete Delete Delete Delete', 0, 1],
  ['D', 4, 8],
  ['Ctrl+Z', 3, 7],
])('Larkframe: %s shows frame %s of %s', (shortcuts, at, count) => {
  const { larkframe } = press('larkframe', shortcuts);
  expect([larkframe.at, larkframe.frames.length]).toEqual([at, count]);
});

test('Larkframe plays round and round, and only while playing', () => {
  const { larkframe } = press('larkframe', 'Space End');
  expect(playOn(larkframe).at).toBe(0);
  expect(playOn({ ...larkframe, playing: false })).toMatchObject({ at: 6 });
});

test.each([
  ['] ]', { size: 25 }],
  ['[', { size: 13 }],
  [Array(30).fill('[').join(' '), { size: 2 }],
  [Array(30).fill(']').join(' '), { size: 64 }],
  ['E', { tool: 'eraser' }],
  ['C C C C C', { paint: 1 }],
  ['Ctrl+= Ctrl+=', { zoom: 1.5625 }],
  ['Ctrl+= Ctrl+0', { zoom: 1 }],
  ['Shift+R Shift+R', { angle: 30 }],
  ['Shift+R Ctrl+U', { angle: 0 }],
  ['Ctrl+Delete', { marks: [] }],
])('Brindle: %s gives %j', (shortcuts, expected) => {
  expect(press('brindle', shortcuts).brindle).toMatchObject(expected);
});

test('Brindle takes marks back and brings them again', () => {
  const painted = markDrawn(markBegun(initial.brindle, [10, 10]), [20, 20]);
  expect(painted.marks.at(-1)).toEqual({
    points: [
      [10, 10],
      [20, 20],
    ],
    size: 16,
    paint: 1,
  });
  const back = runShortcut({ ...initial, brindle: painted }, 'brindle', 'Ctrl+Z');
  expect(back?.state.brindle.marks).toEqual(initial.brindle.marks);
  expect(back && runShortcut(back.state, 'brindle', 'Ctrl+Y')?.state.brindle.marks).toEqual(painted.marks);
  expect(runShortcut(initial, 'brindle', 'Ctrl+Shift+Z')).toBeNull();
});

import { demoSetup } from '@nimble-lever/core/setup';
import fc from 'fast-check';
import { endShortcut, programsReducer, runShortcut } from '../programsSlice.ts';
import { markBegun, markDrawn } from './brindle.ts';
import { HUSHBOX_PROGRAM, LENGTH, loudnessAt, playedOn, scrubbed } from './hushbox.ts';
import { playOn } from './larkframe.ts';
import { wordEnd, wordStart } from './quillboard.ts';
import { isPracticeProgram, type PracticeProgram, STAND_INS, standInOf } from './standIns.ts';
import { gradeTables, PLAIN } from './tallow.ts';

const initial = programsReducer(undefined, { type: 'start' });
const press = (program: PracticeProgram, shortcuts: string) =>
  shortcuts
    .split(' ')
    .reduce((state, shortcut) => runShortcut(state, program, shortcut)?.state ?? state, initial);

test.each(demoSetup().programs.map(({ id, commands }) => [id, commands] as const))(
  '%s has a stand-in that runs every command of its list in the demo, under the same name',
  (id, known) => {
    if (!isPracticeProgram(id)) throw new Error(`${id} has no stand-in`);
    const own = new Map(standInOf(id).commands.map(({ shortcut, name }) => [shortcut, name]));
    expect(known.map(({ shortcut }) => [shortcut, own.get(shortcut)])).toEqual(
      known.map(({ shortcut, name }) => [shortcut, name]),
    );
    expect(own.size).toBeGreaterThanOrEqual(15);
    expect(own.size).toBe(standInOf(id).commands.length);
  },
);

const anyProgram = fc.constantFrom(...(Object.keys(STAND_INS) as PracticeProgram[]));
const anyRun = anyProgram.chain((program) =>
  fc.record({
    program: fc.constant(program),
    shortcuts: fc.array(fc.constantFrom(...standInOf(program).commands.map(({ shortcut }) => shortcut)), {
      maxLength: 30,
    }),
  }),
);

test('whatever commands run, a program says something and can be drawn on; undone as often, it is what it was', () => {
  fc.assert(
    fc.property(anyRun, ({ program, shortcuts }) => {
      let state = initial;
      for (const shortcut of shortcuts) {
        const ran = runShortcut(state, program, shortcut);
        if (!ran) throw new Error(shortcut);
        expect(ran.said).not.toMatch(/undefined|NaN/);
        state = endShortcut(ran.state, program, shortcut) ?? ran.state;
      }
      for (let i = 0; i <= shortcuts.length; i++) {
        state = runShortcut(state, program, 'Ctrl+Z')?.state ?? state;
      }
      const kept = {
        larkframe: 'frames',
        brindle: 'marks',
        tallow: 'shots',
        hushbox: 'cuts',
        quillboard: 'cards',
        kettleby: 'graph',
      };
      const field = kept[program as keyof typeof kept];
      const inside = (of: typeof state) => (of[program] as unknown as Record<string, unknown>)[field];
      if (field) expect(inside(state)).toEqual(inside(initial));
    }),
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

test.each<readonly [PracticeProgram, string, object]>([
  ['brindle', '] ]', { size: 25 }],
  ['brindle', '[', { size: 13 }],
  ['brindle', Array(30).fill('[').join(' '), { size: 2 }],
  ['brindle', Array(30).fill(']').join(' '), { size: 64 }],
  ['brindle', 'E', { tool: 'eraser' }],
  ['brindle', 'C C C C C', { paint: 1 }],
  ['brindle', 'C Shift+C', { paint: 1 }],
  ['brindle', 'Ctrl+= Ctrl+=', { zoom: 1.5625 }],
  ['brindle', 'Ctrl+= Ctrl+0', { zoom: 1 }],
  ['brindle', 'Shift+R Shift+R', { angle: 30 }],
  ['brindle', 'Shift+R Ctrl+U', { angle: 0 }],
  ['brindle', 'Ctrl+Delete', { marks: [] }],
  ['hushbox', 'L L J', { at: 12.5 }],
  ['hushbox', 'PageDown PageDown PageUp', { at: 8 }],
  ['hushbox', 'Z', { view: { from: 18, to: 24 } }],
  ['hushbox', 'Home Shift+L Shift+J', { selection: null }],
  ['hushbox', 'Home Shift+L Z', { view: { from: 0, to: 3 } }],
  ['hushbox', 'End Shift+J Z Ctrl+=', { view: { from: 45, to: 48 } }],
  ['hushbox', 'Z L', { at: 12.5, view: { from: 9.5, to: 15.5 } }],
  ['hushbox', 'Home Ctrl+E M', { cuts: [0, 14], markers: [0, 8, 26] }],
  ['hushbox', 'Home Shift+L Shift+L', { selection: { from: 0, to: 1 } }],
  ['hushbox', 'Home Shift+L Shift+L Shift+J Delete', { silenced: [{ from: 0, to: 0.5 }] }],
  ['tallow', '1 ]', { tone: 'shadows', at: 0 }],
  ['tallow', 'PageDown PageDown PageDown', { at: 2 }],
  ['quillboard', 'Ctrl+ArrowRight Ctrl+Shift+ArrowRight', { anchor: 3, caret: 9 }],
  ['quillboard', 'Ctrl+ArrowRight Ctrl+Shift+ArrowRight Ctrl+X', { caret: 3, copied: ' heron' }],
  ['quillboard', 'PageDown Ctrl+Enter', { at: 2, caret: 0 }],
  ['fernway', 'Ctrl+PageUp', { at: 2 }],
  ['fernway', 'Ctrl+W Ctrl+W Ctrl+W Ctrl+W Ctrl+Shift+T', { at: 1 }],
  ['fernway', 'Alt+ArrowLeft Alt+ArrowLeft', { tabs: [{ at: 0 }, {}, {}] }],
  ['tin-can', 'PageUp Enter', { at: 3, ringing: 3 }],
])('%s: %s gives %j', (program, shortcuts, expected) => {
  expect(press(program, shortcuts)[program]).toMatchObject(expected);
});

test('Quillboard: the heron waits, word by word', () => {
  const after = press('quillboard', 'Ctrl+Shift+ArrowRight Ctrl+Shift+K Ctrl+End Ctrl+Backspace');
  expect(after.quillboard.cards[0]?.text).toBe('THE heron waits in the rain. Her umbrella is still ');
  expect(press('quillboard', 'Ctrl+B').quillboard.cards[0]?.text).toMatch(/^\*The\* heron/);
});

test('words are found from both sides, as Unicode has letters', () => {
  const text = 'Über den Reiher, leise.';
  expect([wordEnd(text, 0), wordEnd(text, 4), wordEnd(text, 99)]).toEqual([4, 8, text.length]);
  expect([wordStart(text, text.length), wordStart(text, 4), wordStart(text, 0)]).toEqual([17, 0, 0]);
});

test('Tin Can talks as long as its key is down, and is heard while its microphone is on', () => {
  const { state, said } = runShortcut(initial, 'tin-can', 'F13') ?? { state: initial, said: '' };
  expect([said, state['tin-can'].talking]).toEqual(['You are heard by Puppet room.', true]);
  expect(endShortcut(state, 'tin-can', 'F13')?.['tin-can'].talking).toBe(false);
  expect(endShortcut(state, 'tin-can', 'Q')).toBeNull();
});

test('Hushbox: what is heard stays between silence and full, and playing stops at the end', () => {
  fc.assert(
    fc.property(fc.double({ min: 0, max: LENGTH, noNaN: true }), (t) => {
      expect(loudnessAt(t)).toBeGreaterThan(0);
      expect(loudnessAt(t)).toBeLessThanOrEqual(1);
    }),
  );
  const playing = { ...press('hushbox', 'End Space').hushbox };
  expect(playedOn(playing, 1)).toMatchObject({ at: LENGTH, playing: false });
  expect(playedOn({ ...playing, playing: false }, 1).playing).toBe(false);
});

test('Hushbox: whatever is done and wherever one points, what is seen is a part of the recording', () => {
  const anyStep = fc.oneof(
    fc.constantFrom(...HUSHBOX_PROGRAM.commands.map(({ shortcut }) => shortcut)),
    fc.double({ min: -60, max: 60, noNaN: true }),
  );
  fc.assert(
    fc.property(fc.array(anyStep, { maxLength: 40 }), (steps) => {
      let state = initial;
      for (const step of steps) {
        if (typeof step === 'string') state = runShortcut(state, 'hushbox', step)?.state ?? state;
        else state = { ...state, hushbox: scrubbed(state.hushbox, step) };
        const { at, view, selection } = state.hushbox;
        expect(at >= 0 && at <= LENGTH).toBe(true);
        expect(view.from >= 0 && view.to <= LENGTH).toBe(true);
        expect(view.to - view.from).toBeGreaterThan(2.999);
        if (selection) expect(selection.to).toBeGreaterThan(selection.from);
      }
    }),
  );
});

test('Tallow: a plain grade changes nothing; a wheel moves its own tone most; faders reach it as messages', () => {
  const straight = Array.from({ length: 9 }, (_, i) => i / 8);
  expect(gradeTables(PLAIN)).toEqual({ red: straight, green: straight, blue: straight });
  const warm = { ...PLAIN, wheels: { ...PLAIN.wheels, lights: { hue: 0, strength: 1, level: 0 } } };
  const { red, blue } = gradeTables(warm);
  // By hand: at 1/2 lights count 1/4, so red rises by 0.35 / 4 and blue, 240° away, falls by half of that.
  expect(red[4]).toBeCloseTo(0.5 + 0.35 / 4, 10);
  expect(blue[4]).toBeCloseTo(0.5 - 0.35 / 8, 10);
  expect(red[0]).toBe(0);
  const message = { protocol: 'osc', address: '/tallow/saturation', low: 0, high: 1 } as const;
  const heard = STAND_INS.tallow.message?.(initial.tallow, message, 0.25);
  expect(heard?.state.shots[0]?.saturation).toBe(0.5);
  expect(STAND_INS.tallow.message?.(initial.tallow, { ...message, address: '/other' }, 1)).toBeNull();
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
  expect(markBegun(initial.brindle, [1, 1], true).marks.at(-1)?.paint).toBeNull();
  const back = runShortcut({ ...initial, brindle: painted }, 'brindle', 'Ctrl+Z');
  expect(back?.state.brindle.marks).toEqual(initial.brindle.marks);
  expect(back && runShortcut(back.state, 'brindle', 'Ctrl+Y')?.state.brindle.marks).toEqual(painted.marks);
  expect(runShortcut(initial, 'brindle', 'Ctrl+Shift+Z')).toBeNull();
});

import { US_KEYBOARDS } from '@nimble-lever/core/engine';
import type { FrontWindow } from '@nimble-lever/core/resolve';
import { type BareStep, type Macro, newMacro, numberSteps } from '@nimble-lever/core/setup';
import { short, smallSetup } from '@nimble-lever/core/testing';
import { MacroTrial, type TrialSpeed, type TrialState } from './macroTrial.ts';
import { VirtualClock } from './virtualClock.ts';

const press = (shortcut: string): BareStep => ({ kind: 'shortcut', shortcut });
const wait = (ms: number): BareStep => ({ kind: 'wait', ms });
const window = (executable: string): FrontWindow => ({ executable, class: '', title: '' });
const until = (executable: string): BareStep => ({
  kind: 'until',
  window: { executable: { match: 'exact', text: executable }, class: null, title: null },
  atMostMs: 3000,
  late: 'stop',
});

/** A trial at a desk where a key brings up a window, a while later. */
function tried(
  steps: readonly BareStep[],
  how: {
    speed?: TrialSpeed;
    from?: string;
    opens?: Record<string, [string, number]>;
    /** Whether the desk tells that a window begins to open. */
    opening?: boolean;
    more?: Partial<Macro>;
  } = {},
) {
  const macro = newMacro({ id: 'tried', name: 'Tried', steps: numberSteps(steps), ...how.more });
  const setup = smallSetup();
  const clock = new VirtualClock();
  const states: TrialState[] = [];
  let front: FrontWindow | null = window('larkframe');
  const trial: MacroTrial = new MacroTrial({
    setup: { ...setup, macros: [...setup.macros, macro] },
    keyboards: US_KEYBOARDS,
    macro: 'tried',
    from: how.from ?? null,
    speed: how.speed ?? 'full',
    clock,
    carrier: {
      carryOut: (stroke) => {
        const opens = stroke.kind === 'key-down' ? how.opens?.[stroke.code] : undefined;
        if (!opens) return;
        if (how.opening) trial.opening();
        clock.wakeAt(clock.now() + opens[1], () => {
          front = window(opens[0]);
          trial.front(front);
        });
      },
      front: () => front,
    },
    changed: (state) => states.push(state),
    failed: (error) => {
      throw error;
    },
  });
  trial.start();
  // Each step's by itself: a thousandth of a millisecond apart.
  const sent = () =>
    short({ strokes: trial.state.sent.map((stroke) => ({ ...stroke, t: Math.round(stroke.t) })) });
  return { trial, clock, sent, states };
}
const tap = (t: number, key: string) => `@${t} +Key${key} @${t} -Key${key}`;

test('a macro runs at its own times, and tells what it sent and that it ended', () => {
  const { trial, clock, sent } = tried([press('A'), wait(500), press('B')]);
  expect(trial.state).toMatchObject({ status: 'running', last: 'step-1', next: 'step-3' });
  clock.advanceTo(600);
  expect(sent()).toBe(`${tap(0, 'A')} ${tap(500, 'B')}`);
  expect(trial.state).toMatchObject({ status: 'ended', next: null, held: [] });
});

test('at half the speed it takes twice as long', () => {
  const { trial, clock } = tried([press('A'), wait(500), press('B')], { speed: 'half' });
  clock.advanceTo(999);
  expect(trial.state).toMatchObject({ status: 'running', next: 'step-3' });
  clock.advanceTo(1001);
  expect(trial.state.status).toBe('ended');
});

test('step by step nothing comes by itself, and each time one thing is sent', () => {
  const { trial, clock, sent } = tried(
    [press('A'), press('B'), { kind: 'hold', keys: 'Alt', steps: [press('C')] }],
    { speed: 'steps' },
  );
  clock.advanceTo(60_000);
  const seen = [trial.state.next];
  for (let i = 0; i < 6; i++) {
    trial.goOn();
    seen.push(trial.state.next);
  }
  expect(seen).toEqual(['step-2', 'step-3', 'step-3-1', 'step-3', null, null, null]);
  expect(sent().replaceAll(/@\d+ /g, '')).toBe('+KeyA -KeyA +KeyB -KeyB +AltLeft +KeyC -KeyC -AltLeft');
  expect(trial.state.status).toBe('ended');
});

test('a window that comes is told with how long it took, and what brought it up', () => {
  const { trial, clock } = tried([press('A'), until('brindle'), press('B')], {
    opens: { KeyA: ['brindle', 410] },
  });
  expect(trial.state).toMatchObject({ status: 'waiting', next: 'step-2' });
  clock.advanceTo(500);
  expect(trial.state.status).toBe('ended');
  expect(trial.state.waits.get('step-2')).toEqual({ how: 'came', ms: 410 });
  expect([...trial.state.opened]).toEqual([['step-1', window('brindle')]]);
});

test('a window that is long in coming is what the step that asked for it opens, and no later one', () => {
  const { trial, clock } = tried([press('A'), press('B'), wait(500), press('C'), wait(900), press('D')], {
    opens: { KeyB: ['brindle', 800] },
    opening: true,
  });
  clock.advanceTo(2000);
  expect([...trial.state.opened.keys()]).toEqual(['step-2']);
});

test('a window that does not come stops it, and that is told', () => {
  const { trial, clock, sent } = tried([{ kind: 'key-down', code: 'KeyF' }, until('brindle'), press('B')]);
  clock.advanceTo(4000);
  expect(trial.state).toMatchObject({ status: 'late', held: [] });
  expect(trial.state.waits.get('step-2')).toEqual({ how: 'late', ms: 3000 });
  expect(sent()).toBe('@0 +KeyF @3000 -KeyF');
});

test('step by step while a window is waited for nothing goes on; once it came the next step does', () => {
  const { trial, sent } = tried([until('brindle'), press('B')], { speed: 'steps' });
  trial.goOn();
  expect(trial.state).toMatchObject({ status: 'waiting', next: 'step-1' });
  trial.front(window('brindle'));
  expect(trial.state).toMatchObject({ status: 'running', next: 'step-2' });
  trial.goOn();
  expect(sent()).toBe(tap(0, 'B'));
});

test('stopped in the middle: what it holds comes up, and nothing more is sent', () => {
  const { trial, clock, sent } = tried([{ kind: 'hold', keys: 'Alt', steps: [wait(500), press('A')] }]);
  expect(trial.state.held).toMatchObject([{ kind: 'key', code: 'AltLeft' }]);
  clock.advanceTo(100);
  trial.stop();
  clock.advanceTo(5000);
  expect(sent()).toBe('@0 +AltLeft @100 -AltLeft');
  expect(trial.state).toMatchObject({ status: 'stopped', held: [], next: null });
});

test('from a step on, in the block it stands in', () => {
  const steps = [
    press('A'),
    { kind: 'hold', keys: 'Alt', steps: [press('B'), press('Alt+C')] } as const,
    press('D'),
  ];
  const { sent, clock } = tried(steps, { from: 'step-2-2' });
  clock.advanceTo(1);
  expect(sent()).toBe('@0 +AltLeft @0 +KeyC @0 -KeyC @0 -AltLeft @0 +KeyD @0 -KeyD');
});

test('a macro of a program is bound there: another program’s window stops it', () => {
  const more = { program: 'larkframe' };
  const { trial, clock, sent } = tried([press('A'), wait(500), press('B')], {
    more,
    opens: { KeyA: ['brindle', 100] },
  });
  clock.advanceTo(900);
  expect(sent()).toBe(tap(0, 'A'));
  expect(trial.state.status).toBe('ended');
});

test('one that runs while it is held is held until it is stopped', () => {
  const { trial, clock, sent } = tried([press('A'), wait(100)], { more: { run: 'held' } });
  clock.advanceTo(250);
  expect(trial.state.status).toBe('running');
  trial.stop();
  expect(sent()).toBe([0, 100, 200].map((t) => tap(t, 'A')).join(' '));
});

test('what asks waits for an answer, by itself and step by step', () => {
  const steps: BareStep[] = [{ kind: 'text', text: 'Wing ‹ask Which?›' }, press('A')];
  const { trial, clock, states } = tried(steps);
  expect(states.at(-1)).toMatchObject({ status: 'asking', questions: ['Which?'], sent: [] });
  trial.answer(['left']);
  clock.advanceTo(1);
  expect(states.at(-1)).toMatchObject({ status: 'ended', questions: [] });
  expect(short({ strokes: states.at(-1)?.sent ?? [] })).toContain('“Wing left”');

  const apart = tried(steps, { speed: 'steps' });
  apart.trial.goOn();
  expect(apart.states.at(-1)?.status).toBe('asking');
  apart.trial.goOn();
  expect(apart.states.at(-1)?.sent).toEqual([]);
  apart.trial.answer(['right']);
  apart.trial.goOn();
  expect(short({ strokes: apart.states.at(-1)?.sent ?? [] })).toContain('“Wing right”');

  const refused = tried(steps);
  refused.trial.answer(null);
  expect(refused.states.at(-1)).toMatchObject({ status: 'ended', sent: [], questions: [] });
});

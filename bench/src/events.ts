import {
  type Compiled,
  compile,
  type EngineEvent,
  type EngineState,
  INITIAL_STATE,
  step,
} from '@nimble-lever/core/engine';
import type { Setup } from '@nimble-lever/core/setup';
import { type Times, timed } from './times.ts';

/** Random but repeatable numbers from 0 to 1 (mulberry32). */
function numbers(seed: number): () => number {
  let state = seed;
  return () => {
    state = (state + 0x6d2b79f5) | 0;
    let mixed = Math.imul(state ^ (state >>> 15), 1 | state);
    mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), 61 | mixed)) ^ mixed;
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4_294_967_296;
  };
}

/** A hand at work: presses, turns, and now and then another program in front. */
export function handAtWork(setup: Setup, count: number): EngineEvent[] {
  const next = numbers(468);
  const places = setup.devices.flatMap(({ id, controls }) =>
    controls.map((control) => ({ device: id, control })),
  );
  const events: EngineEvent[] = [];
  for (let t = 0; events.length < count; t += 20) {
    const place = places[Math.floor(next() * places.length)];
    if (!place) throw new Error('The set-up has no controls.');
    const at = { device: place.device, control: place.control.id };
    if (next() < 0.02) {
      const program = setup.programs[Math.floor(next() * setup.programs.length)];
      const executable = program?.rules[0]?.executable?.text ?? '';
      events.push({ kind: 'front', t, window: { executable, class: '', title: '' } });
    } else if (place.control.rotor && next() < 0.7) {
      events.push({ kind: 'turn', t, ...at, unit: 'detents', amount: next() < 0.5 ? 1 : -1 });
    } else {
      events.push({ kind: 'down', t, ...at }, { kind: 'up', t: t + 10, ...at });
    }
  }
  return events.slice(0, count);
}

/** Runs events over and over, each round later than the one before. */
export function runner(compiled: Compiled, events: readonly EngineEvent[]) {
  let state: EngineState = INITIAL_STATE;
  const round = (events.at(-1)?.t ?? 0) + 1000;
  return (i: number) => {
    const event = events[i % events.length];
    if (!event) return;
    const t = event.t + Math.floor(i / events.length) * round;
    state = step(compiled, state, { ...event, t: Math.max(state.now, t) }).state;
  };
}

/** Times every event of a run through the engine. */
export function timeEvents(setup: Setup, count: number): Times {
  return timed(count, runner(compile(setup), handAtWork(setup, count)));
}

/** How much more memory is in use after many events than after a tenth of them: bytes. */
export function memoryGrowth(setup: Setup, count: number): number {
  const go = runner(compile(setup), handAtWork(setup, 100_000));
  const used = () => {
    for (let i = 0; i < 4; i++) globalThis.gc?.();
    return process.memoryUsage().heapUsed;
  };
  let before = 0;
  for (let i = 0; i < count; i++) {
    if (i === Math.floor(count / 10)) before = used();
    go(i);
  }
  return used() - before;
}

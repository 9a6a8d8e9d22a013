import { compile, type EngineEvent, INITIAL_STATE, step } from '@nimble-lever/core/engine';
import type { Setup } from '@nimble-lever/core/setup';

export interface EventTimes {
  /** Microseconds for one event. */
  readonly median: number;
  readonly p99: number;
  readonly perSecond: number;
}

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
    const { device, control } = places[Math.floor(next() * places.length)] ?? raise();
    const at = { device, control: control.id };
    if (next() < 0.02) {
      const program = setup.programs[Math.floor(next() * setup.programs.length)];
      const executable = program?.rules[0]?.executable?.text ?? '';
      events.push({ kind: 'front', t, window: { executable, class: '', title: '' } });
    } else if (control.rotor && next() < 0.7) {
      events.push({ kind: 'turn', t, ...at, unit: 'detents', amount: next() < 0.5 ? 1 : -1 });
    } else {
      events.push({ kind: 'down', t, ...at }, { kind: 'up', t: t + 10, ...at });
    }
  }
  return events;
}

function raise(): never {
  throw new Error('The set-up has no controls.');
}

/** Times every event of a run through the engine, after a run to warm up. */
export function timeEvents(setup: Setup, count: number): EventTimes {
  const compiled = compile(setup);
  const events = handAtWork(setup, count);
  const run = (times: Float64Array | null) => {
    let state = INITIAL_STATE;
    events.forEach((event, i) => {
      const began = performance.now();
      state = step(compiled, state, event).state;
      if (times) times[i] = (performance.now() - began) * 1000;
    });
  };
  run(null);
  const times = new Float64Array(events.length);
  run(times);
  const began = performance.now();
  run(null);
  const seconds = (performance.now() - began) / 1000;
  times.sort();
  const at = (part: number) => times[Math.floor(times.length * part)] ?? 0;
  return { median: at(0.5), p99: at(0.99), perSecond: events.length / seconds };
}

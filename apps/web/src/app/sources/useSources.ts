import { useCallback, useEffect, useRef, useState } from 'react';
import type { InputSource, OnHeard, Stop } from './source.ts';
import { WORDS } from './words.ts';

/** A source and what becomes of it here. */
export interface SourceState {
  readonly source: InputSource;
  readonly state: 'missing' | 'asks' | 'listening' | 'failed';
  /** A sentence where it is missing or failed. */
  readonly says: string | null;
  /** Begins to listen to one that asks. */
  readonly start: () => void;
}

/** Listens to real devices while `on`: those that ask nothing at once, the others when they are started. */
export function useSources(
  sources: readonly InputSource[],
  on: boolean,
  onHeard: OnHeard,
): readonly SourceState[] {
  const latest = useRef(onHeard);
  latest.current = onHeard;
  const stops = useRef(new Map<InputSource, Stop>());
  const [heardBy, setHeardBy] = useState<ReadonlySet<InputSource>>(new Set());
  const [problems, setProblems] = useState<ReadonlyMap<InputSource, string>>(new Map());

  const start = useCallback(async (source: InputSource, isOver: () => boolean) => {
    try {
      const stop = await source.listen((heard) => latest.current(heard));
      if (isOver()) return stop();
      stops.current.get(source)?.();
      stops.current.set(source, stop);
      setHeardBy((before) => new Set(before).add(source));
      setProblems((before) => new Map([...before].filter(([each]) => each !== source)));
    } catch (error) {
      const why = error instanceof Error ? error.message : String(error);
      setProblems((before) => new Map(before).set(source, WORDS.failed(source.name, why)));
    }
  }, []);

  useEffect(() => {
    if (!on) return;
    let over = false;
    const running = stops.current;
    for (const source of sources) {
      if (!source.asks && source.isThere()) void start(source, () => over);
    }
    return () => {
      over = true;
      for (const stop of running.values()) stop();
      running.clear();
      setHeardBy(new Set());
    };
  }, [sources, on, start]);

  return sources.map((source) => {
    const missing = !source.isThere();
    const problem = problems.get(source) ?? null;
    const state = missing ? 'missing' : problem ? 'failed' : heardBy.has(source) ? 'listening' : 'asks';
    const says = missing ? WORDS.missing[source.id] : problem;
    return { source, state, says, start: () => void start(source, () => false) };
  });
}

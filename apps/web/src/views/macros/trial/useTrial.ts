import { useCallback, useEffect, useRef, useState } from 'react';
import { useStore } from 'react-redux';
import { selectSetup } from '../../../app/setup/selectors.ts';
import { type RootState, useAppDispatch } from '../../../app/store.ts';
import { sizeOfWindow, type WindowSize } from '../../../practice/sizeOfWindow.ts';
import { startTrial, type Trial, type TrialSpeed, type TrialState } from '../../../practice/startTrial.ts';

/** A trial of one macro, as the view shows it. */
export interface ShownTrial {
  readonly macro: string;
  readonly speed: TrialSpeed;
  readonly state: TrialState;
  /** How large the window was that it began in: the desk's pixels. Null where none was in front. */
  readonly window: WindowSize | null;
}

/** Tries macros at the practice desk beside, one at a time. It ends with the view. */
export function useTrial() {
  const dispatch = useAppDispatch();
  const store = useStore<RootState>();
  const running = useRef<Trial | null>(null);
  const [shown, setShown] = useState<ShownTrial | null>(null);

  const stop = useCallback(() => {
    running.current?.stop();
    running.current = null;
  }, []);
  useEffect(() => stop, [stop]);

  const start = (macro: string, speed: TrialSpeed, from: string | null) => {
    stop();
    const program = selectSetup(store.getState()).macros.find(({ id }) => id === macro)?.program ?? null;
    let window: WindowSize | null = null;
    const changed = (state: TrialState) => {
      window ??= sizeOfWindow(store.getState(), program);
      setShown({ macro, speed, state, window });
    };
    running.current = dispatch(startTrial(store, { macro, speed, from, changed }));
  };
  /** Step by step: the next one, or the first. */
  const step = (macro: string, from: string | null) => {
    const on = running.current;
    if (on?.isOn() && shown?.macro === macro && shown.speed === 'steps') on.goOn();
    else start(macro, 'steps', from);
  };
  const answer = useCallback((texts: readonly string[] | null) => running.current?.answer(texts), []);
  return { shown, start, step, answer, stop };
}

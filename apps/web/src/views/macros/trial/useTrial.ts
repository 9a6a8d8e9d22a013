import { MacroTrial, type TrialSpeed, type TrialState } from '@nimble-lever/session/macroTrial';
import { useCallback, useEffect, useRef, useState } from 'react';
import { useStore } from 'react-redux';
import { selectKeyboards } from '../../../app/keyboard/keyboardSlice.ts';
import { selectSetup } from '../../../app/setup/selectors.ts';
import { type RootState, useAppDispatch } from '../../../app/store.ts';
import { selectDesk } from '../../../practice/deskSlice.ts';
import { frontWindow, raiseWindow } from '../../../practice/frontWindow.ts';
import { carrierOfDesk } from '../../../practice/practiceDesk.ts';
import { windowFor } from '../../../practice/windowOfProgram.ts';

/** A trial of one macro, as the view shows it. */
export interface ShownTrial {
  readonly macro: string;
  readonly speed: TrialSpeed;
  readonly state: TrialState;
}

/** Whether a trial is still on. */
export function isOn({ status }: TrialState): boolean {
  return status === 'running' || status === 'waiting';
}

/** Tries macros at the practice desk beside, one at a time. It ends with the view. */
export function useTrial() {
  const dispatch = useAppDispatch();
  const store = useStore<RootState>();
  const running = useRef<{ readonly trial: MacroTrial; readonly end: () => void } | null>(null);
  const [shown, setShown] = useState<ShownTrial | null>(null);

  const stop = useCallback(() => {
    running.current?.trial.stop();
    running.current?.end();
    running.current = null;
  }, []);
  useEffect(() => stop, [stop]);

  const start = (macro: string, speed: TrialSpeed, from: string | null) => {
    stop();
    const setup = selectSetup(store.getState());
    const program = setup.macros.find(({ id }) => id === macro)?.program;
    // It is tried where it is for; nothing it sends may go astray.
    if (program) dispatch(raiseWindow(windowFor(store.getState(), program)));
    const { carrier, clock } = dispatch(carrierOfDesk());
    let front = selectDesk(store.getState()).active;
    const trial = new MacroTrial({
      setup,
      keyboards: selectKeyboards(store.getState()),
      macro,
      from,
      speed,
      clock,
      carrier: { carryOut: (stroke) => carrier.carryOut(stroke), front: () => frontWindow(store.getState()) },
      changed: (state) => setShown({ macro, speed, state }),
      failed: (error) => reportError(error),
    });
    let { busy } = selectDesk(store.getState());
    const unsubscribe = store.subscribe(() => {
      const { active, busy: now } = selectDesk(store.getState());
      if (now.length > busy.length) trial.opening();
      busy = now;
      if (active === front) return;
      front = active;
      trial.front(frontWindow(store.getState()));
    });
    running.current = { trial, end: unsubscribe };
    trial.start();
  };
  /** Step by step: the next one, or the first. */
  const step = (macro: string, from: string | null) => {
    const on = running.current;
    if (on && shown?.macro === macro && shown.speed === 'steps' && isOn(on.trial.state)) on.trial.goOn();
    else start(macro, 'steps', from);
  };
  return { shown, start, step, stop };
}

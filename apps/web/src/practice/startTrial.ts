import { isTrying, MacroTrial, type TrialSpeed, type TrialState } from '@nimble-lever/session/macroTrial';
import { selectKeyboards } from '../app/keyboard/keyboardSlice.ts';
import { selectSetup } from '../app/setup/selectors.ts';
import type { AppStore, AppThunk } from '../app/store.ts';
import { selectDesk } from './deskSlice.ts';
import { frontWindow, raiseWindow } from './frontWindow.ts';
import { practiceDesk } from './practiceDesk.ts';
import { windowFor } from './windowOfProgram.ts';

export { isTrying, type TrialSpeed, type TrialState, type Waited } from '@nimble-lever/session/macroTrial';

/** What is tried, and who is told how it goes. */
interface Asked {
  readonly macro: string;
  readonly speed: TrialSpeed;
  /** The step to begin with; null for the first. */
  readonly from: string | null;
  readonly changed: (state: TrialState) => void;
}

/** A trial that is on. */
export interface Trial {
  readonly isOn: () => boolean;
  /** Step by step: the next one. */
  readonly goOn: () => void;
  /** What it asks is answered; null where nobody wants to. */
  readonly answer: (texts: readonly string[] | null) => void;
  /** Ends it and hears no more of the desk. */
  readonly stop: () => void;
}

/** Tries a macro at the practice desk, in the program it is for; the desk's windows are what it waits for. */
export const startTrial =
  (store: Pick<AppStore, 'subscribe'>, { macro, speed, from, changed }: Asked): AppThunk<Trial> =>
  (dispatch, getState, { clock }) => {
    const setup = selectSetup(getState());
    const program = setup.macros.find(({ id }) => id === macro)?.program;
    // Nothing it sends may go astray.
    if (program) dispatch(raiseWindow(windowFor(getState(), program)));
    const desk = practiceDesk(dispatch, getState);
    let { active, busy } = selectDesk(getState());
    const trial = new MacroTrial({
      setup,
      keyboards: selectKeyboards(getState()),
      macro,
      from,
      speed,
      clock,
      carrier: { carryOut: (stroke) => desk.carryOut(stroke), front: () => frontWindow(getState()) },
      changed,
      failed: (error) => reportError(error),
    });
    const unsubscribe = store.subscribe(() => {
      const now = selectDesk(getState());
      if (now.busy.length > busy.length) trial.opening();
      busy = now.busy;
      if (now.active === active) return;
      active = now.active;
      trial.front(frontWindow(getState()));
    });
    trial.start();
    return {
      isOn: () => isTrying(trial.state),
      answer: (texts) => trial.answer(texts),
      goOn: () => trial.goOn(),
      stop: () => {
        trial.stop();
        unsubscribe();
      },
    };
  };

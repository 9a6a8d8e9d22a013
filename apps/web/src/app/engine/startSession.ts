import { type Carrier, type Clock, Session } from '@nimble-lever/session';
import type { UnknownAction } from '@reduxjs/toolkit';
import { frontDecided, stepped } from './engineSlice.ts';
import { pageClock } from './pageClock.ts';

/** The page's engine, and the desk it drives. */
export interface EngineHost {
  readonly session: Session;
  /** Puts a desk in place of the one there is; the answer puts that one back. */
  readonly install: (desk: Carrier) => () => void;
  /** Its clock, which goes on while the page is hidden. */
  readonly clock: Clock;
}

/** Carries nothing: outside Rehearse there is no desk that could take strokes. */
const NO_DESK: Carrier = { carryOut: () => undefined, front: () => null };

/** Starts the engine of this page. What happens is told to the store. */
export function startSession(dispatch: (action: UnknownAction) => void): EngineHost {
  let desk = NO_DESK;
  const clock = pageClock();
  const session: Session = new Session({
    clock,
    carrier: { carryOut: (stroke) => desk.carryOut(stroke), front: () => desk.front() },
    told: (explanation) => {
      const { event, strokes, changes } = explanation;
      // A mere movement of the pointer would crowd out what is worth telling.
      const idle = event.kind === 'move' && strokes.length === 0 && changes.length === 0;
      dispatch(stepped({ engine: session.state, explanations: idle ? [] : [explanation] }));
      if (event.kind === 'front' && event.computer === undefined) {
        dispatch(frontDecided({ delay: clock.now() - event.t, since: Date.now() }));
      }
    },
    failed: (error) => reportError(error),
  });
  const install = (next: Carrier) => {
    const before = desk;
    desk = next;
    return () => {
      if (desk === next) desk = before;
    };
  };
  return { session, install, clock };
}

import { type EngineEvent, step } from '@nimble-lever/core/engine';
import type { FrontWindow } from '@nimble-lever/core/resolve';
import { selectCompiled } from '../setup/selectors.ts';
import type { AppThunk } from '../store.ts';
import { carryOut } from './desk.ts';
import { frontDecided, stepped } from './engineSlice.ts';

type Untimed = EngineEvent extends infer Any ? (Any extends EngineEvent ? Omit<Any, 't'> : never) : never;

/** Puts an event through the engine now, and what comes out onto the desk. */
export const feed =
  (event: Untimed): AppThunk =>
  (dispatch, getState) => {
    const state = getState();
    const timed = { ...event, t: performance.now() } as EngineEvent;
    const next = step(selectCompiled(state), state.engine.engine, timed);
    dispatch(stepped({ engine: next.state, explanation: next.explanation }));
    carryOut(next.strokes);
  };

/** A window came to the front (null: none is): the profile follows. */
export const bringToFront =
  (window: FrontWindow | null): AppThunk =>
  (dispatch) => {
    const began = performance.now();
    dispatch(feed({ kind: 'front', window }));
    dispatch(frontDecided({ delay: performance.now() - began, since: Date.now() }));
  };

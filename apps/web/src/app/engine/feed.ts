import { type EngineEvent, nextDeadline, step } from '@nimble-lever/core/engine';
import type { FrontWindow } from '@nimble-lever/core/resolve';
import { selectCompiled } from '../setup/selectors.ts';
import type { AppThunk } from '../store.ts';
import { carryOut } from './desk.ts';
import { frontDecided, stepped } from './engineSlice.ts';

type Untimed = EngineEvent extends infer Any ? (Any extends EngineEvent ? Omit<Any, 't'> : never) : never;

/** Wakes the engine when it next has something to do by itself. */
let alarm: ReturnType<typeof setTimeout> | null = null;

/** Puts an event through the engine now, and what comes out onto the desk. */
export const feed =
  (event: Untimed): AppThunk =>
  (dispatch, getState) => {
    const state = getState();
    const timed = { ...event, t: performance.now() } as EngineEvent;
    const next = step(selectCompiled(state), state.engine.engine, timed);
    // Each is told before its strokes go out, so that what a program does is told under it.
    for (const each of [...next.due, next.explanation]) {
      if (event.kind === 'time' && each === next.explanation) continue;
      // A mere movement of the pointer would crowd out what is worth telling.
      const idle = each.event.kind === 'move' && each.strokes.length === 0 && each.changes.length === 0;
      dispatch(stepped({ engine: next.state, explanations: idle ? [] : [each] }));
      carryOut(each.strokes, 'device' in each.event ? each.event.device : null);
    }
    if (event.kind === 'time') dispatch(stepped({ engine: next.state, explanations: [] }));
    dispatch(wakeInTime());
  };

const wakeInTime = (): AppThunk => (dispatch, getState) => {
  if (alarm) clearTimeout(alarm);
  const deadline = nextDeadline(getState().engine.engine);
  alarm =
    deadline === null
      ? null
      : setTimeout(() => dispatch(feed({ kind: 'time' })), Math.max(0, deadline - performance.now()));
};

/** A window came to the front (null: none is): the profile follows. */
export const bringToFront =
  (window: FrontWindow | null): AppThunk =>
  (dispatch) => {
    const began = performance.now();
    dispatch(feed({ kind: 'front', window }));
    dispatch(frontDecided({ delay: performance.now() - began, since: Date.now() }));
  };

import { type EngineState, type Explanation, INITIAL_STATE } from '@nimble-lever/core/engine';
import type { Setup } from '@nimble-lever/core/setup';
import { createAction, type UnknownAction } from '@reduxjs/toolkit';
import { type CountedRan, countRan, joinSlides, type Ran, slidesOtherWay } from './joined.ts';

/** One thing that happened: the engine's explanation and what programs made of it. */
export interface Happening {
  /** The number of the first event it tells of. */
  readonly key: number;
  readonly explanation: Explanation;
  /** What programs did with it, the same in a row counted. */
  readonly ran: readonly CountedRan[];
}

/** What the page shows of its engine. */
export interface EngineSlice {
  readonly engine: EngineState;
  /** Newest first. */
  readonly happenings: readonly Happening[];
  /** How long after the window changed its profile was decided, in milliseconds; null before the first. */
  readonly frontDelay: number | null;
  /** When the front window changed last: milliseconds since 1970. */
  readonly frontSince: number | null;
  /** A set-up with what scripts have put on, and the one it was made of; null while none has. */
  readonly worn: { readonly of: Setup; readonly setup: Setup } | null;
}

/** Before the first event: nothing is held, nothing is in front. */
const INITIAL: EngineSlice = {
  engine: INITIAL_STATE,
  happenings: [],
  frontDelay: null,
  frontSince: null,
  worn: null,
};

/** How many happenings are kept. */
const KEPT = 200;

/** The engine took a step. */
export const stepped = createAction<{
  engine: EngineState;
  /** What is to be told, oldest first. */
  explanations: readonly Explanation[];
}>('engine/stepped');
/** A practice program did something; told under what the engine did last. */
export const programRan = createAction<Ran>('engine/programRan');
/** Which program is in front was decided anew: how long the person waits for it at most, and since when. */
export const frontDecided = createAction<{ delay: number; since: number }>('engine/frontDecided');
/** Scripts have put something on, or taken it off. */
export const wornChanged = createAction<EngineSlice['worn']>('engine/wornChanged');
/** The account in Rehearse is emptied; the engine goes on. */
export const happeningsCleared = createAction('engine/happeningsCleared');

/** The engine's state and the account of what happened. Written without drafts, as events may come fast. */
export function engineReducer(state: EngineSlice = INITIAL, action: UnknownAction): EngineSlice {
  if (stepped.match(action)) {
    const { engine, explanations } = action.payload;
    const happenings =
      explanations.length > 0 ? explanations.reduce(told, state.happenings) : state.happenings;
    return { ...state, engine, happenings };
  }
  if (programRan.match(action)) {
    const [newest, before] = state.happenings;
    // Of a pad that slides both ways at once, the way it slid just now may stand second.
    const at = before && newest && before.explanation.seq > newest.explanation.seq ? 1 : 0;
    const happening = state.happenings[at];
    if (!happening) return state;
    const ran = countRan(happening.ran, [action.payload]);
    return { ...state, happenings: state.happenings.with(at, { ...happening, ran }) };
  }
  if (frontDecided.match(action)) {
    return { ...state, frontDelay: action.payload.delay, frontSince: action.payload.since };
  }
  if (wornChanged.match(action)) return { ...state, worn: action.payload };
  if (happeningsCleared.match(action)) return { ...state, happenings: [] };
  return state;
}

/** One thing more is told. A slider on its way stays one thing, so that it does not crowd out all before it. */
function told(happenings: readonly Happening[], explanation: Explanation): readonly Happening[] {
  const at = slidesOtherWay(happenings[0]?.explanation, explanation) ? 1 : 0;
  const before = happenings[at];
  const joined = before && joinSlides(before.explanation, explanation);
  if (joined) return happenings.with(at, { ...before, explanation: joined });
  return [{ key: explanation.seq, explanation, ran: [] }, ...happenings].slice(0, KEPT);
}

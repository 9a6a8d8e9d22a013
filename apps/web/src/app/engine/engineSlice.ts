import { type EngineState, type Explanation, INITIAL_STATE } from '@nimble-lever/core/engine';
import { createAction, type UnknownAction } from '@reduxjs/toolkit';

/** What a program did with the strokes of an event. */
export interface Ran {
  readonly program: string;
  /** Null where it has no command for the keys it got. */
  readonly command: string | null;
  /** What one sees of it, for instance `Frame 4 of 7.`; or the keys it has nothing for, in our notation. */
  readonly said: string;
}

/** One thing that happened: the engine's explanation and what programs made of it. */
export interface Happening {
  readonly explanation: Explanation;
  readonly ran: readonly Ran[];
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
}

/** Before the first event: nothing is held, nothing is in front. */
const INITIAL: EngineSlice = { engine: INITIAL_STATE, happenings: [], frontDelay: null, frontSince: null };

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
/** The account in Rehearse is emptied; the engine goes on. */
export const happeningsCleared = createAction('engine/happeningsCleared');

/** The engine's state and the account of what happened. Written without drafts, as events may come fast. */
export function engineReducer(state: EngineSlice = INITIAL, action: UnknownAction): EngineSlice {
  if (stepped.match(action)) {
    const { engine, explanations } = action.payload;
    const news = explanations.map((explanation): Happening => ({ explanation, ran: [] })).toReversed();
    return { ...state, engine, happenings: [...news, ...state.happenings].slice(0, KEPT) };
  }
  if (programRan.match(action)) {
    const [newest, ...older] = state.happenings;
    if (!newest) return state;
    return { ...state, happenings: [{ ...newest, ran: [...newest.ran, action.payload] }, ...older] };
  }
  if (frontDecided.match(action)) {
    return { ...state, frontDelay: action.payload.delay, frontSince: action.payload.since };
  }
  if (happeningsCleared.match(action)) return { ...state, happenings: [] };
  return state;
}

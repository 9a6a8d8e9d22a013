import { combineSlices, configureStore, type ThunkAction, type UnknownAction } from '@reduxjs/toolkit';
import { useDispatch, useSelector } from 'react-redux';
import { engineReducer } from './engine/engineSlice.ts';
import { type EngineHost, startSession } from './engine/startSession.ts';
import { keyboardReducer } from './keyboard/keyboardSlice.ts';
import { QUIET_MS, Quietly } from './quietly.ts';
import { LiveLine } from './setup/liveLine.ts';
import { setupReducer } from './setup/setupSlice.ts';

/** Slices of rooms above this one, which bring them when they are read: each adds its own here. */
// biome-ignore lint/suspicious/noEmptyInterface: merged with what each such slice declares.
export interface LazyLoadedSlices {}

/** The set-up, the engine, the keyboard; the practice desk and the views bring their own. */
export const rootReducer = combineSlices({
  setup: setupReducer,
  engine: engineReducer,
  keyboard: keyboardReducer,
}).withLazyLoadedSlices<LazyLoadedSlices>();

/** Makes the store, with the engine at work beside it. */
export function createStore() {
  const quietly = new Quietly();
  const host = { ...startSession((action) => store.dispatch(action)), line: new LiveLine(), quietly };
  const store = configureStore({
    reducer: rootReducer,
    // A set-up is large; walking it at every action to look for mutations costs more than it finds.
    middleware: (defaults) =>
      defaults({ immutableCheck: false, serializableCheck: false, thunk: { extraArgument: host } }).concat(
        quietly.middleware,
      ),
    enhancers: (defaults) => defaults({ autoBatch: { type: 'timer', timeout: QUIET_MS } }),
  });
  return store;
}

export type AppStore = ReturnType<typeof createStore>;
/** All of the state; what comes with a view is there only once it was read. */
export type RootState = ReturnType<typeof rootReducer>;
/** A change that may look at the state, dispatch others and hand events to the engine. */
export type AppThunk<Value = void> = ThunkAction<
  Value,
  RootState,
  EngineHost & { readonly line: LiveLine; readonly quietly: Quietly },
  UnknownAction
>;
export type AppDispatch = AppStore['dispatch'];

export const useAppDispatch = useDispatch.withTypes<AppDispatch>();
export const useAppSelector = useSelector.withTypes<RootState>();

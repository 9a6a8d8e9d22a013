import { combineSlices, configureStore, type ThunkAction, type UnknownAction } from '@reduxjs/toolkit';
import { useDispatch, useSelector } from 'react-redux';
import { boardReducer } from '../views/board/boardSlice.ts';
import type { RehearseState } from '../views/rehearse/rehearseSlice.ts';
import { benchReducer } from './bench/benchSlice.ts';
import { deskReducer } from './desk/deskSlice.ts';
import { engineReducer } from './engine/engineSlice.ts';
import { keyboardReducer } from './keyboard/keyboardSlice.ts';
import { setupReducer } from './setup/setupSlice.ts';

/** The set-up, the engine, and a slice a view; a view that is read late brings its own. */
export const rootReducer = combineSlices({
  setup: setupReducer,
  engine: engineReducer,
  bench: benchReducer,
  desk: deskReducer,
  keyboard: keyboardReducer,
  board: boardReducer,
}).withLazyLoadedSlices<{ readonly rehearse: RehearseState }>();

/** Makes the store. */
export function createStore() {
  return configureStore({
    reducer: rootReducer,
    // A set-up is large; walking it at every action to look for mutations costs more than it finds.
    middleware: (defaults) => defaults({ immutableCheck: false, serializableCheck: false }),
  });
}

export type AppStore = ReturnType<typeof createStore>;
export type RootState = ReturnType<AppStore['getState']>;
export type AppThunk<Value = void> = ThunkAction<Value, RootState, unknown, UnknownAction>;
export type AppDispatch = AppStore['dispatch'];

export const useAppDispatch = useDispatch.withTypes<AppDispatch>();
export const useAppSelector = useSelector.withTypes<RootState>();

import { configureStore, createAction, type UnknownAction } from '@reduxjs/toolkit';
import { QUIET_MS, Quietly } from './quietly.ts';

const added = createAction<number>('added');

function counting() {
  const quietly = new Quietly();
  const store = configureStore({
    reducer: (sum: number = 0, action: UnknownAction) => (added.match(action) ? sum + action.payload : sum),
    middleware: (defaults) => defaults().concat(quietly.middleware),
    enhancers: (defaults) => defaults({ autoBatch: { type: 'timer', timeout: QUIET_MS } }),
  });
  const told: number[] = [];
  store.subscribe(() => told.push(store.getState()));
  return { quietly, store, told };
}

test('what comes quietly is in the state at once, and told together', () => {
  jest.useFakeTimers();
  const { quietly, store, told } = counting();
  for (let i = 0; i < 5; i++) quietly.do(() => store.dispatch(added(1)));
  expect([store.getState(), told]).toEqual([5, []]);
  jest.advanceTimersByTime(QUIET_MS);
  expect(told).toEqual([5]);
  jest.useRealTimers();
});

test('anything else is told at once, with what came before it', () => {
  jest.useFakeTimers();
  const { quietly, store, told } = counting();
  quietly.do(() => store.dispatch(added(1)));
  store.dispatch(added(10));
  expect(told).toEqual([11]);
  jest.advanceTimersByTime(10 * QUIET_MS);
  expect(told.every((sum) => sum === 11)).toBe(true);
  jest.useRealTimers();
});

test('what goes wrong inside leaves what comes after loud', () => {
  const { quietly, store, told } = counting();
  expect(() =>
    quietly.do(() => {
      throw new Error('wrong');
    }),
  ).toThrow('wrong');
  store.dispatch(added(1));
  expect(told).toEqual([1]);
});

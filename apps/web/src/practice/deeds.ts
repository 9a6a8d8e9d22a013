import type { DeedBody } from '@nimble-lever/core/macros';
import type { RootState } from '../app/store.ts';
import { selectDesk } from './deskSlice.ts';
import { frontWindow } from './frontWindow.ts';
import { programOfWindow } from './windowOfProgram.ts';

/** Who hears what a person does at the desk, while that is recorded. */
type Listener = (deed: DeedBody) => void;
const listeners = new Set<Listener>();

/** Something was done by hand at the desk that no event of the browser tells as what it is. */
export function did(deed: DeedBody): void {
  for (const listener of listeners) listener(deed);
}

/** Hears what is done from now on; the answer ends that. */
export function hearDeeds(listener: Listener): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

/** What is in front of the desk, as something that was done. */
export function frontDeed(state: RootState, byHand: boolean): DeedBody {
  const { active } = selectDesk(state);
  return {
    kind: 'front',
    window: frontWindow(state),
    program: active && programOfWindow(state, active),
    byHand,
  };
}

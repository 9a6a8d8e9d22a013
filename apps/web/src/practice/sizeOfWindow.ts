import type { RootState } from '../app/store.ts';
import { selectDesk } from './deskSlice.ts';
import { windowFor } from './windowOfProgram.ts';

/** How large a window is: the desk's own pixels, however small the desk is drawn. */
export interface WindowSize {
  readonly width: number;
  readonly height: number;
}

/** How large the window of a program is (null: the one in front); null where it does not show. */
export function sizeOfWindow(state: RootState, program: string | null): WindowSize | null {
  const window = program === null ? selectDesk(state).active : windowFor(state, program);
  const element =
    window === null ? null : document.querySelector<HTMLElement>(`[data-program="${CSS.escape(window)}"]`);
  return element && element.offsetWidth > 0
    ? { width: element.offsetWidth, height: element.offsetHeight }
    : null;
}

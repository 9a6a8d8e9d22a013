import { type RootState, rootReducer, useAppSelector } from '../../app/store.ts';
import type { RehearseState } from './programs/standIns.ts';
import { rehearseReducer } from './rehearseSlice.ts';

// The practice programs come with this view, so that the first view need not carry them.
rootReducer.inject({ reducerPath: 'rehearse', reducer: rehearseReducer });
const AT_FIRST = rehearseReducer(undefined, { type: 'rehearse/begun' });

/** What is in the practice programs. */
export function rehearseIn({ rehearse }: RootState): RehearseState {
  return rehearse ?? AT_FIRST;
}

/** Part of what is in the practice programs, for a view of one. */
export function useRehearse<Part>(select: (rehearse: RehearseState) => Part): Part {
  return useAppSelector((state) => select(rehearseIn(state)));
}

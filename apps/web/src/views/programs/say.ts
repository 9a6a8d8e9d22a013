import { createContext, useContext } from 'react';

/** What came of the last thing that was done, in the line below the view. */
export interface Said {
  readonly words: string;
  readonly wrong: boolean;
}

/** Tells it, in place of what was told before; null tells nothing. */
export const SayContext = createContext<(said: Said | null) => void>(() => undefined);

/** Says what was done, and what could not be. */
export function useSay() {
  const say = useContext(SayContext);
  return {
    say: (words: string) => say({ words, wrong: false }),
    sayWrong: (words: string) => say({ words, wrong: true }),
    sayNothing: () => say(null),
  };
}

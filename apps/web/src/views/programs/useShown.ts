import { useCallback } from 'react';
import { useSearchParams } from 'react-router';
import { selectSetup } from '../../app/setup/selectors.ts';
import { useAppSelector } from '../../app/store.ts';

/** What can be looked at of a program. */
export const TABS = ['commands', 'windows', 'profiles', 'compare', 'ready-made', 'intents'] as const;
export type Tab = (typeof TABS)[number];

/** What another view can ask to be opened. */
const DIALOGS = ['add', 'list'] as const;

/** In an address: the commands that belong to no program. */
const COMMON = 'everywhere';

/** Which program and which part of it is shown: kept in the address, so that it can be gone back to and given to others. */
export function useShown() {
  const setup = useAppSelector(selectSetup);
  const front = useAppSelector((state) => state.engine.engine.profile);
  const [params, setParams] = useSearchParams();
  const wanted = params.get('of');
  const known = (id: string | null) => setup.programs.some((program) => program.id === id);
  // What is in front, until another is chosen; one that was removed gives way to Everywhere.
  const inFront = setup.profiles[front]?.program ?? null;
  const program = wanted === null ? inFront : known(wanted) ? wanted : null;
  const asked = TABS.find((each) => each === params.get('tab')) ?? 'commands';
  // Only a program has windows.
  const tab: Tab = program === null && asked === 'windows' ? 'commands' : asked;
  const show = useCallback(
    (next: { readonly program?: string | null; readonly tab?: Tab }) =>
      setParams(
        (before) => {
          const after = new URLSearchParams(before);
          if (next.program !== undefined) after.set('of', next.program ?? COMMON);
          if (next.tab) after.set('tab', next.tab);
          return after;
        },
        { replace: true },
      ),
    [setParams],
  );
  const place = params.get('place');
  const doing = params.get('do');
  /** Done: gone back to, the page does not do it again. */
  const done = useCallback(
    () =>
      setParams(
        (before) => {
          const after = new URLSearchParams(before);
          for (const name of ['do', 'place']) after.delete(name);
          return after;
        },
        { replace: true },
      ),
    [setParams],
  );
  return {
    setup,
    program,
    tab,
    show,
    /** What another view asks for: a dialog, or the places for a command, by its id. */
    asked: { dialog: DIALOGS.find((each) => each === doing) ?? null, place },
    done,
  };
}

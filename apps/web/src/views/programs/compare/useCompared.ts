import type { Compared } from '@nimble-lever/core/programs';
import { EVERYWHERE, type Setup } from '@nimble-lever/core/setup';
import { profileName } from '@nimble-lever/core/words';
import { useMemo, useState } from 'react';
import { selectSetup } from '../../../app/setup/selectors.ts';
import { useAppSelector } from '../../../app/store.ts';
import { WORDS } from '../words.ts';

/** Another set-up, from a file, beside the one that is worked on. */
export interface OtherSetup {
  readonly file: string;
  readonly setup: Setup;
}

/** A profile that is compared, by the set-up it stands in: null for the one that is worked on, else a file's. */
export interface Chosen {
  readonly file: string | null;
  readonly profile: string;
}

/** The most that fit beside each other. */
export const MOST_COMPARED = 4;

/** The profiles that are compared, with what they are called; the first two are a program's and what it is based on. */
export function useCompared(first: string) {
  const setup = useAppSelector(selectSetup);
  const [others, setOthers] = useState<readonly OtherSetup[]>([]);
  const [chosen, setChosen] = useState<readonly Chosen[]>(() => [
    { file: null, profile: first },
    {
      file: null,
      profile:
        first === EVERYWHERE
          ? (Object.keys(setup.profiles).find((id) => id !== EVERYWHERE) ?? EVERYWHERE)
          : (setup.profiles[first]?.basedOn ?? EVERYWHERE),
    },
  ]);
  const setupOf = (file: string | null) =>
    file === null ? setup : (others.find((other) => other.file === file)?.setup ?? setup);
  // One that was removed meanwhile is left out.
  const there = chosen.filter(({ file, profile }) => setupOf(file).profiles[profile] !== undefined);
  // biome-ignore lint/correctness/useExhaustiveDependencies: `there` and `setupOf` follow from these.
  const compared = useMemo(
    () => there.map(({ file, profile }): Compared => ({ setup: setupOf(file), profile })),
    [chosen, others, setup],
  );
  const options = [{ file: null, setup }, ...others].flatMap(({ file, setup: of }) =>
    Object.keys(of.profiles).map(
      (profile) =>
        [
          keyOfChosen({ file, profile }),
          file === null ? profileName(of, profile) : WORDS.ofFile(profileName(of, profile), file),
        ] as const,
    ),
  );
  return {
    setup,
    chosen: there,
    compared,
    options,
    names: there.map(({ file, profile }) => {
      const name = profileName(setupOf(file), profile);
      return file === null ? name : WORDS.ofFile(name, file);
    }),
    choose: (at: number, key: string) =>
      setChosen(there.map((each, i) => (i === at ? chosenOfKey(key) : each))),
    add: () =>
      setChosen([...there, { file: null, profile: nextProfile(setup, there) }].slice(0, MOST_COMPARED)),
    remove: (at: number) => setChosen(there.filter((_each, i) => i !== at)),
    /** Puts a file's set-up beside this one, and its profile for the same program into the last column. */
    addSetup: (other: OtherSetup) => {
      setOthers([...others.filter(({ file }) => file !== other.file), other]);
      const profile = other.setup.profiles[first] ? first : EVERYWHERE;
      const kept = there.slice(0, Math.max(1, Math.min(there.length, MOST_COMPARED) - 1));
      setChosen([...kept, { file: other.file, profile }]);
    },
  };
}

function nextProfile(setup: Setup, chosen: readonly Chosen[]): string {
  const taken = new Set(chosen.flatMap(({ file, profile }) => (file === null ? [profile] : [])));
  return Object.keys(setup.profiles).find((id) => !taken.has(id)) ?? EVERYWHERE;
}

export function keyOfChosen({ file, profile }: Chosen): string {
  return JSON.stringify([file, profile]);
}

function chosenOfKey(key: string): Chosen {
  const [file, profile] = JSON.parse(key) as [string | null, string];
  return { file, profile };
}

import fc from 'fast-check';

/** A run of a property that failed can be had again by its token. */
export interface Tried {
  readonly runs: number;
  /** Null where every run held. */
  readonly failure: string | null;
}

/** Tries a property on random values; a failure tells the shortest one found, and the token that replays it. */
export function tryOut<Values>(
  values: fc.Arbitrary<Values>,
  holds: (values: Values) => void,
  asked:
    | { readonly runs: number; readonly seed?: number }
    | { readonly token: string }
    | { readonly until: number },
): Tried {
  const parameters =
    'token' in asked
      ? replayed(asked.token)
      : 'runs' in asked
        ? { numRuns: asked.runs, ...(asked.seed !== undefined && { seed: asked.seed }) }
        : { numRuns: 1_000_000_000, interruptAfterTimeLimit: asked.until };
  const found = fc.check(
    fc.property(values, (each) => holds(each)),
    parameters,
  );
  if (!found.failed || found.counterexample === null) return { runs: found.numRuns, failure: null };
  const token = `${found.seed}/${found.counterexamplePath}`;
  const reason =
    found.errorInstance instanceof Error ? found.errorInstance.message : String(found.errorInstance);
  const example = fc.stringify(found.counterexample[0]);
  return {
    runs: found.numRuns,
    failure: `Replay it: npm run soak -- --replay ${token}\n${reason}\nShortest failing run: ${example}`,
  };
}

function replayed(token: string): { seed: number; path: string; endOnFailure: boolean } {
  const [seed = '', path = ''] = token.split('/');
  return { seed: Number(seed), path, endOnFailure: true };
}

import fc from 'fast-check';

/** How the runner asks for random runs: `jest.config.mjs` says it, and `npm test` prints the seed. */
interface Asked {
  /** Of this run; the same again replays it. */
  readonly seed: number;
  /** Of the runs that a test has in full: a tenth in `npm test`, all in `npm run check -- --all` and in a soak. */
  readonly share: number;
}

const asked: Asked = (globalThis as { FUZZ?: Asked }).FUZZ ?? { seed: 0, share: 1 };

/** The same runs each time, so that what was found once is looked at again. */
const FIXED_SEED = 20_261_125;

/** The seeds of long random runs, and how many each has: one that is always the same, and one of this run. */
export function fuzzRuns(full: number): readonly { readonly seed: number; readonly runs: number }[] {
  const runs = Math.max(1, Math.ceil((full * asked.share) / 2));
  return [FIXED_SEED, asked.seed].map((seed) => ({ seed, runs }));
}

/** Checks a property by long random runs; a failure prints seed and path, and `SEED=… npm test -- unit FILE` replays it. */
export function fuzz<Values>(
  property: fc.IProperty<Values> | fc.IRawProperty<Values, false>,
  full: number,
): void {
  for (const { seed, runs } of fuzzRuns(full)) fc.assert(property, { seed, numRuns: runs });
}

/** The same for what waits for something. */
export async function fuzzAsync<Values>(property: fc.IAsyncProperty<Values>, full: number): Promise<void> {
  for (const { seed, runs } of fuzzRuns(full)) {
    await fc.assert(property, { seed, numRuns: runs, endOnFailure: true });
  }
}

/** Counts what a property really tried, for one that leaves values out. */
export class Counted {
  #left = 0;
  #tried = 0;

  /** A value says nothing and is left out. */
  leftOut(): void {
    this.#left += 1;
  }

  /** A value is tried. */
  tried(): void {
    this.#tried += 1;
  }

  /** Throws where less than this share of all was tried: then the property says too little. */
  atLeast(share: number): void {
    const all = this.#left + this.#tried;
    if (this.#tried < Math.max(1, all * share)) {
      throw new Error(`Of ${all} values only ${this.#tried} were tried; the property says too little.`);
    }
  }
}

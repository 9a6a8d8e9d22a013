import { distance } from 'fastest-levenshtein';
import type { Control } from './control.ts';
import type { Device } from './device.ts';
import { foldPhrase } from './foldPhrase.ts';

/** How the wordings of one phrase are parted where they are written in one line. */
const PARTED = '|';

/** Every wording of a phrase as one line: the phrase itself, then what counts as the same. */
export function wordingsOf({ phrase, spellings }: Control): string {
  return [phrase ?? '', ...spellings].join(` ${PARTED} `);
}

/** What is written in one line as a phrase and its other wordings, each once; null where nothing is said. */
export function readWordings(line: string): { readonly phrase: string; readonly spellings: string[] } | null {
  const known = new Set<string>();
  const [phrase, ...spellings] = line.split(PARTED).flatMap((part) => {
    const wording = part.trim();
    const folded = foldPhrase(wording);
    if (wording === '' || known.has(folded)) return [];
    known.add(folded);
    return [wording];
  });
  return phrase === undefined ? null : { phrase, spellings };
}

/** The phrase of a rig that is most like what was heard, by the letters that differ (Levenshtein); null without any. */
export function closestPhrase(devices: readonly Device[], heard: string): string | null {
  const folded = foldPhrase(heard);
  let best: { readonly phrase: string; readonly far: number } | null = null;
  for (const { controls } of devices) {
    for (const { phrase, spellings } of controls) {
      if (phrase === null) continue;
      const far = Math.min(...[phrase, ...spellings].map((each) => distance(foldPhrase(each), folded)));
      if (!best || far < best.far) best = { phrase, far };
    }
  }
  return best?.phrase ?? null;
}

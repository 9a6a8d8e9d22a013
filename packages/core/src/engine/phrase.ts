import type { EventOf } from './event.ts';
import type { Outcome } from './explanation.ts';
import { foldPhrase } from './foldPhrase.ts';
import { useUpOnce } from './layers.ts';
import { choose } from './lookup.ts';
import { tap } from './outputs.ts';
import type { Run } from './run.ts';

/** Something was said: where it is a control's phrase, that control is tapped. */
export function phrase(run: Run, { text }: EventOf<'phrase'>): Outcome {
  const known = run.compiled.phrases.get(foldPhrase(text));
  if (!known) return { kind: 'ignored', why: 'unknown-phrase' };
  const { sending, using, resolution } = choose(run, known, 'phrase');
  useUpOnce(run, known.key);
  if (sending) tap(run, sending, using);
  return { kind: 'pressed', resolution };
}

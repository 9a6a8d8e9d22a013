import { foldPhrase } from '../devices/index.ts';
import type { EventOf } from './event.ts';
import type { Outcome } from './explanation.ts';
import { useUpOnce } from './layers.ts';
import { resolveUse } from './lookup.ts';
import { tap } from './outputs.ts';
import type { StepContext } from './stepContext.ts';

/** Something was said: where it is a control's phrase, that control is tapped. */
export function phrase(context: StepContext, { text }: EventOf<'phrase'>): Outcome {
  const known = context.compiled.phrases.get(foldPhrase(text));
  if (!known) return { kind: 'ignored', why: 'unknown-phrase' };
  const { sending, using, resolution } = resolveUse(context, known, 'phrase');
  useUpOnce(context, known.key);
  if (sending) tap(context, sending, using);
  return { kind: 'pressed', resolution };
}

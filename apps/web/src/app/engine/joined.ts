import type { Explanation } from '@nimble-lever/core/engine';

/** What is done to one control this close together is told as one: milliseconds. */
export const TOGETHER_MS = 700;

/** What a program did with the strokes of an event. */
export interface Ran {
  readonly program: string;
  /** Null where it has no command for the keys it got. */
  readonly command: string | null;
  /** What one sees of it, for instance `Frame 4 of 7.`; or the keys it has nothing for, in our notation. */
  readonly said: string;
}

/** The same, how often it was done. */
export interface CountedRan extends Ran {
  readonly count: number;
}

/** A slider on its way is told once, with where it is now: its last value, and all the steps it made. */
export function joinSlides(a: Explanation, b: Explanation): Explanation | null {
  if (a.outcome.kind !== 'slid' || b.outcome.kind !== 'slid') return null;
  if (a.event.kind !== 'position' || b.event.kind !== 'position') return null;
  if (a.event.device !== b.event.device || a.event.control !== b.event.control) return null;
  if (a.event.axis !== b.event.axis) return null;
  if (b.t - a.t > TOGETHER_MS) return null;
  const isMessage = ({ kind }: Explanation['strokes'][number]) => kind === 'message';
  return {
    ...b,
    outcome: {
      ...b.outcome,
      steps: a.outcome.steps + b.outcome.steps,
      stepped: b.outcome.stepped ?? a.outcome.stepped,
    },
    strokes: [...a.strokes.filter((stroke) => !isMessage(stroke)), ...b.strokes],
  };
}

/** Whether what was told before is the other way of the pad that slides now. */
export function slidesOtherWay(before: Explanation | undefined, { event }: Explanation): boolean {
  const last = before?.event;
  return (
    last?.kind === 'position' &&
    event.kind === 'position' &&
    last.device === event.device &&
    last.control === event.control &&
    last.axis !== event.axis
  );
}

/** Runs of the same command are counted: a dial of forty steps is one line. */
export function countRan(
  before: readonly CountedRan[],
  more: readonly (Ran | CountedRan)[],
): readonly CountedRan[] {
  const counted = [...before];
  for (const ran of more) {
    const at = counted.findIndex(
      ({ program, command }) => program === ran.program && command === ran.command,
    );
    const known = counted[at];
    const count = 'count' in ran ? ran.count : 1;
    if (known) counted[at] = { ...ran, count: known.count + count };
    else counted.push({ ...ran, count });
  }
  return counted;
}

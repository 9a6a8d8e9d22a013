import { formatShortcut, modifierOf } from '../keys/index.ts';
import { type KeysBy, type Layout, shortcutOf } from '../keys/layouts/index.ts';
import type { FrontWindow } from '../resolve/index.ts';
import { type BareStep, sameJson } from '../setup/index.ts';
import type { Deed } from './deed.ts';
import { type Atom, atomsOf, type LeftOut, type Press } from './recordAtoms.ts';

/** How what was done becomes steps. */
export interface Recording {
  /** Pauses as they were, rounded (short ones left out), or none. */
  readonly waits: 'kept' | 'rounded' | 'none';
  /** The keyboard it was done on. */
  readonly layout: Layout;
  /** What the program goes by when it reads a key. */
  readonly keysBy: KeysBy;
  /** What was in front when it began; null for nothing. */
  readonly front: FrontWindow | null;
}

/** The steps that were recorded, and what of what was done is not among them. */
export interface Recorded {
  readonly steps: readonly BareStep[];
  readonly leftOut: readonly LeftOut[];
}

/** The same steps in a row, which could be one repeat. */
export interface RepeatOffer {
  /** The place of the first in its list, how many steps are repeated, and how often. */
  readonly at: number;
  readonly length: number;
  readonly times: number;
}

/** What a person did, as steps that do the same: replayed on the same desk they send the same, in the same order. */
export function recordSteps(deeds: readonly Deed[], how: Recording): Recorded {
  const { atoms, leftOut } = atomsOf(deeds, how.front);
  return { steps: withWaits(grouped(joined(atoms), [], how), how.waits), leftOut };
}

/** A step with when it came. */
interface Timed {
  readonly t: number;
  /** When the last of what is in it came. */
  readonly end: number;
  readonly step: BareStep;
}

/** Characters that were typed one after the other are one text. */
function joined(atoms: readonly Atom[]): readonly (Atom & { readonly end: number })[] {
  const all: (Atom & { readonly end: number })[] = [];
  for (const atom of atoms) {
    const last = all.at(-1);
    if (last?.does.kind === 'text' && atom.does.kind === 'text') {
      const text = last.does.text + atom.does.text;
      all[all.length - 1] = { ...last, end: atom.t, does: { kind: 'text', text } };
    } else all.push({ ...atom, end: atom.t });
  }
  return all;
}

/** What was done under one key that stayed down is put together: one thing has the key with it, several are in a hold. */
function grouped(
  atoms: readonly (Atom & { readonly end: number })[],
  held: readonly Press[],
  how: Recording,
): readonly Timed[] {
  const steps: Timed[] = [];
  for (let i = 0; i < atoms.length; ) {
    const atom = atoms[i];
    if (!atom) break;
    const own = isUntil(atom) ? [] : atom.under.filter((press) => !held.includes(press));
    const [outer] = own;
    if (!outer) {
      steps.push(timed(atom, plainStep(atom, [], how)));
      i += 1;
      continue;
    }
    let after = i + 1;
    while (atoms[after]?.under.includes(outer)) after += 1;
    // A window that came while the hand was still on the keys is waited for without them.
    while (after > i + 1 && isUntil(atoms[after - 1])) after -= 1;
    const inside = atoms.slice(i, after);
    i = after;
    if (inside.length === 1) {
      steps.push(timed(atom, plainStep(atom, own, how)));
      continue;
    }
    // Keys that all of it was done under go down together.
    const shared = own.filter((press) => inside.every(({ under }) => under.includes(press)));
    const inner = grouped(inside, [...held, ...shared], how);
    const last = inside.at(-1) ?? atom;
    steps.push({
      t: atom.t,
      end: last.end,
      step: { kind: 'hold', keys: keysOf(shared, how), steps: withWaits(inner, how.waits) },
    });
  }
  return steps;
}

/** Whether it is a window that is waited for. */
function isUntil(atom: Atom | undefined): boolean {
  return atom?.does.kind === 'step' && atom.does.step.kind === 'until';
}

function timed({ t, end }: Atom & { readonly end: number }, step: BareStep): Timed {
  return { t, end, step };
}

/** One thing with the keys that were held only for it. */
function plainStep({ does, under }: Atom, own: readonly Press[], how: Recording): BareStep {
  switch (does.kind) {
    case 'key': {
      // Exact: all that is held is part of what the program reads, in a hold as well.
      const modifiers = under.filter(({ code }) => modifierOf(code) !== null);
      return { kind: 'shortcut', shortcut: keysOf([...modifiers, { code: does.code }], how) };
    }
    case 'text':
      return { kind: 'text', text: does.text };
    case 'step': {
      const { step } = does;
      if (own.length === 0) return step;
      const keys = keysOf(own, how);
      return step.kind === 'click' || step.kind === 'wheel'
        ? { ...step, keys }
        : { kind: 'hold', keys, steps: [step] };
    }
  }
}

function keysOf(presses: readonly Press[], { layout, keysBy }: Recording): string {
  return formatShortcut(
    shortcutOf(
      presses.map(({ code }) => code),
      layout,
      keysBy,
    ),
  );
}

/** Pauses between steps. None before a wait for a window: that is how long it took to come. */
function withWaits(steps: readonly Timed[], waits: Recording['waits']): readonly BareStep[] {
  let before: Timed | null = null;
  return steps.flatMap((timedStep): readonly BareStep[] => {
    const gap = before && timedStep.step.kind !== 'until' ? timedStep.t - before.end : 0;
    before = timedStep;
    const ms = pause(gap, waits);
    return ms > 0 ? [{ kind: 'wait', ms }, timedStep.step] : [timedStep.step];
  });
}

/** Shorter pauses are those of a hand, not of a program: milliseconds. */
const HAND_MS = 200;

function pause(gap: number, waits: Recording['waits']): number {
  if (waits === 'kept') return Math.round(gap);
  if (waits === 'none' || gap < HAND_MS) return 0;
  const unit = gap < 1000 ? 50 : 100;
  return Math.round(gap / unit) * unit;
}

/** The most steps that are looked for as one round of a repeat, and the fewest rounds that are offered. */
const LONGEST_ROUND = 8;
const FEWEST_ROUNDS = 3;

/** The same steps in a row, which could be repeats: the ones that save most first, none over another. */
export function repeatOffers(steps: readonly BareStep[]): readonly RepeatOffer[] {
  const found: RepeatOffer[] = [];
  for (let length = 1; length <= LONGEST_ROUND; length++) {
    for (let at = 0; at + length * FEWEST_ROUNDS <= steps.length; at++) {
      const times = roundsAt(steps, at, length);
      if (times < FEWEST_ROUNDS) continue;
      found.push({ at, length, times });
      at += length * times - 1;
    }
  }
  const saves = ({ length, times }: RepeatOffer) => length * (times - 1);
  const offers: RepeatOffer[] = [];
  for (const offer of found.toSorted((a, b) => saves(b) - saves(a) || a.length - b.length || a.at - b.at)) {
    const end = offer.at + offer.length * offer.times;
    if (offers.every(({ at, length, times }) => end <= at || offer.at >= at + length * times))
      offers.push(offer);
  }
  return offers.toSorted((a, b) => a.at - b.at);
}

function roundsAt(steps: readonly BareStep[], at: number, length: number): number {
  let times = 1;
  const round = steps.slice(at, at + length);
  while (sameJson(steps.slice(at + times * length, at + (times + 1) * length), round)) times += 1;
  return times;
}

/** Steps with an offer taken: one repeat in place of what it stands for. */
export function withRepeat(
  steps: readonly BareStep[],
  { at, length, times }: RepeatOffer,
): readonly BareStep[] {
  const repeat: BareStep = { kind: 'repeat', times, steps: steps.slice(at, at + length) };
  return steps.toSpliced(at, length * times, repeat);
}

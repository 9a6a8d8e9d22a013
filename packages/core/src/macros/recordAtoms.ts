import { modifierOf } from '../keys/index.ts';
import type { FrontWindow } from '../resolve/index.ts';
import { type BareStep, type Place, USUAL_WAIT_MS } from '../setup/index.ts';
import { windowOf } from './check.ts';
import type { Deed, PointerAt } from './deed.ts';

/** Clicks this close together in time and place are a double click: milliseconds, pixels. Common practice, no source. */
const DOUBLE_MS = 500;
const SAME_PLACE = 4;
/** Wheel ticks this close together are one turn: milliseconds. */
const TURN_MS = 150;
/** The most ticks of one step. */
const MOST_TICKS = 20;

/** One press of a key that others may be done under. */
export interface Press {
  readonly code: string;
}

/** One thing that was done, with the keys that were down meanwhile, the first pressed first. */
export interface Atom {
  readonly t: number;
  readonly under: readonly Press[];
  readonly does:
    | { readonly kind: 'key'; readonly code: string }
    | { readonly kind: 'step'; readonly step: BareStep }
    | { readonly kind: 'text'; readonly text: string };
}

/** Something that was done and cannot be a step. */
export interface LeftOut {
  readonly t: number;
  readonly kind: 'drag' | 'bare-desk' | 'unknown-window';
}

/** What was done, one thing after the other. */
export interface Atoms {
  readonly atoms: readonly Atom[];
  readonly leftOut: readonly LeftOut[];
}

/** Finds what was done in a stream of deeds: clicks of a button going down and up, keys with what was held, windows that came. */
export function atomsOf(deeds: readonly Deed[], front: FrontWindow | null): Atoms {
  const reader = new Reader(front);
  for (const deed of deeds) reader.take(deed);
  return { atoms: reader.atoms, leftOut: reader.leftOut };
}

/** A click as it is remembered until the next, to tell a double click. */
interface LastClick {
  readonly place: PointerAt | null;
  readonly at: number;
}

class Reader {
  readonly atoms: Atom[] = [];
  readonly leftOut: LeftOut[] = [];
  /** Modifiers that are down, and whether anything was done under them. */
  readonly #modifiers = new Map<string, { readonly press: Press; used: boolean; readonly t: number }>();
  /** Other keys that are down, each with its atom, which goes where it turns out that something was done under it. */
  readonly #keys = new Map<string, { readonly press: Press; readonly atom: Atom }>();
  readonly #buttons = new Map<number, PointerAt | null>();
  readonly #seen = new Set<string>();
  #click: LastClick | null = null;

  constructor(front: FrontWindow | null) {
    if (front) this.#seen.add(front.executable);
  }

  take(deed: Deed): void {
    switch (deed.kind) {
      case 'key-down':
        this.#keyDown(deed);
        return;
      case 'key-up':
        this.#keyUp(deed);
        return;
      case 'text':
        this.#add({ t: deed.t, under: [], does: { kind: 'text', text: deed.text } });
        return;
      case 'button-down':
        this.#buttons.set(deed.button, deed.at);
        return;
      case 'button-up':
        this.#buttonUp(deed);
        return;
      case 'wheel':
        this.#wheel(deed);
        return;
      case 'menu-item':
        this.#step(deed.t, { kind: 'menu', path: [...deed.path] });
        return;
      case 'front':
        this.#front(deed);
        return;
    }
  }

  #keyDown({ t, code, text }: Extract<Deed, { kind: 'key-down' }>): void {
    if (modifierOf(code) !== null) {
      if (!this.#modifiers.has(code)) this.#modifiers.set(code, { press: { code }, used: false, t });
      return;
    }
    // A key that repeats goes down once.
    if (this.#keys.has(code)) return;
    if (text !== null) {
      // Shift and AltGr are part of what is typed.
      for (const held of this.#modifiers.values()) held.used = true;
      this.#add({ t, under: [], does: { kind: 'text', text } });
      return;
    }
    const atom: Atom = { t, under: this.#under(false), does: { kind: 'key', code } };
    this.#keys.set(code, { press: { code }, atom });
    this.#add(atom);
  }

  #keyUp({ code }: Extract<Deed, { kind: 'key-up' }>): void {
    this.#keys.delete(code);
    const held = this.#modifiers.get(code);
    this.#modifiers.delete(code);
    // Pressed by itself, which programs read as well.
    if (held && !held.used) this.#add({ t: held.t, under: [], does: { kind: 'key', code } });
  }

  #buttonUp({ t, button, at }: Extract<Deed, { kind: 'button-down' | 'button-up' }>): void {
    const from = this.#buttons.get(button);
    if (from === undefined) return;
    this.#buttons.delete(button);
    if (!isNear(from, at)) {
      this.leftOut.push({ t, kind: 'drag' });
      return;
    }
    if (this.#isAgain(t, button, from)) return;
    this.#step(t, { kind: 'click', button, count: 1, at: from && placeOf(from), note: from?.name ?? null });
    this.#click = { place: from, at: t };
  }

  /** A second or third click right after the first is the same step. */
  #isAgain(t: number, button: number, from: PointerAt | null): boolean {
    const last = this.atoms.at(-1);
    const step = last?.does.kind === 'step' ? last.does.step : null;
    if (!last || step?.kind !== 'click' || step.button !== button || step.count >= 3 || !this.#click)
      return false;
    const { place, at } = this.#click;
    if (t - at > DOUBLE_MS || !isNear(place, from) || !isSame(last.under, this.#under(true))) return false;
    this.#click = { place, at: t };
    this.atoms[this.atoms.length - 1] = {
      ...last,
      does: { kind: 'step', step: { ...step, count: step.count + 1 } },
    };
    return true;
  }

  #wheel({ t, ticks, axis }: Extract<Deed, { kind: 'wheel' }>): void {
    if (ticks === 0) return;
    const last = this.atoms.at(-1);
    const step = last?.does.kind === 'step' ? last.does.step : null;
    const sum = step?.kind === 'wheel' ? step.ticks + ticks : 0;
    const goesOn =
      last &&
      step?.kind === 'wheel' &&
      step.axis === axis &&
      Math.sign(step.ticks) === Math.sign(ticks) &&
      Math.abs(sum) <= MOST_TICKS &&
      t - last.t <= TURN_MS &&
      isSame(last.under, this.#under(true));
    if (goesOn) {
      // The time of its last tick, so that the next one can follow that.
      this.atoms[this.atoms.length - 1] = {
        ...last,
        t,
        does: { kind: 'step', step: { ...step, ticks: sum } },
      };
      return;
    }
    for (let left = ticks; left !== 0; ) {
      const part = Math.sign(left) * Math.min(MOST_TICKS, Math.abs(left));
      this.#step(t, { kind: 'wheel', ticks: part, axis });
      left -= part;
    }
  }

  #front({ t, window, program, byHand }: Extract<Deed, { kind: 'front' }>): void {
    if (window === null) {
      this.leftOut.push({ t, kind: 'bare-desk' });
      return;
    }
    if (byHand) {
      this.#seen.add(window.executable);
      if (program === null) this.leftOut.push({ t, kind: 'unknown-window' });
      else this.#step(t, { kind: 'focus', program, launch: true });
      return;
    }
    // Of a program that has shown another window already, only the title tells them apart.
    const asked = windowOf(window);
    const isKnown = this.#seen.has(window.executable);
    this.#seen.add(window.executable);
    const step: BareStep = {
      kind: 'until',
      window: isKnown ? asked : { ...asked, title: null },
      atMostMs: USUAL_WAIT_MS,
      late: 'stop',
    };
    const last = this.atoms.at(-1);
    // One that only came in between is not what was waited for.
    if (last?.does.kind === 'step' && last.does.step.kind === 'until') this.atoms.pop();
    this.#add({ t, under: this.#under(false), does: { kind: 'step', step } });
  }

  #step(t: number, step: BareStep): void {
    this.#add({ t, under: this.#under(true), does: { kind: 'step', step } });
  }

  /** What is down now. Other keys than modifiers count where the pointer does something meanwhile, as with Space and a drag. */
  #under(keysToo: boolean): readonly Press[] {
    const modifiers = [...this.#modifiers.values()].map(({ press }) => press);
    return keysToo ? [...modifiers, ...[...this.#keys.values()].map(({ press }) => press)] : modifiers;
  }

  #add(atom: Atom): void {
    for (const held of this.#modifiers.values()) if (atom.under.includes(held.press)) held.used = true;
    for (const { press, atom: own } of this.#keys.values()) {
      const at = atom.under.includes(press) ? this.atoms.indexOf(own) : -1;
      if (at >= 0) this.atoms.splice(at, 1);
    }
    this.atoms.push(atom);
  }
}

/** Whether two places are the same to a hand. */
function isNear(a: PointerAt | null, b: PointerAt | null): boolean {
  if (a === null || b === null) return a === b;
  return Math.hypot(a.x - b.x, a.y - b.y) <= SAME_PLACE;
}

function isSame(a: readonly Press[], b: readonly Press[]): boolean {
  return a.length === b.length && a.every((press, i) => press === b[i]);
}

/** A place from the nearest corner of its window, so that it is still right where the window has another size. */
export function placeOf({ x, y, width, height }: PointerAt): Place {
  const right = x > width / 2;
  const below = y > height / 2;
  const corner = below ? (right ? 'bottom-right' : 'bottom-left') : right ? 'top-right' : 'top-left';
  return {
    from: 'window',
    corner,
    x: Math.round(right ? x - width : x),
    y: Math.round(below ? y - height : y),
  };
}

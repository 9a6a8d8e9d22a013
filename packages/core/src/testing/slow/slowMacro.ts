import type { Macro, MacroStep, Setup } from '../../setup/index.ts';
import type { Due, SlowClock } from './slowClock.ts';
import type { Down, SlowDesk, To } from './slowDesk.ts';
import type { Choice } from './slowLook.ts';

type Plain = Exclude<MacroStep, { kind: 'wait' | 'repeat' | 'macro' }>;

/** The steps of one round with their times from its start, and how long it lasts. */
function layOut(
  setup: Setup,
  steps: readonly MacroStep[],
  from: number,
): { plan: [number, Plain][]; end: number } {
  const plan: [number, Plain][] = [];
  let at = from;
  const add = (inside: readonly MacroStep[]) => {
    const laid = layOut(setup, inside, at);
    plan.push(...laid.plan);
    at = laid.end;
  };
  for (const step of steps) {
    if (step.kind === 'wait') at += step.ms;
    else if (step.kind === 'repeat') for (let i = 0; i < step.times; i++) add(step.steps);
    else if (step.kind === 'macro') add(setup.macros.find(({ id }) => id === step.macro)?.steps ?? []);
    else plan.push([at, step]);
  }
  return { plan, end: at };
}

interface Place {
  readonly desk: SlowDesk;
  readonly clock: SlowClock;
  readonly setLayer: (layer: string, on: boolean, macro: string, owner: Choice) => void;
  readonly finished: (run: SlowMacro) => void;
}

/** One macro that runs. */
export class SlowMacro {
  queue: { readonly owner: Choice; readonly to: To }[] = [];
  readonly #plan: [number, Plain][];
  readonly #length: number;
  #round: number;
  #left: number;
  #next = 0;
  #due: Due | null = null;
  #downs: Down[] = [];

  constructor(
    setup: Setup,
    readonly macro: Macro,
    readonly owner: Choice,
    readonly to: To,
    private readonly place: Place,
  ) {
    const { plan, end } = layOut(setup, macro.steps, 0);
    this.#plan = plan;
    const endless = macro.run !== 'times';
    this.#length = endless ? Math.max(10, end) : end;
    this.#left = endless ? Number.POSITIVE_INFINITY : macro.times - 1;
    this.#round = place.desk.now;
  }

  /** Whether the macro is another one now than when it began. */
  isEdited(setup: Setup): boolean {
    const now = setup.macros.find(({ id }) => id === this.macro.id);
    if (!now) return true;
    const told = (macro: Macro, plan: [number, Plain][], end: number) => {
      const { run, again, goesOn } = macro;
      const bare = plan.map(([at, { id: _id, ...step }]) => [at, step]);
      return JSON.stringify([
        bare,
        Math.max(end, run === 'times' ? 0 : 10),
        run,
        again,
        goesOn,
        run === 'times' && macro.times,
      ]);
    };
    const { plan, end } = layOut(setup, now.steps, 0);
    return told(now, plan, end) !== told(this.macro, this.#plan, this.#length);
  }

  /** Begins as something of its own, once what happens now is over. */
  beginLater(): void {
    this.#due = this.place.clock.set(this.place.desk.now, () => this.goOn());
  }

  goOn(): void {
    const { desk, clock } = this.place;
    for (;;) {
      const next = this.#plan[this.#next];
      const at = this.#round + (next ? next[0] : this.#length);
      if (at > desk.now) {
        this.#due = clock.set(at, () => this.goOn());
        return;
      }
      this.#next += 1;
      if (next) this.#do(next[1]);
      else if (this.#left > 0) {
        this.#left -= 1;
        this.#round = at;
        this.#next = 0;
      } else {
        this.place.finished(this);
        return;
      }
    }
  }

  /** Whatever it put down comes up. */
  stop(): void {
    this.place.clock.drop(this.#due);
    for (const down of this.#downs.toReversed()) this.place.desk.lift(down);
    this.#downs = [];
  }

  #do(step: Plain): void {
    const { desk } = this.place;
    const exactly = (codes: readonly string[], act: () => void) =>
      desk.exactly(
        this.to,
        codes,
        this.#downs.filter(({ what }) => typeof what === 'string'),
        act,
      );
    const withKeys = (shortcut: string | undefined, act: () => void) => {
      const codes = shortcut === undefined ? [] : desk.keysOf(this.to, { kind: 'shortcut', shortcut })?.[0];
      if (codes) exactly(codes, () => desk.holding(this.to, shortcut, act));
    };
    switch (step.kind) {
      case 'shortcut': {
        const [codes] = desk.keysOf(this.to, step) ?? [];
        if (codes) exactly(codes, () => desk.tapKeys(this.to, codes));
        return;
      }
      case 'key-down':
        this.#put(step.code);
        return;
      case 'key-up':
        this.#lift(step.code);
        return;
      case 'button':
        if (step.change === 'up') {
          this.#lift(step.button);
          return;
        }
        this.#put(step.button);
        return;
      case 'text':
        exactly([], () => desk.send(this.to, { kind: 'text', text: step.text }));
        return;
      case 'click':
        withKeys(step.keys, () => desk.click(this.to, step));
        return;
      case 'wheel':
        withKeys(step.keys, () => desk.send(this.to, { kind: 'wheel', ticks: step.ticks, axis: step.axis }));
        return;
      case 'focus':
        desk.send({ ...this.to, program: step.program }, { kind: 'focus', launch: false });
        return;
      case 'layer':
        this.place.setLayer(step.layer, step.on, this.macro.id, this.owner);
        return;
    }
  }

  #put(what: string | number): void {
    const known = this.#downs.some((each) => each.what === what);
    if (!known) this.#downs.push(this.place.desk.press(this.to, what));
  }

  #lift(what: string | number): void {
    const down = this.#downs.findLast((each) => each.what === what);
    if (!down) return;
    this.#downs = this.#downs.filter((other) => other !== down);
    this.place.desk.lift(down);
  }
}

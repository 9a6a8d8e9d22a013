import type { Macro, MacroStep, Setup, WindowAsked } from '../../setup/index.ts';
import type { Due, SlowClock } from './slowClock.ts';
import type { Down, SlowDesk, To } from './slowDesk.ts';
import type { Choice } from './slowLook.ts';

type StepOf<Kind extends MacroStep['kind']> = Extract<MacroStep, { kind: Kind }>;
type Plain = Exclude<MacroStep, { kind: 'wait' | 'repeat' | 'macro' | 'hold' }>;

/** One thing after the other, as somebody reading the steps would come to them. */
type Todo =
  | { readonly wait: number }
  | { readonly step: Plain; readonly mark: string }
  | { readonly hold: StepOf<'hold'>; readonly block: object }
  | { readonly letGo: object };

/** Walks through a round; the answer to a hold says whether its keys went down. */
function* walk(
  setup: Setup,
  steps: readonly MacroStep[],
  mark: string,
): Generator<Todo, void, boolean | undefined> {
  for (const step of steps) {
    if (step.skipped) continue;
    if (step.kind === 'wait') yield { wait: step.ms };
    else if (step.kind === 'repeat') {
      for (let i = 0; i < step.times; i++) yield* walk(setup, step.steps, mark);
    } else if (step.kind === 'macro') {
      const other = setup.macros.find(({ id }) => id === step.macro);
      yield* walk(setup, other?.steps ?? [], `${mark}/${step.macro}`);
    } else if (step.kind === 'hold') {
      const block = {};
      const held = yield { hold: step, block };
      if (!held) continue;
      yield* walk(setup, step.steps, mark);
      yield { letGo: block };
    } else yield { step, mark };
  }
}

interface Place {
  readonly desk: SlowDesk;
  readonly clock: SlowClock;
  readonly setLayer: (layer: string, on: boolean, macro: string, owner: Choice) => void;
  readonly isInFront: (window: WindowAsked, computer: string | null) => boolean;
  readonly profileOf: (device: string) => string;
  readonly finished: (run: SlowMacro) => void;
  readonly stopped: (run: SlowMacro) => void;
}

/** One macro that runs. */
export class SlowMacro {
  queue: { readonly owner: Choice; readonly to: To }[] = [];
  /** The profile of the window it waited for last. */
  belongsTo: string | null = null;
  /** When it sent something last. */
  sentAt = Number.NEGATIVE_INFINITY;
  #walk: Generator<Todo, void, boolean | undefined>;
  /** What comes next, the waits before it taken off; null at the end of the round. */
  #next: Exclude<Todo, { wait: number }> | null = null;
  #wait = 0;
  #at: number;
  #round: number;
  #left: number;
  #waiting: StepOf<'until'> | null = null;
  /** A person is asked; what they answered is typed next. */
  #asks = false;
  #answers: readonly string[] | null = null;
  #due: Due | null = null;
  #downs: { readonly down: Down; readonly block: object | null }[] = [];

  constructor(
    private readonly setup: Setup,
    readonly macro: Macro,
    readonly owner: Choice,
    readonly to: To,
    private readonly place: Place,
  ) {
    this.#left = macro.run === 'times' ? macro.times - 1 : Number.POSITIVE_INFINITY;
    this.#round = place.desk.now;
    this.#at = place.desk.now;
    this.#walk = walk(setup, macro.steps, macro.id);
    this.#advance(undefined);
  }

  #advance(answer: boolean | undefined): void {
    this.#wait = 0;
    this.#next = null;
    for (let { value, done } = this.#walk.next(answer); !done && value; { value, done } = this.#walk.next()) {
      if (!('wait' in value)) {
        this.#next = value;
        return;
      }
      this.#wait += value.wait;
    }
  }

  /** Begins as something of its own, once what happens now is over. */
  beginLater(): void {
    this.#due = this.place.clock.set(this.place.desk.now, () => this.goOn());
  }

  /** Another window is in front; perhaps the one it waits for. */
  windowCame(computer: string | null): void {
    if (!this.#waiting || this.to.computer !== computer) return;
    if (!this.place.isInFront(this.#waiting.window, computer)) return;
    this.#satisfied(this.place.desk.now);
    this.place.clock.drop(this.#due);
    this.beginLater();
  }

  /** A person answers; null: does not want to. */
  answer(texts: readonly string[] | null): void {
    if (!this.#asks) return;
    if (texts === null) {
      this.place.stopped(this);
      return;
    }
    this.#asks = false;
    this.#answers = texts;
    this.#at = this.place.desk.now;
    this.#wait = 0;
    this.place.clock.drop(this.#due);
    this.beginLater();
  }

  #satisfied(at: number): void {
    this.#waiting = null;
    this.#at = at;
    this.belongsTo = this.place.profileOf(this.owner.device);
    this.#advance(undefined);
  }

  goOn(): void {
    const { desk, clock } = this.place;
    for (;;) {
      const at = this.#whenNext();
      if (at > desk.now) {
        this.#due = clock.set(at, () => this.goOn());
        return;
      }
      if (this.#asks) {
        this.place.stopped(this);
        return;
      }
      if (this.#waiting) {
        if (this.#waiting.late === 'stop') {
          this.place.stopped(this);
          return;
        }
        this.#waiting = null;
        this.#at = at;
        this.#advance(undefined);
      } else if (this.#next) this.#do(this.#next, at);
      else if (this.#left > 0) {
        this.#left -= 1;
        this.#round = at;
        this.#at = at;
        this.#walk = walk(this.setup, this.macro.steps, this.macro.id);
        this.#advance(undefined);
      } else {
        this.place.finished(this);
        return;
      }
    }
  }

  #whenNext(): number {
    if (this.#asks) return this.#at + 60_000;
    if (this.#waiting) return this.#at + this.#waiting.atMostMs;
    const asked = this.#at + this.#wait;
    const paced = Math.max(asked, this.sentAt + this.macro.pace);
    const next = this.#next;
    // What asks is not sent before it is answered.
    if (next) return 'step' in next && (!isSent(next.step) || this.#mustAsk(next.step)) ? asked : paced;
    const end = this.macro.run === 'times' ? asked : Math.max(asked, this.#round + 10);
    return this.#left === 0 && this.#downs.length > 0 ? Math.max(end, paced) : end;
  }

  /** Whatever it put down comes up. */
  stop(): void {
    this.place.clock.drop(this.#due);
    for (const { down } of this.#downs.toReversed()) this.place.desk.lift(down);
    this.#downs = [];
  }

  #do(todo: Exclude<Todo, { wait: number }>, at: number): void {
    const { desk } = this.place;
    this.#at = at;
    if ('letGo' in todo) {
      for (const { down } of this.#downs.filter(({ block }) => block === todo.letGo).toReversed())
        desk.lift(down);
      this.#downs = this.#downs.filter(({ block }) => block !== todo.letGo);
      this.sentAt = at;
    } else if ('hold' in todo) {
      const codes = desk.keysOf(this.to, { kind: 'shortcut', shortcut: todo.hold.keys })?.[0];
      for (const down of codes ? desk.pressAll(this.to, codes, false) : [])
        this.#downs.push({ down, block: todo.block });
      if (codes) this.sentAt = at;
      this.#advance(codes !== undefined);
      return;
    } else if (todo.step.kind === 'until') {
      if (this.place.isInFront(todo.step.window, this.to.computer)) this.#satisfied(at);
      else this.#waiting = todo.step;
      return;
    } else if (this.#mustAsk(todo.step)) {
      this.#asks = true;
      return;
    } else {
      this.#doStep(todo.step, todo.mark);
      if (isSent(todo.step)) this.sentAt = at;
    }
    this.#advance(undefined);
  }

  #doStep(step: Exclude<Plain, { kind: 'until' }>, mark: string): void {
    const { desk } = this.place;
    const own = this.#downs.map(({ down }) => down).filter(({ what }) => typeof what === 'string');
    const exactly = (codes: readonly string[], act: () => void) => desk.exactly(this.to, codes, own, act);
    const withKeys = (keys: string | null, act: () => void) => {
      const shortcut = keys ?? undefined;
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
        exactly([], () => desk.send(this.to, { kind: 'text', text: this.#filled(step.text) }));
        return;
      case 'click':
        withKeys(step.keys, () => desk.click(this.to, step));
        return;
      case 'wheel':
        withKeys(step.keys, () => desk.send(this.to, { kind: 'wheel', ticks: step.ticks, axis: step.axis }));
        return;
      case 'menu':
        exactly([], () => desk.send(this.to, { kind: 'menu-item', path: step.path }));
        return;
      case 'pointer':
        desk.send(this.to, {
          kind: step.change === 'back' ? 'pointer-back' : 'pointer-remember',
          mark,
        });
        return;
      case 'focus':
        desk.send({ ...this.to, program: step.program }, { kind: 'focus', launch: step.launch });
        return;
      case 'layer':
        this.place.setLayer(step.layer, step.on, this.macro.id, this.owner);
        return;
    }
  }

  #mustAsk(step: Plain): boolean {
    return this.#answers === null && step.kind === 'text' && step.text.includes('‹ask');
  }

  /** What was answered stands in place of the questions, whatever is between their marks. */
  #filled(text: string): string {
    const [before = '', ...asked] = text.split('‹ask');
    const answers = this.#answers ?? [];
    this.#answers = null;
    return (
      before +
      asked.map((rest, i) => withoutMarks(answers[i] ?? '') + rest.slice(rest.indexOf('›') + 1)).join('')
    );
  }

  #put(what: string | number): void {
    const known = this.#downs.some(({ down, block }) => block === null && down.what === what);
    if (!known) this.#downs.push({ down: this.place.desk.press(this.to, what), block: null });
  }

  #lift(what: string | number): void {
    const found = this.#downs.findLast(({ down, block }) => block === null && down.what === what);
    if (!found) return;
    this.#downs = this.#downs.filter((other) => other !== found);
    this.place.desk.lift(found.down);
  }
}

/** Whether the pace counts for a step. */
function isSent({ kind }: Plain): boolean {
  return kind !== 'until' && kind !== 'layer';
}

function withoutMarks(text: string): string {
  return text.split('‹').join('').split('›').join('');
}

import type { DistributiveOmit } from '../../distributiveOmit.ts';
import type { Stroke } from '../../engine/index.ts';
import { modifierOf } from '../../keys/index.ts';
import type { Message, Place } from '../../setup/index.ts';
import type { Keyed } from './slowTyping.ts';

type Body = DistributiveOmit<Stroke, 't' | 'cause' | 'device' | 'program' | 'computer'>;

/** Whose use it is, and who gets it: a program or (null) the one in front, of a computer or (null) this one. */
export interface To {
  readonly device: string;
  readonly program: string | null;
  readonly computer: string | null;
}

/** A stroke without the event behind it. */
export type Bare = Omit<Stroke, 'cause'>;

/** What holds a key or a button down. */
export interface Down {
  readonly to: To;
  readonly what: string | number;
}

const ALL_MODIFIERS = ['Control', 'Shift', 'Alt', 'Meta'].flatMap((name) => [`${name}Left`, `${name}Right`]);

/** Everything sent so far, and the list of what is held down; a thing is down while anything holds it. */
export class SlowDesk {
  now = 0;
  readonly strokes: Bare[] = [];

  /** @param keysOf the keys of a shortcut, for who gets it; null where they cannot be typed */
  constructor(
    readonly keysOf: (to: To, keyed: Keyed) => readonly (readonly string[])[] | null,
    readonly intentOf: (to: To, intent: string) => Keyed | null,
  ) {}

  #downs: Down[] = [];

  send({ device, program, computer }: To, body: Body): void {
    const named = { ...(program === null ? {} : { program }), ...(computer === null ? {} : { computer }) };
    this.strokes.push({ t: this.now, device, ...body, ...named } as Bare);
  }

  press(to: To, what: string | number): Down {
    if (!this.#isDown(to, what)) this.#say(to, what, true);
    const down = { to, what };
    this.#downs.push(down);
    return down;
  }

  lift(down: Down): void {
    if (!this.#downs.includes(down)) return;
    this.#downs = this.#downs.filter((other) => other !== down);
    if (!this.#isDown(down.to, down.what)) this.#say(down.to, down.what, false);
  }

  /** Puts a shortcut down. A key that is down already is lifted before, and pressed after its modifiers. */
  pressAll(to: To, codes: readonly string[], always: boolean): Down[] {
    const modifiers = codes.filter((code) => modifierOf(code) !== null);
    const key = codes.find((code) => modifierOf(code) === null);
    const bare = modifiers.some((code) => !this.#isDown(to, code));
    const again = key !== undefined && this.#isDown(to, key) && (always || bare) ? key : null;
    if (again !== null) this.#say(to, again, false);
    const downs = codes.map((code) => this.press(to, code));
    if (again !== null) this.#say(to, again, true);
    return downs;
  }

  tapKeys(to: To, codes: readonly string[]): void {
    const downs = this.pressAll(to, codes, true);
    for (const down of downs.toReversed()) this.lift(down);
  }

  click(to: To, { button, count, at }: { button: number; count: number; at: Place | null }): void {
    if (at) this.send(to, { kind: 'pointer-move', to: at });
    for (let i = 0; i < count; i++) this.lift(this.press(to, button));
  }

  /** Something of the pointer while keys are held; nothing where they cannot be typed. */
  holding(to: To, shortcut: string | undefined, act: () => void): void {
    const codes = shortcut === undefined ? [] : this.keysOf(to, { kind: 'shortcut', shortcut })?.[0];
    if (!codes) return;
    const downs = this.pressAll(to, codes, false);
    act();
    for (const down of downs.toReversed()) this.lift(down);
  }

  message(to: To, message: Message, part: number): void {
    const value = message.low + (message.high - message.low) * part;
    this.send(to, {
      kind: 'message',
      message,
      value: message.protocol === 'midi' ? Math.round(value) : value,
    });
  }

  /** Lifts the modifiers that are neither wanted nor one's own, acts, and puts them back. */
  exactly(to: To, codes: readonly string[], own: readonly Down[], act: () => void): void {
    const lifted = ALL_MODIFIERS.filter((code) => {
      const wanted = codes.some((other) => modifierOf(other) === modifierOf(code));
      const isOwn = own.some(({ what }) => what === code);
      return this.#isDown(to, code) && !wanted && !isOwn;
    });
    for (const code of lifted.toReversed()) this.#say(to, code, false);
    act();
    for (const code of lifted) this.#say(to, code, true);
  }

  #isDown({ program, computer }: To, what: string | number): boolean {
    return this.#downs.some(
      (down) => down.to.program === program && down.to.computer === computer && down.what === what,
    );
  }

  #say(to: To, what: string | number, down: boolean): void {
    if (typeof what === 'string') this.send(to, { kind: down ? 'key-down' : 'key-up', code: what });
    else this.send(to, { kind: down ? 'button-down' : 'button-up', button: what });
  }
}

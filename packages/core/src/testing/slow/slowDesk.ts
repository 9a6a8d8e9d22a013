import type { Stroke } from '../../engine/index.ts';
import { codesOf, modifierOf, parseShortcut } from '../../keys/index.ts';
import type { Message, Place } from '../../setup/index.ts';

type Body = Stroke extends infer Any
  ? Any extends Stroke
    ? Omit<Any, 't' | 'cause' | 'program'>
    : never
  : never;

/** A stroke without the event behind it. */
export type Bare = Omit<Stroke, 'cause'>;

/** What holds a key or a button down. */
export interface Down {
  readonly program: string | null;
  readonly what: string | number;
}

const ALL_MODIFIERS = ['Control', 'Shift', 'Alt', 'Meta'].flatMap((name) => [`${name}Left`, `${name}Right`]);

/** The keys a shortcut names, in the order in which they go down. */
export function codesIn(shortcut: string): readonly string[] {
  const parsed = parseShortcut(shortcut);
  return parsed.ok ? codesOf(parsed.value) : [];
}

/** Everything sent so far, and the list of what is held down; a thing is down while anything holds it. */
export class SlowDesk {
  now = 0;
  readonly strokes: Bare[] = [];
  #downs: Down[] = [];

  send(program: string | null, body: Body): void {
    this.strokes.push({ t: this.now, ...body, ...(program === null ? {} : { program }) } as Bare);
  }

  press(program: string | null, what: string | number): Down {
    if (!this.#isDown(program, what)) this.#say(program, what, true);
    const down = { program, what };
    this.#downs.push(down);
    return down;
  }

  lift(down: Down): void {
    if (!this.#downs.includes(down)) return;
    this.#downs = this.#downs.filter((other) => other !== down);
    if (!this.#isDown(down.program, down.what)) this.#say(down.program, down.what, false);
  }

  tapKeys(program: string | null, codes: readonly string[]): void {
    const downs = codes.map((code) => this.press(program, code));
    for (const down of downs.toReversed()) this.lift(down);
  }

  click(
    program: string | null,
    { button, count, at }: { button: number; count: number; at: Place | null },
  ): void {
    if (at) this.send(program, { kind: 'pointer-move', to: at });
    for (let i = 0; i < count; i++) this.lift(this.press(program, button));
  }

  message(program: string | null, message: Message, part: number): void {
    const value = message.low + (message.high - message.low) * part;
    this.send(program, {
      kind: 'message',
      message,
      value: message.protocol === 'midi' ? Math.round(value) : value,
    });
  }

  /** Lifts the modifiers that are neither wanted nor one's own, acts, and puts them back. */
  exactly(program: string | null, codes: readonly string[], own: readonly Down[], act: () => void): void {
    const lifted = ALL_MODIFIERS.filter((code) => {
      const wanted = codes.some((other) => modifierOf(other) === modifierOf(code));
      const isOwn = own.some(({ what }) => what === code);
      return this.#isDown(program, code) && !wanted && !isOwn;
    });
    for (const code of lifted.toReversed()) this.#say(program, code, false);
    act();
    for (const code of lifted) this.#say(program, code, true);
  }

  #isDown(program: string | null, what: string | number): boolean {
    return this.#downs.some((down) => down.program === program && down.what === what);
  }

  #say(program: string | null, what: string | number, down: boolean): void {
    if (typeof what === 'string') this.send(program, { kind: down ? 'key-down' : 'key-up', code: what });
    else this.send(program, { kind: down ? 'button-down' : 'button-up', button: what });
  }
}

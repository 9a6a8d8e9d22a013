import type { Heard } from '@nimble-lever/core/desks';
import type { Peer } from './hub.ts';

/** Where a slider is now, on its way to a desk. */
type SlideMessage = Extract<Heard, { kind: 'remote-input' }>;

/** Values of one slider go on at most so often: 40 times a second, in milliseconds. */
export const SLIDE_MS = 25;

/**
 * The values of sliders on their way to one desk, thinned to the newest: the first goes on at once, of those that come
 * soon after it only the newest, and of a desk that does not take messages in only the last. Where a slider comes to rest
 * always arrives.
 */
export class Slides {
  /** When a value of each slider went on last: milliseconds of this process. */
  readonly #sent = new Map<string, number>();
  /** What waits, by slider, in the order in which they came. */
  readonly #waiting = new Map<string, SlideMessage>();
  #timer: NodeJS.Timeout | null = null;

  constructor(private readonly to: Pick<Peer, 'isBusy' | 'send'>) {}

  /** A value came. */
  add(message: SlideMessage): void {
    const key = keyOf(message);
    if (this.#mayGo(key)) {
      this.#waiting.delete(key);
      this.#send(key, message);
      return;
    }
    this.#waiting.set(key, message);
    this.#lookLater();
  }

  /** What waits of a remote goes on: what it does next must not overtake it. */
  flush(remote: string): void {
    for (const [key, message] of [...this.#waiting]) {
      if (message.remote !== remote) continue;
      this.#waiting.delete(key);
      this.#send(key, message);
    }
  }

  /** A remote goes: where it left its sliders still arrives. */
  end(remote: string): void {
    this.flush(remote);
    for (const key of this.#sent.keys()) if (key.startsWith(`${remote} `)) this.#sent.delete(key);
  }

  /** The desk went: nothing goes on any more. */
  stop(): void {
    if (this.#timer) clearTimeout(this.#timer);
    this.#timer = null;
    this.#waiting.clear();
  }

  #mayGo(key: string): boolean {
    const before = this.#sent.get(key) ?? Number.NEGATIVE_INFINITY;
    return performance.now() >= before + SLIDE_MS && !this.to.isBusy();
  }

  #send(key: string, message: SlideMessage): void {
    this.#sent.set(key, performance.now());
    this.to.send(message);
  }

  #lookLater(): void {
    this.#timer ??= setTimeout(() => {
      this.#timer = null;
      for (const [key, message] of [...this.#waiting]) {
        if (!this.#mayGo(key)) continue;
        this.#waiting.delete(key);
        this.#send(key, message);
      }
      if (this.#waiting.size > 0) this.#lookLater();
    }, SLIDE_MS).unref();
  }
}

function keyOf({ remote, input }: SlideMessage): string {
  const axis = 'axis' in input ? input.axis : undefined;
  return `${remote} ${input.device}/${input.control} ${axis ?? 'up'}`;
}

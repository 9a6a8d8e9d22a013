import { isIPv6 } from 'node:net';
import { CODE_SECONDS } from '@nimble-lever/core/desks';

/** So many wrong codes a sender may type as fast as they like: a slip of the finger, and another. */
export const FREE_TRIES = 5;
/** After those the first pause; each is twice the one before: milliseconds. */
const FIRST_PAUSE_MS = 1000;
const LAST_PAUSE_MS = 60_000;
/** So many of all senders together, before a code a second is looked at, whoever sends it. */
export const FREE_OF_ALL = 50;
const PAUSE_OF_ALL_MS = 1000;
/** Wrong ones are forgotten when every code that they could have met is over. */
const KEPT_MS = CODE_SECONDS * 1000;
/** Senders that are remembered; with more, those that were quiet longest are forgotten. */
const MOST_SENDERS = 10_000;

interface Sender {
  /** When each wrong code came. */
  wrong: number[];
  /** No code of theirs is looked at before. */
  next: number;
}

/**
 * Slows down who types wrong codes, each sender by themselves, so that a stranger ends nobody's code. Of six digits and two
 * minutes at most some 170 are looked at, however many senders there are.
 */
export class TryingCodes {
  readonly #senders = new Map<string, Sender>();
  #wrong: number[] = [];
  #next = 0;

  /** @param now milliseconds of a clock that does not go back */
  constructor(private readonly now: () => number = () => performance.now()) {}

  /** How long until a code of this address is looked at: milliseconds; 0 for now, which counts as being looked at. */
  waits(address: string): number {
    const now = this.now();
    const sender = this.#senders.get(keyOf(address));
    const own = (sender?.next ?? 0) - now;
    if (own > 0) return own;
    this.#wrong = recent(this.#wrong, now);
    if (this.#wrong.length < FREE_OF_ALL) return 0;
    if (this.#next > now) return this.#next - now;
    this.#next = now + PAUSE_OF_ALL_MS;
    return 0;
  }

  /** A code of this address was wrong. */
  wasWrong(address: string): void {
    const now = this.now();
    this.#wrong.push(now);
    const key = keyOf(address);
    const sender = this.#senders.get(key) ?? { wrong: [], next: 0 };
    // Anew, so that the first is the one that was quiet longest.
    this.#senders.delete(key);
    this.#senders.set(key, sender);
    sender.wrong = [...recent(sender.wrong, now), now];
    const beyond = sender.wrong.length - FREE_TRIES;
    if (beyond >= 0) sender.next = now + Math.min(LAST_PAUSE_MS, FIRST_PAUSE_MS * 2 ** beyond);
    if (this.#senders.size > MOST_SENDERS) {
      const [quiet] = this.#senders.keys();
      if (quiet !== undefined) this.#senders.delete(quiet);
    }
  }
}

const recent = (times: readonly number[], now: number) => times.filter((time) => time > now - KEPT_MS);

/** A computer with IPv6 has as many addresses as it likes, all of one network (RFC 4291, 2.5.4: 64 bits). */
function keyOf(address: string): string {
  if (!isIPv6(address) || address.startsWith('::ffff:')) return address;
  const [head = '', tail] = address.split('::');
  const groups = head.split(':').filter(Boolean);
  const missing = tail === undefined ? 0 : 8 - groups.length - tail.split(':').filter(Boolean).length;
  return [
    ...groups,
    ...Array.from({ length: missing }, () => '0'),
    ...(tail ?? '').split(':').filter(Boolean),
  ]
    .slice(0, 4)
    .join(':');
}

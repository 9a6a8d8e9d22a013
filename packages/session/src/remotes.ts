import { type Input, type Remote, RemoteClock } from '@nimble-lever/core/desks';
import type { Clock } from './clock.ts';
import type { Session } from './session.ts';

/** A remote at the desk. */
interface Joined {
  readonly remote: Remote;
  /** What it has down, as `device/control`. */
  readonly down: Set<string>;
  readonly clock: RemoteClock;
}

/**
 * The remotes at a desk. What they do comes to the session with its time by the desk's clock; what one had down when it
 * went is let go.
 */
export class Remotes {
  readonly #joined = new Map<string, Joined>();

  constructor(
    private readonly session: Pick<Session, 'take'>,
    private readonly clock: Clock,
  ) {}

  /** Those that are there, in the order in which they came. */
  get all(): readonly Remote[] {
    return [...this.#joined.values()].map(({ remote }) => remote);
  }

  /** One comes, or comes again with other devices: then it begins anew. */
  join(remote: Remote): void {
    this.leave(remote.id);
    this.#joined.set(remote.id, { remote, down: new Set(), clock: new RemoteClock() });
  }

  /**
   * One went. A device that nobody else has is gone with it; of another only what this one had down comes up. Whoever is
   * not there has nothing to let go.
   */
  leave(id: string): void {
    const own = this.#joined.get(id);
    if (!own) return;
    this.#joined.delete(id);
    const others = [...this.#joined.values()];
    for (const device of new Set(own.remote.devices)) {
      if (!others.some(({ remote }) => remote.devices.includes(device))) {
        this.session.take({ kind: 'detach', device });
      }
    }
    for (const key of own.down) {
      const [device = '', control = ''] = key.split('/');
      const isHeld = others.some(({ down }) => down.has(key));
      const isShared = others.some(({ remote }) => remote.devices.includes(device));
      if (isShared && !isHeld) this.session.take({ kind: 'up', device, control });
    }
  }

  /** All went: the connection to them did. */
  leaveAll(): void {
    for (const id of [...this.#joined.keys()]) this.leave(id);
  }

  /**
   * A remote did something; says whether it was taken. Nothing is taken of one that is not there, nor of a device it does
   * not have with it.
   *
   * @param t by the remote's own clock, in milliseconds
   */
  take(id: string, t: number, input: Input): boolean {
    const own = this.#joined.get(id);
    if (!own?.remote.devices.includes(input.device)) return false;
    const key = `${input.device}/${input.control}`;
    const others = [...this.#joined.values()].filter((each) => each !== own);
    // Two who hold one control: it is down from the first to the last of them.
    const isHeld = others.some(({ down }) => down.has(key));
    if (input.kind === 'down') own.down.add(key);
    if (input.kind === 'up') own.down.delete(key);
    if (isHeld && (input.kind === 'down' || input.kind === 'up')) return true;
    this.session.take(input, own.clock.timeOf(t, this.clock.now()));
    return true;
  }
}

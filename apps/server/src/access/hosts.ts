import { networkInterfaces } from 'node:os';

/** Names under which a browser on the same computer reaches a loopback server. */
const LOOPBACK_NAMES: ReadonlySet<string> = new Set(['localhost', '127.0.0.1', '[::1]']);
/** An address that only this computer has (RFC 1122, 3.2.1.3; RFC 4291, 2.5.3), also as IPv6 has it (2.5.5.2). */
const LOOPBACK = /^(127\.|::ffff:127\.|::1$|localhost$)/;

/** Whether an address is reached on this computer only. */
export function isLoopback(address: string): boolean {
  return LOOPBACK.test(address);
}

/** Whether a host, as a request names it, is this computer as it calls itself. */
export function isLoopbackName(host: string): boolean {
  return LOOPBACK_NAMES.has(hostName(host));
}

/** A host as a request names it, without its port, in small letters (RFC 9110, 4.2.3). */
function hostName(host: string): string {
  return host.replace(/:\d+$/, '').toLowerCase();
}

/** The addresses this computer has in its networks. */
function ownAddresses(): readonly string[] {
  return Object.values(networkInterfaces())
    .flatMap((each) => each ?? [])
    .filter(({ family, internal }) => family === 'IPv4' && !internal)
    .map(({ address }) => address);
}

/** Under which names the server answers. */
export class Hosts {
  readonly #listensTo: string;
  readonly #further: readonly string[];

  /**
   * @param listensTo the address it listens to
   * @param further further names, separated by commas
   */
  constructor(listensTo: string, further: string) {
    this.#listensTo = listensTo;
    this.#further = further
      .split(',')
      .map((name) => name.trim().toLowerCase())
      .filter(Boolean);
  }

  /** Only this computer reaches it. */
  get isLoopback(): boolean {
    return isLoopback(this.#listensTo);
  }

  /**
   * Whether a request may name this host. Any other name is how a strange page would reach us through DNS (DNS rebinding);
   * an address of this computer's own is none that DNS could point anywhere.
   */
  answersTo(host: string): boolean {
    const name = hostName(host);
    if (LOOPBACK_NAMES.has(name) || this.#further.includes(name)) return true;
    return !this.isLoopback && (name === this.#listensTo || ownAddresses().includes(name));
  }

  /** The names others reach it by, those that were given first; none where only this computer does. */
  elsewhere(): readonly string[] {
    if (this.isLoopback) return [];
    const isAnywhere = ANYWHERE.has(this.#listensTo);
    return [...new Set([...this.#further, ...(isAnywhere ? ownAddresses() : [this.#listensTo])])];
  }

  /** The address for this computer: who listens to every network is reached by loopback. */
  here(): string {
    return ANYWHERE.has(this.#listensTo) ? '127.0.0.1' : this.#listensTo;
  }
}

/** What listens to every network (RFC 1122, 3.2.1.3; RFC 4291, 2.5.2). */
const ANYWHERE: ReadonlySet<string> = new Set(['0.0.0.0', '::']);

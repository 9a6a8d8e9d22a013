import { randomUUID } from 'node:crypto';
import { type Heard, isForDesk } from '@nimble-lever/core/desks';
import { Hub, type NearDesk, type Peer } from './hub.ts';
import { MOST_FAR_BYTES, readWire, type WireSay, wireText } from './wire.ts';

/** How often a server says that it is still there: milliseconds. */
export const BEAT_MS = 2000;
/** One that was not heard for so many beats is gone. */
const MOST_MISSED = 3;
/** With so much waiting to be told, values are thinned. */
const BUSY = 200;

/** What carries messages to all servers of the database; it may be away. */
export interface Wire {
  readonly say: (text: string) => void;
  /** How much waits. */
  readonly waiting: () => number;
}

/** Another server: when it was heard last, and who of it is known here. */
interface Other {
  heardAt: number;
  /** Its desks, by id. */
  readonly desks: Map<string, Peer>;
  /** Its remotes that take part here, by id. */
  readonly remotes: Map<string, Peer>;
}

/**
 * The other servers of the same database: their desks can be joined from here, and their remotes take part at desks here.
 * To the hub each is a peer like any other.
 */
export class OtherServers {
  /** This server's hub, which tells of its desks. */
  readonly hub: Hub = new Hub({
    here: (desk) => this.#say(null, hereOf(desk)),
    away: ({ id }) => this.#say(null, { kind: 'away', desk: id }),
  });
  readonly #own = randomUUID();
  readonly #others = new Map<string, Other>();
  #seq = 0;

  constructor(
    private readonly wire: Wire,
    private readonly now: () => number = () => performance.now(),
  ) {}

  /** It can be heard, from now on or again: it asks who is there, and says who is here. */
  opened(): void {
    this.#say(null, { kind: 'who' });
    for (const desk of this.hub.near) this.#say(null, hereOf(desk));
  }

  /** Nobody can be heard: whoever had to do with others has so no more. */
  lost(): void {
    for (const from of [...this.#others.keys()]) this.#end(from);
  }

  /** Every two seconds: says that it is there, where others care, and finds out who is not. */
  beat(): void {
    const { near } = this.hub;
    for (const desk of near) this.#say(null, hereOf(desk));
    if (near.length === 0 && this.hub.hasFarRemotes) this.#say(null, { kind: 'alive' });
    for (const [from, { heardAt }] of this.#others) {
      if (this.now() - heardAt > MOST_MISSED * BEAT_MS) this.#end(from);
    }
  }

  /** Takes what came over the wire, what this one said itself too. */
  heard(text: string): void {
    const message = readWire(text);
    if (!message || message.from === this.#own || (message.to !== null && message.to !== this.#own)) return;
    const { from, say } = message;
    const other = this.#others.get(from) ?? { heardAt: 0, desks: new Map(), remotes: new Map() };
    this.#others.set(from, other);
    other.heardAt = this.now();
    this.#take(from, other, say);
  }

  #take(from: string, other: Other, say: WireSay): void {
    switch (say.kind) {
      case 'who':
        // It has begun anew, and knows nothing of what was.
        this.#end(from);
        for (const desk of this.hub.near) this.#say(from, hereOf(desk));
        return;
      case 'here': {
        const { setUp, desk, used, since } = say;
        const peer = other.desks.get(desk.id) ?? this.#deskPeer(from, setUp, desk.id);
        other.desks.set(desk.id, peer);
        this.hub.farDesk(peer, desk, used, since);
        return;
      }
      case 'away':
        this.#endDesk(other, say.desk);
        return;
      case 'alive':
        return;
      case 'join': {
        const { setUp, remote, desk } = say;
        const peer = this.#remotePeer(from, setUp, remote.id, desk);
        const before = other.remotes.get(remote.id);
        other.remotes.delete(remote.id);
        if (before) this.hub.gone(before);
        if (this.hub.farRemote(peer, remote, desk)) other.remotes.set(remote.id, peer);
        else this.#say(from, { kind: 'away', desk });
        return;
      }
      case 'leave': {
        const peer = other.remotes.get(say.remote);
        other.remotes.delete(say.remote);
        if (peer) this.hub.gone(peer);
        return;
      }
      case 'input': {
        const { remote, seq, t, input } = say.input;
        const peer = other.remotes.get(remote);
        if (peer && this.hub.has(peer)) this.hub.farInput(peer, { kind: 'input', seq, t, input });
        else this.#say(from, { kind: 'not-here', remote, desk: say.desk });
        return;
      }
      case 'to-remote':
        this.hub.fromFar(say.remote, say.message);
        return;
      case 'not-here':
        this.hub.leftBehind(say.remote, say.desk);
    }
  }

  /** Stands for a desk of another server: what it is sent goes there. */
  #deskPeer(to: string, setUp: string, desk: string): Peer {
    return this.#peer(setUp, (message) => {
      if (!isForDesk(message)) return;
      switch (message.kind) {
        case 'remote-joined':
          return this.#say(to, { kind: 'join', setUp, desk, remote: message.remote });
        case 'remote-left':
          return this.#say(to, { kind: 'leave', remote: message.remote });
        case 'remote-input':
          return this.#say(to, { kind: 'input', desk, input: message });
      }
    });
  }

  /** Stands for a remote of another server. */
  #remotePeer(to: string, setUp: string, remote: string, desk: string): Peer {
    return this.#peer(setUp, (message) => {
      if (message.kind !== 'gone') this.#say(to, { kind: 'to-remote', remote, message });
      else {
        this.#others.get(to)?.remotes.delete(remote);
        this.#say(to, { kind: 'not-here', remote, desk });
      }
    });
  }

  #peer(setUp: string, send: (message: Heard) => void): Peer {
    // What it may do its own server has looked at.
    const rights = { may: 'everything' } as const;
    return { setUp, rights, most: MOST_FAR_BYTES, isBusy: () => this.wire.waiting() > BUSY, send };
  }

  #endDesk(other: Other, desk: string): void {
    const peer = other.desks.get(desk);
    other.desks.delete(desk);
    if (peer) this.hub.gone(peer);
  }

  /** Another server is gone, or cannot be heard. */
  #end(from: string): void {
    const other = this.#others.get(from);
    this.#others.delete(from);
    for (const peer of [...(other?.desks.values() ?? []), ...(other?.remotes.values() ?? [])]) {
      this.hub.gone(peer);
    }
  }

  #say(to: string | null, say: WireSay): void {
    this.#seq += 1;
    this.wire.say(wireText({ from: this.#own, to, seq: this.#seq, say }));
  }
}

function hereOf({ setUp, desk, used, since }: NearDesk): WireSay {
  return { kind: 'here', setUp, desk, used, since };
}

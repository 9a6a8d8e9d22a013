import { randomUUID } from 'node:crypto';
import {
  type Desk,
  type Heard,
  MOST_MESSAGES,
  type Remote,
  type Rights,
  saidSchema,
  type Taken,
} from '@nimble-lever/core/desks';
import { DeskNews } from './deskNews.ts';
import { Slides } from './slides.ts';

/** A connection, as the hub needs it. */
export interface Peer {
  /** Desks and remotes of one set-up meet. */
  readonly setUp: string;
  readonly rights: Rights;
  /** So much waits for it already that values should be thinned. */
  readonly isBusy: () => boolean;
  /** The largest message that reaches it: bytes. */
  readonly most: number;
  readonly send: (message: Heard) => void;
}

/** A peer that is a desk. */
interface DeskPeer {
  readonly peer: Peer;
  readonly desk: Desk;
  /** When it was used last: milliseconds, the same for all servers but for what their clocks differ. */
  used: number;
  /** When it became one. */
  readonly since: number;
  /** It is at another server. */
  readonly isFar: boolean;
  /** Values of sliders on their way to it. */
  readonly slides: Slides;
}

/** A peer that takes part at a desk, or would. */
interface RemotePeer {
  readonly peer: Peer;
  readonly remote: Remote;
  /** The desk it asked for; null for any. */
  readonly wish: string | null;
  /** Where it is now; null while there is none. */
  at: DeskPeer | null;
  /** It is at another server, which has found this desk for it. */
  readonly isFar: boolean;
}

/** Told of the desks of this server, for other servers. */
export interface DeskWatcher {
  readonly here: (desk: NearDesk) => void;
  readonly away: (desk: Desk) => void;
}

/** A desk of this server, as others are told of it. */
export interface NearDesk {
  readonly setUp: string;
  readonly desk: Desk;
  readonly used: number;
  readonly since: number;
}

/** A desk answers all of its remotes: as much as ten of them may say. */
const MOST_OF_DESK = 10 * MOST_MESSAGES;

/** What came of a message: taken, refused in words, or one of too many. */
export type Outcome =
  | { readonly kind: 'taken' | 'too-many' }
  | { readonly kind: 'refused'; readonly detail: string };

/**
 * Who is there, and passes on what they say. It never runs an engine: what a press becomes is the desk's to decide.
 */
export class Hub {
  readonly #desks = new Map<Peer, DeskPeer>();
  readonly #remotes = new Map<Peer, RemotePeer>();
  readonly #rates = new Map<Peer, { second: number; count: number }>();
  /** Those that are told which desks there are. */
  readonly #news = new DeskNews((setUp) => this.#desksOf(setUp));
  #used = 0;

  constructor(private readonly watcher: DeskWatcher | null = null) {}

  /** The desks of this server. */
  get near(): readonly NearDesk[] {
    return [...this.#desks.values()].filter(({ isFar }) => !isFar).map(toNear);
  }

  /** Whether remotes of this server are at desks of others. */
  get hasFarRemotes(): boolean {
    return [...this.#remotes.values()].some(({ at, isFar }) => isFar || at?.isFar === true);
  }

  /** Whether a peer is a desk or a remote: then it should be known soon when it is gone. */
  has(peer: Peer): boolean {
    return this.#desks.has(peer) || this.#remotes.has(peer);
  }

  /** Takes what a peer says. */
  heard(peer: Peer, text: string): Outcome {
    if (this.#isTooMany(peer)) return { kind: 'too-many' };
    const said = saidSchema.safeParse(readJson(text)).data;
    if (!said) return refused('The server knows no such message.');
    return maySay(peer.rights, said)
      ? this.#take(peer, said)
      : refused('This browser may use one panel only.');
  }

  /** A peer's connection is closed: whoever has to do with it is told. */
  gone(peer: Peer): void {
    this.#rates.delete(peer);
    this.#news.unwatch(peer);
    this.#endDesk(peer);
    this.#endRemote(peer);
  }

  /**
   * A desk of another server is there, or was used; `peer` stands for it. One that is here, too, came later to one of the
   * two: there it is.
   */
  farDesk(peer: Peer, desk: Desk, used: number, since: number): void {
    const known = this.#desks.get(peer);
    if (known) {
      known.used = Math.max(known.used, used);
      return;
    }
    for (const [other, each] of this.#desks) {
      if (other.setUp !== peer.setUp || each.desk.id !== desk.id) continue;
      if (each.since > since) return;
      this.#endDesk(other);
    }
    this.#desks.set(peer, { peer, desk, used, since, isFar: true, slides: new Slides(peer) });
    this.#settle(peer.setUp);
  }

  /** A remote of another server takes part at a desk of this one; says whether there is such a desk. */
  farRemote(peer: Peer, remote: Remote, desk: string): boolean {
    const at = [...this.#desks.values()].find(
      (each) => !each.isFar && each.peer.setUp === peer.setUp && each.desk.id === desk,
    );
    if (!at) return false;
    this.#remotes.set(peer, { peer, remote, wish: desk, at, isFar: true });
    at.peer.send({ kind: 'remote-joined', remote });
    return true;
  }

  /** A remote of another server, which has counted what it says, did something. */
  farInput(peer: Peer, said: Extract<Taken, { kind: 'input' }>): void {
    this.#input(peer, said);
  }

  /** Another server says that a remote of this one is at its desk no more. */
  leftBehind(id: string, desk: string): void {
    for (const own of this.#remotes.values()) {
      if (own.remote.id !== id || own.isFar || !own.at?.isFar || own.at.desk.id !== desk) continue;
      own.at = null;
      own.peer.send({ kind: 'gone' });
      this.#settle(own.peer.setUp);
    }
  }

  /** Hands on what a desk of another server says to a remote of this one. */
  fromFar(id: string, message: Heard): void {
    for (const { at, remote, peer, isFar } of this.#remotes.values()) {
      if (remote.id === id && !isFar && at?.isFar) peer.send(message);
    }
  }

  #take(peer: Peer, said: Taken): Outcome {
    switch (said.kind) {
      case 'here':
        return this.#here(peer, said.desk);
      case 'away':
        this.#endDesk(peer);
        return TAKEN;
      case 'panel':
        return this.#toRemote(peer, said.remote, { kind: 'panel', panel: said.panel, more: said.more });
      case 'shows':
        return this.#toRemote(peer, said.remote, { kind: 'shows', device: said.device, shows: said.shows });
      case 'done':
        return this.#toRemote(peer, said.remote, { kind: 'done', seq: said.seq });
      case 'account':
        return this.#toRemote(peer, said.remote, { kind: 'account', lines: said.lines });
      case 'windows':
        return this.#toRemote(peer, said.remote, { kind: 'windows', windows: said.windows });
      case 'which-desks':
        this.#news.watch(peer);
        return TAKEN;
      case 'join':
        return this.#join(peer, said);
      case 'leave':
        this.#endRemote(peer);
        return TAKEN;
      case 'input':
        return this.#input(peer, said);
    }
  }

  /** A desk that comes back on another connection takes the place of its old one. */
  #here(peer: Peer, desk: Desk): Outcome {
    this.#endDesk(peer);
    for (const [other, known] of this.#desks) {
      if (other.setUp === peer.setUp && known.desk.id === desk.id) this.#endDesk(other);
    }
    const since = this.#nextUsed();
    const own: DeskPeer = { peer, desk, used: since, since, isFar: false, slides: new Slides(peer) };
    this.#desks.set(peer, own);
    this.watcher?.here(toNear(own));
    this.#settle(peer.setUp);
    return TAKEN;
  }

  #join(peer: Peer, { desk, name, devices, watches, uses }: Extract<Taken, { kind: 'join' }>): Outcome {
    this.#endRemote(peer);
    const remote: Remote = { id: randomUUID(), name, devices, watches, uses };
    const own: RemotePeer = { peer, remote, wish: desk, at: null, isFar: false };
    this.#remotes.set(peer, own);
    this.#settle(peer.setUp);
    if (!own.at) peer.send({ kind: 'gone' });
    return TAKEN;
  }

  #input(peer: Peer, { seq, t, input }: Extract<Taken, { kind: 'input' }>): Outcome {
    const own = this.#remotes.get(peer);
    if (!own) return refused('Join a desk first.');
    // It is on its way to being told; what was pressed meanwhile is not sent later.
    if (!own.at) return TAKEN;
    if (!own.remote.devices.includes(input.device)) {
      return refused('A remote may use only the devices it joined with.');
    }
    own.at.used = this.#nextUsed();
    const message = { kind: 'remote-input', remote: own.remote.id, seq, t, input } as const;
    if (input.kind === 'position') own.at.slides.add(message);
    else {
      own.at.slides.flush(own.remote.id);
      own.at.peer.send(message);
    }
    return TAKEN;
  }

  /** A desk speaks only to its own remotes; one that has just gone hears nothing, and that is no mistake. */
  #toRemote(peer: Peer, id: string, message: Heard): Outcome {
    const desk = this.#desks.get(peer);
    if (!desk) return refused('Only a desk says this.');
    for (const { at, remote, peer: to } of this.#remotes.values()) {
      if (at !== desk || remote.id !== id) continue;
      if (Buffer.byteLength(JSON.stringify(message)) > to.most) {
        return refused(`This is too large for a remote at another server: at most ${to.most} bytes.`);
      }
      to.send(message);
    }
    return TAKEN;
  }

  #endDesk(peer: Peer): void {
    const desk = this.#desks.get(peer);
    if (!desk) return;
    this.#desks.delete(peer);
    desk.slides.stop();
    if (!desk.isFar) this.watcher?.away(desk.desk);
    for (const own of this.#remotes.values()) {
      if (own.at !== desk) continue;
      own.at = null;
      own.peer.send({ kind: 'gone' });
      // Where it goes next its own server decides.
      if (own.isFar) this.#remotes.delete(own.peer);
      // Also one that stays connected lets go of what they held.
      peer.send({ kind: 'remote-left', remote: own.remote.id });
    }
    this.#settle(peer.setUp);
  }

  #endRemote(peer: Peer): void {
    const own = this.#remotes.get(peer);
    this.#remotes.delete(peer);
    own?.at?.slides.end(own.remote.id);
    own?.at?.peer.send({ kind: 'remote-left', remote: own.remote.id });
  }

  /** Whoever waits for a desk joins one: the one that was asked for, else the one that was used last. */
  #settle(setUp: string): void {
    this.#news.changed(setUp);
    const waiting = [...this.#remotes.values()].filter(({ at, peer }) => !at && peer.setUp === setUp);
    if (waiting.length === 0) return;
    const desks = this.#desksOf(setUp);
    const [newest] = desks;
    for (const own of waiting) {
      const desk = own.wish === null ? newest : desks.find(({ desk: { id } }) => id === own.wish);
      if (!desk) continue;
      own.at = desk;
      own.peer.send({ kind: 'joined', desk: desk.desk });
      desk.peer.send({ kind: 'remote-joined', remote: own.remote });
    }
  }

  /** The desks of a set-up, the one that was used last first. */
  #desksOf(setUp: string): readonly DeskPeer[] {
    const own = [...this.#desks.values()].filter(({ peer }) => peer.setUp === setUp);
    return own.toSorted((a, b) => b.used - a.used);
  }

  #nextUsed(): number {
    // Rising also where two come in a millisecond.
    this.#used = Math.max(this.#used + 1, Date.now());
    return this.#used;
  }

  /** Counted by whole seconds. */
  #isTooMany(peer: Peer): boolean {
    const second = Math.floor(performance.now() / 1000);
    const rate = this.#rates.get(peer);
    const count = rate?.second === second ? rate.count + 1 : 1;
    this.#rates.set(peer, { second, count });
    return count > (this.#desks.has(peer) ? MOST_OF_DESK : MOST_MESSAGES);
  }
}

/** Whether a message may be said with some rights: those of a panel join with it, and nothing else. */
function maySay(rights: Rights, said: Taken): boolean {
  if (rights.may === 'everything') return true;
  switch (said.kind) {
    case 'join':
      // What happens at the desk besides is not this panel's to know.
      return (
        said.watches === 'panel' &&
        said.uses === null &&
        said.devices.every((device) => device === rights.device)
      );
    case 'leave':
    case 'input':
      return true;
    case 'here':
    case 'away':
    case 'panel':
    case 'shows':
    case 'done':
    case 'account':
    case 'windows':
    case 'which-desks':
      return false;
  }
}

function toNear({ peer: { setUp }, desk, used, since }: DeskPeer): NearDesk {
  return { setUp, desk, used, since };
}

const TAKEN: Outcome = { kind: 'taken' };

function refused(detail: string): Outcome {
  return { kind: 'refused', detail };
}

/** A message as JSON; null where it is none. */
function readJson(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return null;
  }
}

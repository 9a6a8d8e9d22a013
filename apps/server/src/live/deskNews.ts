import type { Desk } from '@nimble-lever/core/desks';
import type { Peer } from './hub.ts';

/** Who watches is told of desks at most so often: ten times a second, in milliseconds. */
export const DESK_NEWS_MS = 100;

/**
 * Tells those who watch which desks their set-up has, but not their own. What changes is told at once and then at most
 * ten times a second, however many come and go; who would hear the same again hears nothing.
 */
export class DeskNews {
  /** Those who watch, by set-up, and what each was told last. */
  readonly #watching = new Map<string, Map<Peer, string>>();
  /** Set-ups that were told of a moment ago, and whether something has changed since. */
  readonly #resting = new Map<string, { changed: boolean }>();

  constructor(private readonly desksOf: (setUp: string) => readonly { peer: Peer; desk: Desk }[]) {}

  /** Someone wants to know: they are told now, and from now on. */
  watch(peer: Peer): void {
    const watching = this.#watching.get(peer.setUp) ?? new Map<Peer, string>();
    this.#watching.set(peer.setUp, watching.set(peer, ''));
    this.#tell(peer, this.desksOf(peer.setUp));
  }

  /** Someone has gone. */
  unwatch(peer: Peer): void {
    const watching = this.#watching.get(peer.setUp);
    if (watching?.delete(peer) && watching.size === 0) this.#watching.delete(peer.setUp);
  }

  /** A desk of a set-up came or went. */
  changed(setUp: string): void {
    const resting = this.#resting.get(setUp);
    if (resting) resting.changed = true;
    else if (this.#watching.has(setUp)) this.#tellAll(setUp);
  }

  #tellAll(setUp: string): void {
    this.#resting.set(setUp, { changed: false });
    setTimeout(() => {
      const changed = this.#resting.get(setUp)?.changed === true;
      this.#resting.delete(setUp);
      if (changed) this.changed(setUp);
    }, DESK_NEWS_MS).unref();
    const desks = this.desksOf(setUp);
    for (const peer of this.#watching.get(setUp)?.keys() ?? []) this.#tell(peer, desks);
  }

  #tell(peer: Peer, all: readonly { peer: Peer; desk: Desk }[]): void {
    // What a page is itself it knows.
    const desks = all.filter((each) => each.peer !== peer).map(({ desk }) => desk);
    const text = JSON.stringify(desks);
    const watching = this.#watching.get(peer.setUp);
    if (watching?.get(peer) === text) return;
    watching?.set(peer, text);
    peer.send({ kind: 'desks', desks });
  }
}

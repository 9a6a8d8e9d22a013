/** Who uses the live connection besides those who keep in step with edits. */
export interface LineUser {
  /** It is open from now on; called at once where it is already. */
  readonly onOpen: () => void;
  readonly onLost: () => void;
  /** Told of what is no edit; says whether that was for it. */
  readonly onMessage: (message: unknown) => boolean;
}

/** The page's live connection, for one user besides the edits; it comes and goes with the server. */
export class LiveLine {
  #send: ((text: string) => void) | null = null;
  #user: LineUser | null = null;

  /** Begins to use it; the answer ends that. */
  use(user: LineUser): () => void {
    this.#user = user;
    if (this.#send) user.onOpen();
    return () => {
      if (this.#user === user) this.#user = null;
    };
  }

  /** Says something to the server; while there is no connection it is not said, now or later. */
  say(message: object): void {
    this.#send?.(JSON.stringify(message));
  }

  /** The connection is there, with what sends on it. */
  opened(send: (text: string) => void): void {
    this.#send = send;
    this.#user?.onOpen();
  }

  /** The connection is gone. */
  lost(): void {
    this.#send = null;
    this.#user?.onLost();
  }

  /** Hands on what came in. */
  heard(message: unknown): boolean {
    return this.#user?.onMessage(message) ?? false;
  }
}

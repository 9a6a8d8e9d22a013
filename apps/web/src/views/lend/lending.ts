import {
  type AccountLine,
  type Desk,
  type Heard,
  heardSchema,
  type Input,
  isForRemote,
  type OpenWindow,
  type Said,
} from '@nimble-lever/core/desks';
import type { LineUser } from '../../app/setup/liveLine.ts';

/** How many lines of the desk's account are kept. */
const KEPT = 40;

/** How lending stands. */
export interface LendingState {
  /** The server is there. */
  readonly isOpen: boolean;
  /** The desks there are, the one that was used last first. */
  readonly desks: readonly Desk[];
  /** Where this browser's devices are used; null while they are not. */
  readonly at: Desk | null;
  /** What happened there, newest first, each with a number of its own. */
  readonly lines: readonly (AccountLine & { readonly key: number })[];
  readonly windows: readonly OpenWindow[];
}

const NOTHING: LendingState = { isOpen: false, desks: [], at: null, lines: [], windows: [] };

/** The page's connection, as lending needs it. */
interface Line {
  use(user: LineUser): () => void;
  say(message: object): void;
}

/**
 * This browser as a remote: it joins a desk with devices of the rig that it hears, and again by itself when the server or
 * the desk was away. What is used meanwhile is not sent later.
 */
export class Lending {
  #state = NOTHING;
  #seq = 0;
  #lines = 0;
  #end: () => void = () => undefined;
  /** What is lent, and to which desk; null while nothing is. */
  #lent: { readonly desk: string | null; readonly devices: readonly string[] } | null = null;
  /** What is down, as `device/control`. */
  readonly #down = new Set<string>();

  constructor(
    private readonly line: Line,
    private readonly name: string,
    private readonly onChange: (state: LendingState) => void,
    private readonly now: () => number = () => performance.now(),
  ) {}

  /** Begins to hear of desks. */
  open(): void {
    this.#end = this.line.use({
      onOpen: () => {
        this.#set({ isOpen: true });
        this.#say({ kind: 'which-desks' });
        this.#join();
      },
      onLost: () => {
        this.#down.clear();
        this.#set({ isOpen: false, desks: [], at: null, windows: [] });
      },
      onMessage: (json) => {
        const { data } = heardSchema.safeParse(json);
        return data !== undefined && this.#take(data);
      },
    });
  }

  close(): void {
    this.stop();
    this.#end();
  }

  /** Lends devices from now on: to a desk, or (null) to the one that is used. */
  lend(desk: string | null, devices: readonly string[]): void {
    this.#lent = devices.length > 0 ? { desk, devices } : null;
    this.#down.clear();
    if (this.#lent) this.#join();
    else this.stop();
  }

  /** Lends nothing any more; what is down comes up. */
  stop(): void {
    this.#lent = null;
    this.#down.clear();
    this.#say({ kind: 'leave' });
    this.#set({ at: null, windows: [] });
  }

  /** A lent device was used; says whether that is sent. */
  use(input: Input): boolean {
    if (!this.#state.at || !this.#lent?.devices.includes(input.device)) return false;
    const key = `${input.device}/${input.control}`;
    if (input.kind === 'down') this.#down.add(key);
    if (input.kind === 'up' && !this.#down.delete(key)) return false;
    this.#seq += 1;
    this.#say({ kind: 'input', seq: this.#seq, t: this.now(), input });
    return true;
  }

  /** Nothing is heard here from now on (another window has the keyboard): what is down comes up. */
  letGo(): void {
    for (const key of [...this.#down]) {
      const [device = '', control = ''] = key.split('/');
      this.use({ kind: 'up', device, control });
    }
  }

  #join(): void {
    if (!this.#lent) return;
    const { desk, devices } = this.#lent;
    this.#say({ kind: 'join', desk, name: this.name, devices: [...devices], watches: 'account' });
  }

  #take(message: Heard): boolean {
    if (message.kind === 'desks') this.#set({ desks: message.desks });
    if (!isForRemote(message)) return message.kind === 'desks';
    switch (message.kind) {
      case 'joined':
        this.#down.clear();
        this.#set({ at: message.desk });
        return true;
      case 'gone':
        this.#down.clear();
        this.#set({ at: null, windows: [] });
        return true;
      case 'account': {
        const lines = message.lines.map((line) => {
          this.#lines += 1;
          return { ...line, key: this.#lines };
        });
        this.#set({ lines: [...lines.toReversed(), ...this.#state.lines].slice(0, KEPT) });
        return true;
      }
      case 'windows':
        this.#set({ windows: message.windows });
        return true;
      case 'done':
      case 'panel':
      case 'shows':
        return true;
    }
  }

  #say(message: Said): void {
    this.line.say(message);
  }

  #set(change: Partial<LendingState>): void {
    this.#state = { ...this.#state, ...change };
    this.onChange(this.#state);
  }
}

import { type Heard, heardSchema, type Input, type Said, visitorSchema } from '@nimble-lever/core/desks';
import { z } from 'zod';

/** How long to wait before connecting again, ever longer: milliseconds. */
const RETRY_MS = [300, 600, 1200, 2500, 5000] as const;
/** The set-ups of the server; the first that is not in the bin is shown first. */
const listSchema = z.array(z.looseObject({ id: z.string(), binnedAt: z.string().nullable() })).min(1);

/** What is told to whoever draws the panel. */
interface Listeners {
  readonly onHeard: (message: Heard) => void;
  /** The connection is gone; it is tried again by itself. */
  readonly onLost: () => void;
  /** This browser may not come in, until a person pairs it. */
  readonly onStranger: () => void;
}

/**
 * The connection of a panel to its desk. It comes again by itself; what is pressed while it is away is not sent, now or
 * later.
 */
export class PanelLine {
  #socket: WebSocket | null = null;
  #failures = 0;
  #seq = 0;
  #closed = false;
  #retry: ReturnType<typeof setTimeout> | undefined;
  /** Values that wait for the next frame, the newest of each control and way. */
  readonly #values = new Map<string, Extract<Input, { kind: 'position' }>>();
  #frame = 0;

  constructor(
    private readonly device: string,
    private readonly name: string,
    private readonly listeners: Listeners,
  ) {}

  /** Connects, for as long as it takes. */
  open(): void {
    void this.#connect();
  }

  close(): void {
    this.#closed = true;
    clearTimeout(this.#retry);
    cancelAnimationFrame(this.#frame);
    this.#socket?.close();
  }

  /**
   * Sends what was done; the number by which the desk says that it was carried out, null where nobody hears it. Of values
   * only the newest goes with each frame.
   */
  send(input: Input): number | null {
    if (this.#socket?.readyState !== WebSocket.OPEN) return null;
    if (input.kind !== 'position') {
      // A press comes after the values before it.
      this.#sendValues();
      return this.#sendNow(input);
    }
    this.#values.set(`${input.control} ${input.axis ?? ''}`, input);
    if (this.#frame === 0) this.#frame = requestAnimationFrame(() => this.#sendValues());
    return null;
  }

  #sendValues(): void {
    cancelAnimationFrame(this.#frame);
    this.#frame = 0;
    for (const input of this.#values.values()) this.#sendNow(input);
    this.#values.clear();
  }

  #sendNow(input: Input): number {
    this.#seq += 1;
    this.#say({ kind: 'input', seq: this.#seq, t: performance.now(), input });
    return this.#seq;
  }

  async #connect(): Promise<void> {
    try {
      const setUp = await this.#setUp();
      if (this.#closed) return;
      const scheme = location.protocol === 'https:' ? 'wss' : 'ws';
      const socket = new WebSocket(`${scheme}://${location.host}/api/live?setUp=${setUp}`);
      this.#socket = socket;
      socket.onopen = () => {
        this.#failures = 0;
        this.#say({ kind: 'join', desk: null, name: this.name, devices: [this.device] });
      };
      socket.onmessage = ({ data }) => this.#heard(String(data));
      socket.onclose = () => {
        if (this.#socket === socket) this.#lost();
      };
    } catch {
      this.#lost();
    }
  }

  /** The set-up this panel is of: the one it was paired for, else the one of its address, else the one that is shown first. */
  async #setUp(): Promise<string> {
    const who = await fetch('/api/visitor');
    if (who.status === 403) this.listeners.onStranger();
    const { rights } = visitorSchema.parse(await who.json());
    if (rights.may === 'panel') return rights.setUp;
    const named = new URLSearchParams(location.search).get('set-up');
    if (named !== null) return encodeURIComponent(named);
    const all = listSchema.parse(await (await fetch('/api/set-ups')).json());
    return (all.find(({ binnedAt }) => binnedAt === null) ?? all[0])?.id ?? '';
  }

  #heard(text: string): void {
    try {
      const message = heardSchema.safeParse(JSON.parse(text)).data;
      if (message) this.listeners.onHeard(message);
    } catch {
      // What is no message is as if it had not come.
    }
  }

  #lost(): void {
    this.#socket = null;
    this.#values.clear();
    if (this.#closed) return;
    this.listeners.onLost();
    const pause = RETRY_MS[Math.min(this.#failures, RETRY_MS.length - 1)] ?? 0;
    this.#failures += 1;
    this.#retry = setTimeout(() => void this.#connect(), pause);
  }

  #say(message: Said): void {
    this.#socket?.send(JSON.stringify(message));
  }
}

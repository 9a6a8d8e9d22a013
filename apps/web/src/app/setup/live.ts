import { liveMessageSchema, type NewsEntry, WIRE_VERSION } from '@nimble-lever/core/setup';
import type { z } from 'zod';

/** What is told to whoever listens to the live connection. */
interface Listeners {
  readonly onEdits: (entries: readonly NewsEntry[]) => void;
  /** More was missed than is told. */
  readonly onBehind: () => void;
  /** The server is of another version than this page. */
  readonly onOutdated: () => void;
  /** It is open, and this sends on it. */
  readonly onOpen: (send: (text: string) => void) => void;
  /** What is no edit; says whether somebody took it. */
  readonly onOther: (message: unknown) => boolean;
  readonly onLost: () => void;
}

/** The one live connection of a page: what is saved in other pages comes in by it. */
export class LiveConnection {
  #socket: WebSocket | null = null;

  constructor(private readonly listeners: Listeners) {}

  /** Connects, to be told of everything after a revision, unless it is connected already. */
  open(setUp: string, after: number): void {
    if (this.#socket && this.#socket.readyState <= WebSocket.OPEN) return;
    const scheme = location.protocol === 'https:' ? 'wss' : 'ws';
    const socket = new WebSocket(`${scheme}://${location.host}/api/live?setUp=${setUp}&after=${after}`);
    this.#socket = socket;
    socket.onopen = () => this.listeners.onOpen((text) => socket.send(text));
    socket.onmessage = ({ data }) => this.#heard(String(data));
    socket.onclose = () => {
      // An older connection that closes late says nothing about this one.
      if (this.#socket !== socket) return;
      this.#socket = null;
      this.listeners.onLost();
    };
  }

  #heard(text: string): void {
    const json = readJson(text);
    const message = liveMessageSchema.safeParse(json).data;
    if (message) this.#take(message);
    // Words of another version are no loss: what was missed is read with the set-up.
    else if (!this.listeners.onOther(json)) this.listeners.onBehind();
  }

  #take(message: z.infer<typeof liveMessageSchema>): void {
    switch (message.kind) {
      case 'edits':
        this.listeners.onEdits(message.entries);
        break;
      case 'behind':
        this.listeners.onBehind();
        break;
      case 'hello':
        if (message.version !== WIRE_VERSION) this.listeners.onOutdated();
        break;
      case 'refused':
        break;
    }
  }
}

/** A message as JSON; null where it is none, which is then met like any unknown message. */
function readJson(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return null;
  }
}

/** What the server asks of the worker that keeps the set-ups. */
export type Ask =
  | { readonly kind: 'health' }
  | { readonly kind: 'list' }
  | { readonly kind: 'storage' }
  | { readonly kind: 'keep-for'; readonly id: string; readonly body: Uint8Array }
  | { readonly kind: 'create'; readonly body: Uint8Array }
  | { readonly kind: 'bin' | 'unbin'; readonly id: string }
  | { readonly kind: 'read-first'; readonly query: Query }
  | { readonly kind: 'read'; readonly id: string; readonly query: Query }
  | { readonly kind: 'entries'; readonly id: string; readonly query: Query }
  | { readonly kind: 'append'; readonly id: string; readonly body: Uint8Array }
  | { readonly kind: 'missed'; readonly id: string; readonly after: number }
  | { readonly kind: 'set-up-file' | 'bindings'; readonly id: string; readonly query: Query }
  | { readonly kind: 'import'; readonly id: string; readonly body: Uint8Array }
  | { readonly kind: 'keep-picture'; readonly id: string; readonly body: Uint8Array }
  | { readonly kind: 'state'; readonly id: string; readonly revision: string }
  | { readonly kind: 'snapshots'; readonly id: string }
  | { readonly kind: 'moments'; readonly id: string; readonly query: Query }
  | { readonly kind: 'go-back'; readonly id: string; readonly body: Uint8Array }
  | { readonly kind: 'keep-snapshot'; readonly id: string; readonly body: Uint8Array }
  | {
      readonly kind: 'rename-snapshot';
      readonly id: string;
      readonly snapshot: string;
      readonly body: Uint8Array;
    }
  | { readonly kind: 'remove-snapshot'; readonly id: string; readonly snapshot: string }
  | { readonly kind: 'picture'; readonly id: string }
  | { readonly kind: 'add-picture'; readonly body: Uint8Array; readonly query: Query }
  | { readonly kind: 'make-code'; readonly body: Uint8Array }
  | { readonly kind: 'code' | 'withdraw-code'; readonly id: string }
  /** Tokens are hashes of what browsers keep: of its new secret, and of what it had before. */
  | {
      readonly kind: 'pair';
      readonly body: Uint8Array;
      readonly token: string;
      readonly before: string | null;
    }
  | { readonly kind: 'paired'; readonly own: string | null }
  | { readonly kind: 'forget'; readonly id: string }
  /** Who a browser with a token is. */
  | { readonly kind: 'visitor'; readonly token: string };

/** A request's query as it came. */
export type Query = Readonly<Record<string, unknown>>;

/** What is answered: an HTTP status and what belongs to it. */
export interface Answer {
  /** Of HTTP, as it is handed on. */
  readonly status: number;
  /** JSON for the page, a file for the person, a picture. A problem is JSON, whatever was asked. */
  readonly holds: 'json' | 'file' | 'text' | 'picture';
  /** JSON in UTF-8, or a picture, made in the worker so that the server's thread need not. */
  readonly body: Uint8Array;
}

/** What pages are told: that a set-up went from one revision to another, as JSON; null where that is too much. */
export interface News {
  readonly setUp: string;
  /** The revision before the news, and after it. */
  readonly from: number;
  readonly to: number;
  /** Null where it is more than pages are told; they read the set-up instead. */
  readonly body: Uint8Array | null;
}

/** What the main thread says to the worker. Bodies go over as bytes, without being read. */
export type ToWorker =
  | { readonly kind: 'ask'; readonly seq: number; readonly ask: Ask }
  | { readonly kind: 'close' };
/** What the worker says back. */
export type FromWorker =
  | { readonly kind: 'ready' }
  /** The database cannot be used; in words, and what may be told a program. */
  | { readonly kind: 'unusable'; readonly words: string }
  | ({ readonly kind: 'answer'; readonly seq: number } & Answer)
  | ({ readonly kind: 'news' } & News)
  /** A paired browser is one no more; with null, any may be. */
  | { readonly kind: 'forgotten'; readonly id: string | null };

/** What a worker needs to know when it begins. */
export interface WorkerSettings {
  readonly url: string;
  readonly logLevel: string;
  /** Milliseconds after which a statement is given up. */
  readonly queryLimitMs: number;
  /** The id of the set-up that an empty database gets. */
  readonly first: string;
}

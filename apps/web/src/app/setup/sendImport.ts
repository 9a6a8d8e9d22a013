import {
  type Author,
  appendAnswerSchema,
  type Edit,
  MOST_IMPORT_BYTES,
  problemSchema,
} from '@nimble-lever/core/setup';
import { newUuid } from '../newUuid.ts';

/** An import to be saved: one edit, and the pictures that it names. */
interface Import {
  readonly setUp: string;
  /** The newest revision that is known here. */
  readonly revision: number;
  readonly author: Author;
  readonly edit: Edit;
  /** As `data:` URLs by their ids. */
  readonly pictures: Readonly<Record<string, string>>;
  readonly signal: AbortSignal;
}

/** Saves an import: its pictures first, then the edit, all of it or nothing. Gives why not, in words; null where it did. */
export async function sendImport({
  setUp,
  revision,
  author,
  edit,
  pictures,
  signal,
}: Import): Promise<string | null> {
  const entry = { id: newUuid(), role: 'do', edit, author, base: revision };
  const body = JSON.stringify({ after: revision, entries: [entry] });
  if (new TextEncoder().encode(body).length > MOST_IMPORT_BYTES) {
    return 'This is more than can be taken in at once. Nothing was changed; take in less.';
  }
  try {
    for (const [id, url] of Object.entries(pictures)) {
      const kept = await fetch(`/api/pictures/${id}`, { method: 'PUT', body: bytesOf(url), signal });
      if (!kept.ok) return await whyNot(kept);
    }
    const saved = await fetch(`/api/set-ups/${setUp}/import`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body,
      signal,
    });
    if (!saved.ok) return await whyNot(saved);
    const [outcome] = appendAnswerSchema.parse(await saved.json()).outcomes;
    if (outcome?.kind === 'saved') return null;
    return `${outcome?.detail ?? ''} Nothing was changed.`.trim();
  } catch {
    return AWAY;
  }
}

const AWAY = 'The server does not answer. Look into the history whether it was taken in, else try again.';

async function whyNot(response: Response): Promise<string> {
  const problem = problemSchema.safeParse(await response.json().catch(() => null)).data;
  return problem?.detail ?? AWAY;
}

/** The bytes of a `data:` URL in base64 (RFC 2397). */
function bytesOf(url: string): Uint8Array<ArrayBuffer> {
  return Uint8Array.from(atob(url.slice(url.indexOf(',') + 1)), (letter) => letter.charCodeAt(0));
}

import { createHash } from 'node:crypto';
import type { Setup } from '@nimble-lever/core/setup';

/** A part of a set-up as JSON, and the SHA-256 of that. */
export interface SetupPart {
  /** The name of a list, `profiles/` and the id of a profile, or `head` for the fields of the set-up itself. */
  readonly name: string;
  readonly id: string;
  readonly text: string;
}

/**
 * The JSON of a set-up is made once a revision, however many pages ask for it; it goes when the set-up goes.
 */
const texts = new WeakMap<object, string>();
const ids = new WeakMap<object, string>();

/** What is made of an object once, for as long as the object lives. */
function once(known: WeakMap<object, string>, value: object, make: () => string): string {
  const found = known.get(value);
  if (found !== undefined) return found;
  const made = make();
  known.set(value, made);
  return made;
}

const textOf = (value: object) => once(texts, value, () => JSON.stringify(value));
const sha256 = (text: string) => createHash('sha256').update(text).digest('hex');

/** The fields of a set-up that are no lists, as JSON without the braces. */
function headText({ name, madeOn }: Pick<Setup, 'name' | 'madeOn'>): string {
  return `"name":${JSON.stringify(name)},"madeOn":${JSON.stringify(madeOn)}`;
}

/** A set-up as JSON. What an edit did not touch is not written anew. */
export function setupText({ name, madeOn, profiles, ...lists }: Setup): string {
  const fields = Object.entries(lists).map(([field, list]) => `${JSON.stringify(field)}:${textOf(list)}`);
  const all = Object.entries(profiles).map(([id, profile]) => `${JSON.stringify(id)}:${textOf(profile)}`);
  return `{${headText({ name, madeOn })},${fields.join(',')},"profiles":{${all.join(',')}}}`;
}

/** A set-up in parts, each of which most edits leave as it was. */
export function setupParts({ name, madeOn, profiles, ...lists }: Setup): readonly SetupPart[] {
  const head = `{${headText({ name, madeOn })}}`;
  const partOf = (part: string, value: object): SetupPart => {
    const text = textOf(value);
    return { name: part, text, id: once(ids, value, () => sha256(text)) };
  };
  return [
    { name: 'head', text: head, id: sha256(head) },
    ...Object.entries(lists).map(([field, list]) => partOf(field, list)),
    ...Object.entries(profiles).map(([id, profile]) => partOf(`profiles/${id}`, profile)),
  ];
}

/** What a set-up was made parts of, put together again; whether it is as it should be is still to be found out. */
export function setupOfParts(parts: ReadonlyMap<string, string>): unknown {
  const lists: Record<string, unknown> = {};
  const profiles: Record<string, unknown> = {};
  let head = {};
  for (const [name, text] of parts) {
    const value: unknown = JSON.parse(text);
    if (name === 'head') head = value as object;
    else if (name.startsWith(PROFILE)) profiles[name.slice(PROFILE.length)] = value;
    else lists[name] = value;
  }
  return { ...head, ...lists, profiles };
}

const PROFILE = 'profiles/';

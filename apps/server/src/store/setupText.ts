import type { Setup } from '@nimble-lever/core/setup';

/**
 * The JSON of a set-up is made once a revision, however many pages ask for it; it goes when the set-up goes.
 */
const texts = new WeakMap<object, string>();

/** JSON of an object, made once for as long as the object lives. */
function textOf(value: object): string {
  const known = texts.get(value);
  if (known !== undefined) return known;
  const made = JSON.stringify(value);
  texts.set(value, made);
  return made;
}

/** A set-up as JSON. What an edit did not touch is not written anew. */
export function setupText({ name, madeOn, profiles, ...lists }: Setup): string {
  const fields = Object.entries(lists).map(([field, list]) => `${JSON.stringify(field)}:${textOf(list)}`);
  const all = Object.entries(profiles).map(([id, profile]) => `${JSON.stringify(id)}:${textOf(profile)}`);
  const head = `"name":${JSON.stringify(name)},"madeOn":${JSON.stringify(madeOn)}`;
  return `{${head},${fields.join(',')},"profiles":{${all.join(',')}}}`;
}

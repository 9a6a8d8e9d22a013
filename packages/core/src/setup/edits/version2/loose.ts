/** A JSON object of an older version, whose parts are not known to be as they should. */
export type Loose = { readonly [name: string]: unknown };

/** An object of whatever fields: what is old is not trusted to fit a schema. */
export const isLoose = (value: unknown): value is Loose =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** The objects of a list, or of a record by its keys; none where it is something else. */
export function partsOfLoose(value: unknown): readonly (readonly [key: string, part: Loose])[] {
  if (typeof value !== 'object' || value === null) return [];
  return Object.entries(value).flatMap(([key, part]: [string, unknown]) =>
    isLoose(part) ? [[key, part] as const] : [],
  );
}

/** Deeper than anything of ours is. */
const DEEPEST = 40;

/** Every object in a value, the value itself among them. */
export function objectsIn(value: unknown, deep = 0): readonly Loose[] {
  if (typeof value !== 'object' || value === null || deep > DEEPEST) return [];
  const inside = Object.values(value).flatMap((part) => objectsIn(part, deep + 1));
  return isLoose(value) ? [value, ...inside] : inside;
}

/** A value with each of its objects changed, the innermost first. */
export function mapObjects(value: unknown, change: (object: Loose) => Loose, deep = 0): unknown {
  if (typeof value !== 'object' || value === null || deep > DEEPEST) return value;
  if (Array.isArray(value)) return value.map((part: unknown) => mapObjects(part, change, deep + 1));
  const entries = Object.entries(value).map(([key, part]) => [key, mapObjects(part, change, deep + 1)]);
  return change(Object.fromEntries(entries) as Loose);
}

/** Whether two JSON values are the same, whatever the order of their keys. */
export function sameJson(a: unknown, b: unknown): boolean {
  if (a === b) return true;
  if (typeof a !== 'object' || typeof b !== 'object' || a === null || b === null) return false;
  if (Array.isArray(a) || Array.isArray(b)) {
    if (!Array.isArray(a) || !Array.isArray(b)) return false;
    return a.length === b.length && a.every((value, i) => sameJson(value, b[i]));
  }
  const [keys, others] = [Object.keys(a), Object.keys(b)];
  if (keys.length !== others.length) return false;
  const [left, right] = [a as Record<string, unknown>, b as Record<string, unknown>];
  return keys.every((key) => Object.hasOwn(right, key) && sameJson(left[key], right[key]));
}

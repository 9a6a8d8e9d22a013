/**
 * An id from a name, of words in Latin letters and digits, that is not taken; a name without any becomes `fallback`.
 * Always fits `idSchema`.
 */
export function freeId(name: string, taken: ReadonlySet<string>, fallback: string): string {
  const words = name
    .normalize('NFD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .slice(0, 50)
    .replace(/^-+|-+$/g, '');
  const base = words === '' || words === 'constructor' ? fallback : words;
  let id = base;
  for (let i = 2; taken.has(id); i++) id = `${base}-${i}`;
  return id;
}

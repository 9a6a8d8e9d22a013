/**
 * The Latin letter that a key means, for the page's own shortcuts: what it types, whatever its place (Ctrl+Z is where the Z
 * is printed); on a layout without Latin letters the one at its place on a United States keyboard, as browsers do. Null for
 * other keys.
 */
export function letterOf({ key, code }: Pick<KeyboardEvent, 'key' | 'code'>): string | null {
  if (/^[a-z]$/i.test(key)) return key.toLowerCase();
  // Another sign of ASCII is what the person means: on some layouts it stands where others have a letter.
  if (/^[\x20-\x7e]$/.test(key)) return null;
  return /^Key([A-Z])$/.exec(code)?.[1]?.toLowerCase() ?? null;
}

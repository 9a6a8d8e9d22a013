/**
 * A short text that is the same for equal plain data, and another for other data but by a chance of one in 2^53.
 * Two 32-bit FNV-1a hashes with different offsets (by Fowler, Noll and Vo; constants from memory), 53 bits of
 * them kept.
 */
export function fingerprintOf(data: unknown): string {
  const text = JSON.stringify(data);
  let a = 0x811c9dc5;
  let b = 0xcbf29ce4;
  for (let i = 0; i < text.length; i++) {
    const unit = text.charCodeAt(i);
    a = Math.imul(a ^ unit, 0x01000193);
    b = Math.imul(b ^ unit, 0x01000193);
  }
  return ((a >>> 0) * 0x200000 + (b >>> 11)).toString(36);
}

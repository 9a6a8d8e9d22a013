/** A random UUID (RFC 9562, 5.4). `crypto.randomUUID` is there only where the connection is encrypted, or on this computer. */
export function newUuid(): string {
  if ('randomUUID' in crypto) return crypto.randomUUID();
  const bytes = [...(crypto as Crypto).getRandomValues(new Uint8Array(16))];
  bytes[6] = ((bytes[6] ?? 0) & 0x0f) | 0x40;
  bytes[8] = ((bytes[8] ?? 0) & 0x3f) | 0x80;
  const digits = bytes.map((byte) => byte.toString(16).padStart(2, '0')).join('');
  return digits.replace(/^(.{8})(.{4})(.{4})(.{4})(.{12})$/, '$1-$2-$3-$4-$5');
}

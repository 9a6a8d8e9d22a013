/** Kinds of files that are taken as pictures. */
export type PictureKind = 'png' | 'jpeg' | 'webp' | 'svg';

/** How far into a file its kind is looked for: bytes. */
const HEAD = 4096;

/**
 * The kind of a picture by how it begins, whatever its name says: PNG (Third Edition, 5.2), JPEG (ITU-T T.81, B.1.1.3: the
 * marker SOI and the next one), WebP (RFC 9649, 2.4), SVG (an XML document whose first element is `svg`). Null for
 * anything else.
 */
export function pictureKind(bytes: Uint8Array): PictureKind | null {
  const head = bytes.subarray(0, HEAD);
  const latin = Buffer.from(head).toString('latin1');
  if (latin.startsWith('\x89PNG\r\n\x1a\n')) return 'png';
  if (latin.startsWith('\xff\xd8\xff')) return 'jpeg';
  if (latin.startsWith('RIFF') && latin.slice(8, 12) === 'WEBP') return 'webp';
  return firstElement(Buffer.from(head).toString('utf8')) === 'svg' ? 'svg' : null;
}

/** The name of an XML document's first element, after its declaration, comments and type; null where there is none. */
function firstElement(text: string): string | null {
  let rest = text.replace(/^\ufeff/, '').trimStart();
  for (;;) {
    const end = rest.startsWith('<!--')
      ? '-->'
      : rest.startsWith('<?')
        ? '?>'
        : rest.startsWith('<!')
          ? '>'
          : '';
    if (end === '') break;
    // A type with declarations of its own ends after those (XML 1.0, 2.8).
    const own = end === '>' ? /^<![^>[]*\[[^\]]*\]\s*>/.exec(rest)?.[0].length : undefined;
    const at = own ?? rest.indexOf(end) + end.length;
    if (at < end.length) return null;
    rest = rest.slice(at).trimStart();
  }
  return /^<(?:[\w-]+:)?([\w-]+)/.exec(rest)?.[1] ?? null;
}

import { unzipSync } from 'fflate';

/** The largest file that is read, packed or not: bytes. */
export const MOST_FILE_BYTES = 50_000_000;

/** The text of a file, or in words why there is none. */
export type FileText = { readonly text: string } | { readonly why: string };

/** The text of a file's bytes, or of the one set-up in it where it is packed (zip). */
export function fileText(bytes: Uint8Array): FileText {
  if (bytes.length > MOST_FILE_BYTES) return tooLarge(bytes.length);
  return isPacked(bytes) ? unpacked(bytes) : decoded(bytes);
}

/** The same before a large file is read at all; null where it may be. */
export function tooLargeWords(size: number): string | null {
  return size > MOST_FILE_BYTES ? tooLarge(size).why : null;
}

/** How a packed file begins (APPNOTE.TXT of the ZIP format, 4.3.7). */
function isPacked(bytes: Uint8Array): boolean {
  return bytes[0] === 0x50 && bytes[1] === 0x4b && bytes[2] === 0x03 && bytes[3] === 0x04;
}

function tooLarge(size: number): { readonly why: string } {
  const megabytes = Math.ceil(size / 1_000_000).toLocaleString('en');
  return { why: `The file has ${megabytes} MB; up to ${MOST_FILE_BYTES / 1_000_000} MB are read.` };
}

/** Only one file is ever unpacked, and only one that says it is small enough: however many there are, no memory is spent. */
function unpacked(bytes: Uint8Array): FileText {
  let found = 0;
  let isTooLarge = false;
  try {
    const files = unzipSync(bytes, {
      filter: ({ name, originalSize }) => {
        if (!name.endsWith('.json')) return false;
        found += 1;
        isTooLarge ||= originalSize > MOST_FILE_BYTES;
        return found === 1 && !isTooLarge;
      },
    });
    if (found > 1) return { why: 'Several files are packed in it. Unpack it, and choose one of them.' };
    if (isTooLarge) return { why: `What is packed in it is larger than ${MOST_FILE_BYTES / 1_000_000} MB.` };
    const [first] = Object.values(files);
    return first
      ? decoded(first)
      : { why: 'There is no set-up packed in it: no file whose name ends with .json.' };
  } catch {
    return { why: 'The packed file is damaged or cut off. Save it anew and choose it again.' };
  }
}

/** Bytes that are no UTF-8 are refused rather than read as something else. */
function decoded(bytes: Uint8Array): FileText {
  try {
    return { text: new TextDecoder('utf-8', { fatal: true, ignoreBOM: true }).decode(bytes) };
  } catch {
    return { why: 'This is no text in UTF-8, and so no file of Nimble Lever.' };
  }
}

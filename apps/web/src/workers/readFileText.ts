import { unzipSync } from 'fflate';

/** The largest file that is read, packed or not: bytes. */
export const MOST_FILE_BYTES = 50_000_000;

/** Why there is no text, in words. */
interface Refused {
  readonly why: string;
}

/** The text of a file, or of the one file in it where it is packed. */
export async function readFileText(file: Blob): Promise<string | Refused> {
  if (file.size > MOST_FILE_BYTES) {
    const size = Math.ceil(file.size / 1_000_000).toLocaleString('en');
    return { why: `The file has ${size} MB; up to ${MOST_FILE_BYTES / 1_000_000} MB are read.` };
  }
  const bytes = new Uint8Array(await file.arrayBuffer());
  // How a packed file begins (APPNOTE.TXT of the ZIP format, 4.3.7).
  const isPacked = bytes[0] === 0x50 && bytes[1] === 0x4b && bytes[2] === 0x03 && bytes[3] === 0x04;
  return isPacked ? unpacked(bytes) : decoded(bytes);
}

function unpacked(bytes: Uint8Array): string | Refused {
  let tooLarge = false;
  try {
    const files = unzipSync(bytes, {
      filter: ({ name, originalSize }) => {
        if (!name.endsWith('.json')) return false;
        tooLarge ||= originalSize > MOST_FILE_BYTES;
        return originalSize <= MOST_FILE_BYTES;
      },
    });
    const [first, second] = Object.values(files);
    if (tooLarge) return { why: `What is packed in it is larger than ${MOST_FILE_BYTES / 1_000_000} MB.` };
    if (!first) return { why: 'There is no set-up packed in it: no file whose name ends with .json.' };
    if (second) return { why: 'Several files are packed in it. Unpack it, and choose one of them.' };
    return decoded(first);
  } catch {
    return { why: 'The packed file is damaged or cut off. Save it anew and choose it again.' };
  }
}

/** Bytes that are no UTF-8 are refused rather than read as something else. */
function decoded(bytes: Uint8Array): string | Refused {
  try {
    return new TextDecoder('utf-8', { fatal: true, ignoreBOM: true }).decode(bytes);
  } catch {
    return { why: 'This is no text in UTF-8, and so no file of Nimble Lever.' };
  }
}

import { ok, type Result, refuse } from '../../result.ts';

/** Why a text holds no bytes: the part that is none, as it was written, and where it begins. */
export interface BytesProblem {
  readonly code: 'bytes-none' | 'bytes-not-hex' | 'bytes-half' | 'bytes-too-large';
  /** What was read instead of a byte. */
  readonly token: string;
  /** Character from the start. */
  readonly at: number;
}

/**
 * Reads bytes from a text in any common spelling: `05 01 09`, `05010902`, `0x05, 0x01`, `05:01:09`, a C array with
 * comments, a dump with offsets at the beginning of its lines and characters at their end.
 */
export function readBytes(text: string): Result<Uint8Array, BytesProblem> {
  const bare = bareText(text);
  const bytes: number[] = [];
  for (const { 0: token, index } of bare.matchAll(/[^\s,;:{}[\]()]+/g)) {
    const bits = /^0b([01]{8})$/i.exec(token)?.[1];
    if (bits) {
      bytes.push(Number.parseInt(bits, 2));
      continue;
    }
    const digits = /^(?:0x|\\x|x)?([0-9a-f]+)h?$/i.exec(token)?.[1];
    if (!digits) return refuse({ code: 'bytes-not-hex', token, at: index });
    const prefixed = /^(0x|\\x)/i.test(token);
    if (prefixed && digits.length > 2) return refuse({ code: 'bytes-too-large', token, at: index });
    if (digits.length > 1 && digits.length % 2 === 1) return refuse({ code: 'bytes-half', token, at: index });
    for (let i = 0; i < digits.length; i += 2) bytes.push(Number.parseInt(digits.slice(i, i + 2), 16));
  }
  return bytes.length > 0 ? ok(Uint8Array.from(bytes)) : refuse({ code: 'bytes-none', token: '', at: 0 });
}

/** The text with all that is no byte blanked out, so that places stay what they are. */
function bareText(text: string): string {
  const blank = (found: string) => found.replace(/[^\n]/g, ' ');
  const bare = stripped(text).trimEnd();
  const body = /\{([^{}]*)\}\s*;?$/.exec(bare);
  const inner = body ? blank(text.slice(0, body.index)) + bare.slice(body.index) : bare;
  return withoutOffsets(inner.replace(/\|[^\n]*\|?[ \t]*$/gim, blank), blank);
}

/**
 * Dumps have the place of its first byte at the beginning of each line, and may have its characters at the end. A line
 * begins with an offset where a colon or two spaces follow it, or where it counts the bytes before it.
 */
function withoutOffsets(text: string, blank: (found: string) => string): string {
  let before = 0;
  return text
    .split('\n')
    .map((line) => {
      const [whole = '', offset = '', apart = ''] =
        /^[ \t]*(?:0x)?([0-9a-f]{4,8})(:[ \t]*|[ \t]+)/i.exec(line) ?? [];
      const isOffset =
        apart.startsWith(':') || apart.length > 1 || (apart !== '' && Number.parseInt(offset, 16) === before);
      let bare = isOffset ? blank(whole) + line.slice(whole.length) : line;
      // After a colon, characters stand two spaces behind the bytes.
      if (isOffset && apart.startsWith(':')) bare = bare.replace(/(?<=\S)[ \t]{2,}\S.*$/, blank);
      before += bare.replace(/0x|[^0-9a-f]/gi, '').length / 2;
      return bare;
    })
    .join('\n');
}

/** Comments become spaces, so that what is wrong is told at its own place. One that does not end is none. */
function stripped(text: string): string {
  const begins = /\/\*|\/\/[^\n]*|#[^\n]*/g;
  const pieces: string[] = [];
  let from = 0;
  // Once there is no end, there is none for what begins later: it is not looked for again.
  let isOpen = false;
  for (let found = begins.exec(text); found; found = begins.exec(text)) {
    const isBlock = found[0] === '/*';
    if (isBlock && isOpen) continue;
    const close = isBlock ? text.indexOf('*/', found.index + 2) : 0;
    if (close < 0) {
      isOpen = true;
      continue;
    }
    const end = isBlock ? close + 2 : found.index + found[0].length;
    pieces.push(text.slice(from, found.index), text.slice(found.index, end).replace(/[^\n]/g, ' '));
    from = end;
    begins.lastIndex = end;
  }
  return pieces.join('') + text.slice(from);
}

/** Bytes as text: two digits each, in capitals, parted by spaces. */
export function bytesText(bytes: Uint8Array): string {
  return Array.from(bytes, (byte) => byte.toString(16).padStart(2, '0').toUpperCase()).join(' ');
}

import { Problem } from '../problem/problem.ts';

/** Bytes that are no UTF-8 are refused rather than read as something else. */
const decoder = new TextDecoder('utf-8', { fatal: true });

/** Deeper than anything that is sent, which schemas refuse at its own place; it is reading thousands more that takes long. */
export const MOST_DEEP = 5000;
/** More than the largest import has: 76,000 bindings come to 1.2 million. */
export const MOST_VALUES = 2_000_000;

/** JSON's own bytes (RFC 8259, section 2). */
const [QUOTE, BACKSLASH, COMMA, COLON] = [0x22, 0x5c, 0x2c, 0x3a];
const OPENS: ReadonlySet<number> = new Set([0x5b, 0x7b]);
const CLOSES: ReadonlySet<number> = new Set([0x5d, 0x7d]);

/** Bytes that are no JSON are the sender’s mistake, told as such. What is too deep or too much is refused before it is read. */
export function parseBody(body: Uint8Array): unknown {
  const wrong = wrongWith(body);
  if (wrong !== null) throw new Problem(422, 'Too much at once', `${wrong} Nothing was changed.`);
  try {
    return JSON.parse(decoder.decode(body));
  } catch {
    throw new Problem(400, 'Not JSON', 'The request is not readable JSON. Nothing was changed.');
  }
}

/** How deep and how much it is, told without making anything of it: one look at each byte. */
function wrongWith(body: Uint8Array): string | null {
  let depth = 0;
  let values = 0;
  for (let i = 0; i < body.length; i++) {
    const byte = body[i] as number;
    if (byte === QUOTE) i = endOfText(body, i);
    else if (byte === COMMA || byte === COLON) values += 1;
    else if (OPENS.has(byte)) {
      depth += 1;
      values += 1;
      if (depth > MOST_DEEP) return `The request has lists within lists, more than ${MOST_DEEP} deep.`;
    } else if (CLOSES.has(byte)) depth -= 1;
    if (values > MOST_VALUES) return `The request has more than ${MOST_VALUES / 1_000_000} million parts.`;
  }
  return null;
}

function endOfText(body: Uint8Array, start: number): number {
  let i = start + 1;
  while (i < body.length && body[i] !== QUOTE) i += body[i] === BACKSLASH ? 2 : 1;
  return i;
}

/**
 * JSON that is the same text for the same content: names of each object in the order of their UTF-16 code units (RFC 8785,
 * section 3.2.3), two spaces to a level and a line a value, so that two of them can be compared line by line. Ends with a
 * line feed. For plain data, as JSON has it.
 */
export function canonicalJson(value: unknown): string {
  return `${textOf(value, '\n')}\n`;
}

/** Written out rather than put in order and left to `JSON.stringify`: an object has names that are numbers first. */
function textOf(value: unknown, line: string): string {
  if (typeof value !== 'object' || value === null) return JSON.stringify(value);
  const inside = `${line}  `;
  const list = Array.isArray(value);
  const parts = list
    ? value.map((item: unknown) => textOf(item, inside))
    : // Without a function, texts are compared by their code units.
      Object.keys(value)
        .sort()
        .flatMap((name) => {
          const held = (value as Readonly<Record<string, unknown>>)[name];
          return held === undefined ? [] : [`${JSON.stringify(name)}: ${textOf(held, inside)}`];
        });
  const [open, close] = list ? '[]' : '{}';
  return parts.length === 0
    ? `${open}${close}`
    : `${open}${inside}${parts.join(`,${inside}`)}${line}${close}`;
}

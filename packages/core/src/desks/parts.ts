import type { Panel, Shows } from './messages.ts';

/**
 * What a part has at most, where it is not one thing that is larger: bytes. With what stands around it, it is less than a
 * message from one server to another may have.
 */
const MOST_BYTES = 7000;

/** A device in parts that fit into a message each: what it is stands in all of them, its controls one after the other. */
export function panelParts(panel: Panel): readonly [Panel, ...Panel[]] {
  // What the device is stands in each part.
  const room = MOST_BYTES - bytesOf(JSON.stringify({ ...panel, controls: [] }));
  const [first = [], ...rest] = packed(panel.controls, room);
  return [{ ...panel, controls: first }, ...rest.map((controls) => ({ ...panel, controls }))];
}

/** The device so far, with a further part of it; nothing before: its first. */
export function panelWith(before: Panel | null, part: Panel): Panel {
  return before ? { ...part, controls: [...before.controls, ...part.controls] } : part;
}

/** What is shown in parts that fit into a message each; told one after the other they come to the whole. */
export function showsParts({ values = {}, across = {}, down, faces = {}, ...rest }: Shows): readonly Shows[] {
  const pieces: Shows[] = [
    ...(Object.keys(rest).length > 0 ? [rest] : []),
    ...(down ? [{ down }] : []),
    ...Object.entries(values).map(([id, value]) => ({ values: { [id]: value } })),
    ...Object.entries(across).map(([id, value]) => ({ across: { [id]: value } })),
    ...Object.entries(faces).map(([id, face]) => ({ faces: { [id]: face } })),
  ];
  return packed(pieces, MOST_BYTES).map((part) => {
    const together = (name: 'values' | 'across' | 'faces') => {
      const entries = Object.assign({}, ...part.map((piece) => piece[name]));
      return Object.keys(entries).length > 0 && { [name]: entries };
    };
    return Object.assign({}, ...part, together('values'), together('across'), together('faces'));
  });
}

/** What stands one after the other, in as few groups as hold at most so much each, or one thing that is larger. */
function packed<Item>(items: readonly Item[], most: number): Item[][] {
  const groups: Item[][] = [];
  let room = 0;
  for (const item of items) {
    const bytes = bytesOf(JSON.stringify(item)) + 1;
    const last = groups.at(-1);
    if (last && bytes <= room) last.push(item);
    else {
      groups.push([item]);
      room = most;
    }
    room -= bytes;
  }
  return groups;
}

/** How long a text is in UTF-8 (RFC 3629, 3): bytes. */
function bytesOf(text: string): number {
  let bytes = 0;
  for (const character of text) {
    const code = character.codePointAt(0) ?? 0;
    bytes += code < 0x80 ? 1 : code < 0x800 ? 2 : code < 0x10000 ? 3 : 4;
  }
  return bytes;
}

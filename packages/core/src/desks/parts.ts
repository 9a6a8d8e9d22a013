import type { Panel, ShownFace, Shows } from './messages.ts';

/** A part has about so many characters: in UTF-8, with what stands around it, it is less than a message may have. */
const MOST_CHARACTERS = 16_000;

/** A device in parts that fit into a message each: what it is stands in all of them, its controls one after the other. */
export function panelParts(panel: Panel): readonly [Panel, ...Panel[]] {
  const [first = [], ...rest] = packed(panel.controls);
  return [{ ...panel, controls: first }, ...rest.map((controls) => ({ ...panel, controls }))];
}

/** The device so far, with a further part of it; nothing before: its first. */
export function panelWith(before: Panel | null, part: Panel): Panel {
  return before ? { ...part, controls: [...before.controls, ...part.controls] } : part;
}

/** What is shown in parts that fit into a message each; told one after the other they come to the whole. */
export function showsParts({ values, down, faces = {}, ...rest }: Shows): readonly Shows[] {
  const pieces: Shows[] = [
    ...(Object.keys(rest).length > 0 ? [rest] : []),
    ...(values ? [{ values }] : []),
    ...(down ? [{ down }] : []),
    ...Object.entries(faces).map(([id, face]) => ({ faces: { [id]: face } })),
  ];
  return packed(pieces).map((part) => {
    const told: Record<string, ShownFace | null> = Object.assign({}, ...part.map((piece) => piece.faces));
    return Object.assign({}, ...part, Object.keys(told).length > 0 && { faces: told });
  });
}

/** What stands one after the other, in as few groups as hold at most so much each, or one thing that is larger. */
function packed<Item>(items: readonly Item[]): Item[][] {
  const groups: Item[][] = [];
  let room = 0;
  for (const item of items) {
    const length = JSON.stringify(item).length;
    const last = groups.at(-1);
    if (last && length <= room) last.push(item);
    else {
      groups.push([item]);
      room = MOST_CHARACTERS;
    }
    room -= length;
  }
  return groups;
}

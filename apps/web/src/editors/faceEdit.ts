import type { Face, SingleEdit } from '@nimble-lever/core/setup';

/** The edit that sets parts of the face of a binding or a page; its other parts stay as they are by then. */
export function faceEdit(at: string, parts: Partial<Face>): SingleEdit {
  const fields = Object.entries(parts).map(([part, value]) => [`face.${part}`, value] as const);
  return { kind: 'set', at, fields: Object.fromEntries(fields) };
}

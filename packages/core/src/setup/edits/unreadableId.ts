import type { PartKind } from '../unreadable.ts';

/** 32-bit FNV-1a (Fowler, Noll and Vo; constants from memory) of a text's UTF-16 units, from another starting value where given. */
function fnv1a(text: string, start = 0x811c9dc5): number {
  let hash = start;
  for (let i = 0; i < text.length; i++) hash = Math.imul(hash ^ text.charCodeAt(i), 0x01000193);
  return hash >>> 0;
}

/**
 * The id of a part that cannot be read, from the key it is stored under, which may be no id itself. The same for
 * everyone who reads it. For a binding the key is `profile/layer/device/control/trigger`.
 */
export function unreadableId(part: PartKind, key: string): string {
  const hex = (value: number) => value.toString(16).padStart(8, '0');
  return `${part}-${hex(fnv1a(key))}${hex(fnv1a(key, 0x2c1b3c6d))}`;
}

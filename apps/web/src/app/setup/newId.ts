import { freeId } from '@nimble-lever/core/devices';
import { newUuid } from '../newUuid.ts';

/**
 * An id for something new, from its name. Two pages that make the same at the same time must not take the same id,
 * so each ends with chance.
 */
export function newId(name: string, fallback: string): string {
  const chance = newUuid().slice(0, 6);
  return `${freeId(name, new Set(), fallback)}-${chance}`;
}

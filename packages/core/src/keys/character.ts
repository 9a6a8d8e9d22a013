import { KEY_TABLE } from './keyTable.ts';

/** A key of the United States keyboard and whether Shift is held with it. */
export interface UnitedStatesKey {
  readonly code: string;
  readonly shift: boolean;
}

/** The key of each character that a United States keyboard types, letters in lower case; the space bar is a named key. */
export const UNITED_STATES: ReadonlyMap<string, UnitedStatesKey> = new Map(
  KEY_TABLE.flatMap(({ kind, code, plain, shifted }): [string, UnitedStatesKey][] => {
    if (kind !== 'writing' || plain === undefined || shifted === undefined) return [];
    const own: [string, UnitedStatesKey] = [plain, { code, shift: false }];
    return shifted.toLowerCase() === plain ? [own] : [own, [shifted, { code, shift: true }]];
  }),
);

/** Digits are their keys, whatever a keyboard types there without Shift. */
export const isDigit = (character: string) => character >= '0' && character <= '9' && character.length === 1;

/** What a key means by its character: a letter in lower case, where it has one case of each that belong together. */
export function plainCharacter(character: string): string {
  const lower = character.toLowerCase();
  return hasCapital(lower) ? lower : character;
}

/**
 * How a character is written in a shortcut: as its capital, where there is one. İ, ı, ß, ς and µ have none that leads
 * back to them.
 */
export function capitalOf(character: string): string {
  const lower = character.toLowerCase();
  return hasCapital(lower) ? lower.toUpperCase() : character;
}

/** Whether a letter in lower case has a capital of its own, so that Shift is a modifier of it and no other character. */
export function hasCapital(lower: string): boolean {
  const upper = lower.toUpperCase();
  return upper !== lower && upper.length === lower.length && upper.toLowerCase() === lower;
}

/** Whether a text is one character that can stand on a key: a letter, digit, mark or sign. */
export function isKeyCharacter(text: string): boolean {
  return /^[\p{L}\p{N}\p{P}\p{S}]$/u.test(text);
}

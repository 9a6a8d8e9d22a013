/**
 * A phrase as it is compared: without case, accents and spacing, and without the full stop or comma that recognisers
 * put at its end.
 */
export function foldPhrase(text: string): string {
  return text
    .normalize('NFD')
    .replace(/\p{M}|\s/gu, '')
    .replace(/(?<=[^.,])[.,]+$/, '')
    .toLowerCase();
}

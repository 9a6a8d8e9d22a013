/** A phrase as it is compared: without case, accents and spacing. */
export function foldPhrase(text: string): string {
  return text
    .normalize('NFD')
    .replace(/\p{M}|\s/gu, '')
    .toLowerCase();
}

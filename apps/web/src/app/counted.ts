/** So many of something, in words: `1 part`, `20,000 parts`. */
export const counted = (n: number, one: string, many: string): string =>
  `${n.toLocaleString('en')} ${n === 1 ? one : many}`;

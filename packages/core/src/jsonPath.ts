/** The way into JSON, for instance `['setup', 'programs', 2, 'name']`. */
export type JsonPath = readonly PropertyKey[];

/** A path as people write it, for instance `setup.programs[2].name`. */
export function pathText(path: JsonPath): string {
  return path.reduce<string>((text, part) => {
    if (typeof part === 'number') return `${text}[${part}]`;
    const name = String(part);
    if (!/^[\p{L}_$][\p{L}\p{N}_$-]*$/u.test(name)) return `${text}[${JSON.stringify(name)}]`;
    return text === '' ? name : `${text}.${name}`;
  }, '');
}

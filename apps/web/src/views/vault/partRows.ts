/** A part that can be chosen: what it is called, what is otherwise, and how it stands. */
export interface ListedPart {
  readonly key: string;
  readonly section: string;
  readonly name: string;
  readonly lines: readonly string[];
  readonly chip: string;
}

/** A line of a list of parts: a heading, or a part. */
export type PartRow =
  | {
      readonly kind: 'section';
      readonly key: string;
      readonly name: string;
      readonly keys: readonly string[];
    }
  | ({ readonly kind: 'part' } & ListedPart);

/** The lines that a search leaves, under their headings in the order in which those come first. */
export function partRows(parts: readonly ListedPart[], search: string): readonly PartRow[] {
  const wanted = search.trim().toLowerCase();
  const sections = new Map<string, ListedPart[]>();
  for (const part of parts) {
    const { section, name, lines } = part;
    if (![section, name, ...lines].some((text) => text.toLowerCase().includes(wanted))) continue;
    const own = sections.get(section);
    if (own) own.push(part);
    else sections.set(section, [part]);
  }
  return [...sections].flatMap(([name, own]): PartRow[] => [
    { kind: 'section', key: `section ${name}`, name, keys: own.map(({ key }) => key) },
    ...own
      .sort((a, b) => a.name.localeCompare(b.name, 'en', { numeric: true }))
      .map((part): PartRow => ({ kind: 'part', ...part })),
  ]);
}

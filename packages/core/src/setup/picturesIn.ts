import type { Setup } from './setup.ts';

/** The ids of all pictures that faces, pages and cells of a set-up name, each once. */
export function picturesIn({
  profiles,
  pages,
  devices,
}: Pick<Setup, 'profiles' | 'pages' | 'devices'>): ReadonlySet<string> {
  const found = new Set<string>();
  const add = (owner: { readonly picture: { readonly id: string } | null } | null) => {
    if (owner?.picture) found.add(owner.picture.id);
  };
  for (const { bindings } of Object.values(profiles)) {
    for (const { face } of Object.values(bindings)) add(face);
  }
  for (const page of pages) {
    add(page.face);
    add(page);
  }
  for (const { panel, controls } of devices) {
    add(panel);
    for (const { cell } of controls) add(cell);
  }
  return found;
}

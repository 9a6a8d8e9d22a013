import type { Face } from './binding.ts';
import type { Setup } from './setup.ts';

/** The ids of all pictures that faces of a set-up name, each once. */
export function picturesIn({ profiles, pages }: Pick<Setup, 'profiles' | 'pages'>): ReadonlySet<string> {
  const found = new Set<string>();
  const add = (face: Face | null) => {
    if (face?.picture) found.add(face.picture.id);
  };
  for (const { bindings } of Object.values(profiles)) {
    for (const { face } of Object.values(bindings)) add(face);
  }
  for (const { face } of pages) add(face);
  return found;
}

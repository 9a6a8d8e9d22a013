import { readFileSync } from 'node:fs';
import type { Plugin } from 'vite';

/** The module that the page imports for all icons. */
const MODULE = 'virtual:icon-nodes';

/**
 * All icons of the family as data, in a file of their own. Imported as components they would share their files with those
 * that the first view needs, and all two thousand would come with it.
 */
export function iconNodes(): Plugin {
  return {
    name: 'icon-nodes',
    resolveId: (id) => (id === MODULE ? `\0${MODULE}` : null),
    async load(id) {
      if (id !== `\0${MODULE}`) return null;
      const file = new URL('src/pieces/icons/synonyms.json', import.meta.url);
      const names = Object.keys(JSON.parse(readFileSync(file, 'utf8')) as Record<string, string>);
      const { default: imports } = await import('lucide-react/dynamicIconImports');
      const entries = await Promise.all(
        names.map(async (name) => {
          const icon = (await imports[name as keyof typeof imports]?.()) as unknown as {
            readonly __iconData: { readonly node: unknown };
          };
          return [name, icon?.__iconData.node] as const;
        }),
      );
      const text = JSON.stringify(Object.fromEntries(entries));
      return `export default JSON.parse(${JSON.stringify(text)});`;
    },
  };
}

import type { LayoutData } from '@nimble-lever/core/keys/layouts';

/** Each layout is a file of its own: only the one in use reaches the page. */
const FILES = import.meta.glob<LayoutData>('../../../../../packages/core/src/keys/layouts/xkb/*.json', {
  import: 'default',
});

/** What reads a layout's file; nothing for a layout that does not ship. */
export function layoutFile(id: string): (() => Promise<LayoutData>) | undefined {
  return Object.entries(FILES).find(([path]) => path.endsWith(`/${id}.json`))?.[1];
}

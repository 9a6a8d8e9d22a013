import nodes from 'virtual:icon-nodes';
import { createLucideIcon, type LucideIcon } from 'lucide-react';
import synonyms from './synonyms.json';

/** Names of all icons, with words they are looked for by besides: Lucide's own, without names of products. */
export const SYNONYMS: Readonly<Record<string, string>> = synonyms;

const made = new Map<string, LucideIcon>();

/** An icon of the family by the name the set-up keeps; undefined where there is none. */
export function iconNamed(name: string): LucideIcon | undefined {
  const known = made.get(name);
  const node = Object.hasOwn(nodes, name) ? nodes[name] : undefined;
  if (known || !node) return known;
  const icon = createLucideIcon(name, node);
  made.set(name, icon);
  return icon;
}

import { gzipSync } from 'node:zlib';
import type { Plugin } from 'vite';

/**
 * Weighs what a page loads at once (its entries and all they import), and fails beyond its budget. `npm run build` prints it.
 *
 * @param what how it is called in the line that is printed
 * @param budget in kilobytes of 1000 bytes, compressed
 */
export function weight(what: string, budget: number): Plugin {
  return {
    name: 'weight',
    apply: 'build',
    generateBundle(_options, bundle) {
      const chunks = Object.values(bundle).filter((part) => part.type === 'chunk');
      const byName = new Map(chunks.map((chunk) => [chunk.fileName, chunk]));
      const first = new Set<string>();
      const add = (name: string): void => {
        if (first.has(name)) return;
        first.add(name);
        for (const next of byName.get(name)?.imports ?? []) add(next);
      };
      for (const { isEntry, fileName } of chunks) if (isEntry) add(fileName);
      const bytes = [...first].reduce((sum, name) => sum + gzipSync(byName.get(name)?.code ?? '').length, 0);
      const kilobytes = Math.round(bytes / 100) / 10;
      if (process.env.SAY_WEIGHT)
        console.log(`${what}: ${kilobytes} kB of compressed JavaScript (at most ${budget} kB).`);
      if (kilobytes > budget) this.error(`${what} weighs ${kilobytes} kB.`);
    },
  };
}

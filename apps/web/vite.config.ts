import { readFileSync } from 'node:fs';
import { gzipSync } from 'node:zlib';
import react from '@vitejs/plugin-react';
import { defineConfig, type Plugin } from 'vite';

/** The first view may weigh this much, compressed, in kilobytes of 1000 bytes. */
const BUDGET_KB = 300;

/** Prints what the first view loads (the entry and all it imports at once), and fails beyond the budget. */
function firstViewWeight(): Plugin {
  return {
    name: 'first-view-weight',
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
      const isFirst = (chunk: (typeof chunks)[number]) => chunk.isEntry || chunk.name === 'BoardPage';
      for (const chunk of chunks.filter(isFirst)) add(chunk.fileName);
      const bytes = [...first].reduce((sum, name) => sum + gzipSync(byName.get(name)?.code ?? '').length, 0);
      const kilobytes = Math.round(bytes / 100) / 10;
      console.log(`First view: ${kilobytes} kB of compressed JavaScript (at most ${BUDGET_KB} kB).`);
      if (kilobytes > BUDGET_KB) this.error(`The first view weighs ${kilobytes} kB.`);
    },
  };
}

const { version } = JSON.parse(readFileSync(new URL('../../package.json', import.meta.url), 'utf8'));

export default defineConfig({
  plugins: [react(), firstViewWeight()],
  define: { __VERSION__: JSON.stringify(version) },
  server: {
    port: 4681,
    strictPort: true,
    proxy: { '/api': { target: process.env.API ?? 'http://127.0.0.1:4680', ws: true, changeOrigin: false } },
  },
  build: {
    chunkSizeWarningLimit: 900,
    // Read by a browser's own tools only.
    sourcemap: true,
    rolldownOptions: {
      // With its settings, and before everything that uses it: see strictZod.ts.
      output: { codeSplitting: { groups: [{ name: 'zod', test: /strictZod|node_modules\/zod\// }] } },
    },
  },
});

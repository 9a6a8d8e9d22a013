import { readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import react from '@vitejs/plugin-react';
import { defineConfig, type Plugin } from 'vite';
import { compressed } from './buildPlugins/compressed.ts';
import { quietly } from './buildPlugins/quietly.ts';
import { weight } from './buildPlugins/weight.ts';
import { iconNodes } from './iconNodes.ts';

/** What the first view begins with: the page, and with it the Board. */
const FIRST = /\/src\/main\.tsx$/;
/** What is asked for before all of that, by a file of its own. */
const EARLY = /\/setup\/(early|shownSetUp)\.ts$/;
const isFirst = new Map<string, boolean>();

/**
 * Everything the first view needs in one file: forty small ones, each asked for by itself, took 0.6 s of the 1.7 until the
 * first cell was seen. A module is first where it is imported, at once and not later, by the page.
 */
function firstGroup(id: string, context: { getModuleInfo(id: string): { importers: string[] } | null }) {
  const known = isFirst.get(id);
  if (known !== undefined) return known ? 'first' : null;
  // Modules that import each other in a circle are first when another one outside of it is.
  isFirst.set(id, false);
  const { importers = [] } = context.getModuleInfo(id) ?? {};
  const own = FIRST.test(id) || importers.some((importer) => firstGroup(importer, context) !== null);
  isFirst.set(id, own);
  return own ? 'first' : null;
}

/**
 * Lets the browser ask for everything the first view needs as soon as it has the page: the set-up by a script of its own,
 * and the files of the Board, which would otherwise be asked for one after the other as each names the next.
 */
function askAtOnce(): Plugin {
  return {
    name: 'ask-at-once',
    apply: 'build',
    transformIndexHtml: {
      order: 'post',
      handler(html, { bundle = {} }) {
        const chunks = Object.values(bundle).filter((part) => part.type === 'chunk');
        const files = new Set<string>();
        const add = (name: string): void => {
          const chunk = chunks.find(({ fileName }) => fileName === name);
          if (!chunk || files.has(name) || html.includes(name)) return;
          files.add(name);
          for (const next of chunk.imports) add(next);
        };
        for (const { name, fileName } of chunks) if (name === 'first') add(fileName);
        const early = chunks.find(({ name, isEntry }) => name === 'early' && isEntry);
        const font = Object.keys(bundle).find((name) => /next-latin-wght-normal-[^/]*\.woff2$/.test(name));
        const link = (rel: string, name: string, more = {}) => ({
          tag: 'link',
          attrs: { rel, crossorigin: true, href: `/${name}`, ...more },
          injectTo: 'head' as const,
        });
        return [
          ...(early
            ? [
                {
                  tag: 'script',
                  attrs: { type: 'module', async: true, crossorigin: true, src: `/${early.fileName}` },
                  injectTo: 'head-prepend' as const,
                },
              ]
            : []),
          ...(font ? [link('preload', font, { as: 'font', type: 'font/woff2' })] : []),
          ...[...files].map((name) => link('modulepreload', name)),
        ];
      },
    },
  };
}

const { version } = JSON.parse(readFileSync(new URL('../../package.json', import.meta.url), 'utf8'));

export default defineConfig({
  plugins: [react(), iconNodes(), weight('First view', 300), askAtOnce(), compressed()],
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
      ...quietly,
      input: {
        index: fileURLToPath(new URL('index.html', import.meta.url)),
        early: fileURLToPath(new URL('src/early.ts', import.meta.url)),
      },
      // With its settings, and before everything that uses it: see strictZod.ts.
      output: {
        codeSplitting: {
          groups: [
            { name: 'ask', priority: 3, test: EARLY },
            { name: 'zod', priority: 2, test: /strictZod|node_modules\/zod\// },
            // Without the computation: taken whole, it would bring what only other views need.
            {
              name: firstGroup,
              debugName: 'first',
              test: /node_modules|apps.web.src.(app|pieces|views.board|practice)/,
            },
          ],
        },
      },
    },
  },
});

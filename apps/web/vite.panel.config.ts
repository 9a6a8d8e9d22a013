import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vite';
import { compressed } from './buildPlugins/compressed.ts';
import { quietly } from './buildPlugins/quietly.ts';
import { weight } from './buildPlugins/weight.ts';
import { iconNodes } from './iconNodes.ts';

/**
 * The page of a panel in use and the one that pairs a browser, built by themselves: a small tablet must have it in a second, so that it shares no files with
 * the page that edits, and the pieces it has in common with it are drawn by Preact, a fifth of React's size.
 */
export default defineConfig({
  plugins: [iconNodes(), weight('The page of a panel, with the one that pairs', 90), compressed()],
  resolve: {
    alias: [
      { find: /^react\/jsx-runtime$/, replacement: 'preact/jsx-runtime' },
      { find: /^react-dom\/client$/, replacement: 'preact/compat/client' },
      { find: /^react(-dom)?$/, replacement: 'preact/compat' },
    ],
  },
  build: {
    emptyOutDir: false,
    sourcemap: true,
    // All icons are one file, which is asked for only where a face has a rare one.
    chunkSizeWarningLimit: 900,
    rolldownOptions: {
      ...quietly,
      input: {
        panel: fileURLToPath(new URL('panel.html', import.meta.url)),
        pair: fileURLToPath(new URL('pair.html', import.meta.url)),
      },
    },
  },
});

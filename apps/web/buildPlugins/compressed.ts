import { readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { brotliCompressSync, gzipSync } from 'node:zlib';
import type { Plugin } from 'vite';

/** What is worth compressing, and from how many bytes on. */
const COMPRESSED = /\.(js|css|svg|json|html)$/;
const LEAST_BYTES = 1000;

/** Compresses the built files once, so that the server need not at every request. */
export function compressed(): Plugin {
  return {
    name: 'compressed',
    apply: 'build',
    writeBundle({ dir = '' }, bundle) {
      for (const name of Object.keys(bundle)) {
        const file = path.join(dir, name);
        const bytes = readFileSync(file);
        if (!COMPRESSED.test(name) || bytes.length < LEAST_BYTES) continue;
        writeFileSync(`${file}.gz`, gzipSync(bytes, { level: 9 }));
        writeFileSync(`${file}.br`, brotliCompressSync(bytes));
      }
    },
  };
}

import { readFile, writeFile } from 'node:fs/promises';
import path from 'node:path';
import { promisify } from 'node:util';
import { brotliCompress, constants, gzip } from 'node:zlib';
import type { Plugin } from 'vite';

/** What is worth compressing, and from how many bytes on. */
const COMPRESSED = /\.(js|css|svg|json|html)$/;
const LEAST_BYTES = 1000;
/** The highest, 11, takes fifteen times as long for files smaller by a twentieth. */
const BROTLI = { params: { [constants.BROTLI_PARAM_QUALITY]: 9 } };

/** Compresses the built files once, so that the server need not at every request; as many at once as there are processors. */
export function compressed(): Plugin {
  return {
    name: 'compressed',
    apply: 'build',
    async writeBundle({ dir = '' }, bundle) {
      const names = Object.keys(bundle).filter((name) => COMPRESSED.test(name));
      await Promise.all(names.map((name) => compress(path.join(dir, name))));
    },
  };
}

async function compress(file: string): Promise<void> {
  const bytes = await readFile(file);
  if (bytes.length < LEAST_BYTES) return;
  await writeFile(`${file}.gz`, await promisify(gzip)(bytes, { level: 9 }));
  await writeFile(`${file}.br`, await promisify(brotliCompress)(bytes, BROTLI));
}

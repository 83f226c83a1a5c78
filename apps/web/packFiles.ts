import { readFile, readdir, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { promisify } from 'node:util';
import { brotliCompress, gzip } from 'node:zlib';
import type { Plugin } from 'vite';

const FILES = /\.(?:js|css|html|svg|json)$/;
/** Smaller files fit into one packet as they are. */
const WORTH_BYTES = 1400;

/** Beside each file of the build its packed forms, so that nothing has to be packed when it is asked for. */
export function packFiles(): Plugin {
  return {
    name: 'pack-files',
    apply: 'build',
    async writeBundle({ dir = 'dist' }) {
      const files = (await readdir(dir, { recursive: true })).filter((file) => FILES.test(file));
      await Promise.all(
        files.map(async (file) => {
          const path = join(dir, file);
          const bytes = await readFile(path);
          if (bytes.length < WORTH_BYTES) return;
          await writeFile(`${path}.br`, await promisify(brotliCompress)(bytes));
          await writeFile(`${path}.gz`, await promisify(gzip)(bytes, { level: 9 }));
        }),
      );
    },
  };
}

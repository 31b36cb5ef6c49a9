import { readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { brotliCompressSync, constants, gzipSync } from 'node:zlib';
import { root } from './paths.mjs';

/** Compresses the built web app once, so that the server only has to send it. */
function compressFolder(folder) {
  for (const name of readdirSync(folder)) {
    const path = join(folder, name);
    if (statSync(path).isDirectory()) compressFolder(path);
    else if (/\.(js|css|html|svg|json)$/.test(name)) {
      const content = readFileSync(path);
      writeFileSync(`${path}.br`, brotliCompressSync(content, { params: { [constants.BROTLI_PARAM_QUALITY]: 10 } }));
      writeFileSync(`${path}.gz`, gzipSync(content, { level: 9 }));
    }
  }
}
compressFolder(join(root, 'web/dist/web/browser'));

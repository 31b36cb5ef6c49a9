import { createHash } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { transformSync as link } from '@babel/core';
import { createEs2015LinkerPlugin } from '@angular/compiler-cli/linker/babel';
import { ConsoleLogger, LogLevel, NodeJSFileSystem } from '@angular/compiler-cli';
import { transformSync as asCommonJs } from 'esbuild';

const itself = readFileSync(new URL(import.meta.url));

/**
 * A Jest transformer for Angular's libraries. They come half compiled; without this, each test file compiles every component of theirs
 * again when it loads them.
 */
export default {
  getCacheKey: (source, path) => createHash('sha256').update(itself).update(path).update(source).digest('hex'),
  process(source, path) {
    const linked = source.includes('ɵɵngDeclare')
      ? link(source, {
          filename: path,
          plugins: [
            createEs2015LinkerPlugin({
              fileSystem: new NodeJSFileSystem(),
              logger: new ConsoleLogger(LogLevel.warn),
              linkerJitMode: true,
              sourceMapping: false,
            }),
          ],
          babelrc: false,
          configFile: false,
          compact: false,
        }).code
      : source;
    return { code: asCommonJs(linked, { format: 'cjs', target: 'es2022' }).code };
  },
};

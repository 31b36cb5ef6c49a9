import { transformSync as link } from '@babel/core';
import { createEs2015LinkerPlugin } from '@angular/compiler-cli/linker/babel';
import { ConsoleLogger, LogLevel, NodeJSFileSystem } from '@angular/compiler-cli';
import { transformSync as asCommonJs } from 'esbuild';

/**
 * A Jest transformer for Angular's libraries. They come half compiled; without this, each test file compiles every component of theirs
 * again when it loads them.
 */
export default {
  process(source, path) {
    const linked = source.includes('ɵɵngDeclare')
      ? link(source, {
          filename: path,
          plugins: [
            createEs2015LinkerPlugin({
              fileSystem: new NodeJSFileSystem(),
              logger: new ConsoleLogger(LogLevel.warn),
              linkerJitMode: false,
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

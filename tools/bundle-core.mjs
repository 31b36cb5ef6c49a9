import { build } from 'esbuild';
import { join } from 'node:path';
import { root } from './paths.mjs';

/** @type {import('esbuild').BuildOptions} */
const asOne = { bundle: true, platform: 'node', format: 'cjs', target: 'node20', logLevel: 'warning' };

/** The built core as one CommonJS file: what the tests of server and web load, in one piece instead of some hundred. */
await build({
  ...asOne,
  entryPoints: [join(root, 'core/dist/index.js')],
  outfile: join(root, 'core/dist/index.cjs'),
  // it looks for its own file beside itself
  external: ['highs'],
  // a test runner that loads CommonJS has no import() of its own
  supported: { 'dynamic-import': false },
});
/** The same as one module: what server and workers load each time they start, with the library of schemas in it. */
await build({
  ...asOne,
  format: 'esm',
  entryPoints: [join(root, 'core/dist/index.js')],
  outfile: join(root, 'core/dist/whole.js'),
  external: ['highs'],
});
/** The library of schemas the same way: each file of tests loads it, and it comes in seven hundred pieces. */
for (const [entry, name] of [
  ['typebox', 'typebox'],
  ['typebox/value', 'typebox-value'],
  ['typebox/compile', 'typebox-compile'],
])
  await build({ ...asOne, entryPoints: [entry], absWorkingDir: join(root, 'core'), outfile: join(root, `core/dist/${name}.cjs`) });

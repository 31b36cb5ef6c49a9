import { build } from 'esbuild';
import { join } from 'node:path';
import { root } from './paths.mjs';

/** The built core as one CommonJS file: what the tests of server and web load, in one piece instead of some hundred. */
await build({
  entryPoints: [join(root, 'core/dist/index.js')],
  outfile: join(root, 'core/dist/index.cjs'),
  bundle: true,
  platform: 'node',
  format: 'cjs',
  target: 'node20',
  // it looks for its own file beside itself
  external: ['highs'],
  // a test runner that loads CommonJS has no import() of its own
  supported: { 'dynamic-import': false },
  logLevel: 'warning',
});

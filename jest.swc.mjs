import { fileURLToPath } from 'node:url';

const built = (file) => fileURLToPath(new URL(`core/dist/${file}`, import.meta.url));

/** Shared by core and server: SWC turns TypeScript into CommonJS; './x.js' means x.ts. */
export const swc = {
  testEnvironment: 'node',
  transform: {
    '^.+\\.(ts|mjs|js)$': [
      '@swc/jest',
      { jsc: { parser: { syntax: 'typescript' }, target: 'es2022' }, module: { type: 'commonjs' }, sourceMaps: 'inline' },
    ],
  },
  moduleNameMapper: {
    '^typebox$': built('typebox.cjs'),
    '^typebox/value$': built('typebox-value.cjs'),
    '^typebox/compile$': built('typebox-compile.cjs'),
    '^(\\.{1,2}/.*)\\.js$': '$1',
  },
};

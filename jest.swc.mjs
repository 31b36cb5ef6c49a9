/** Shared by core and server: SWC turns TypeScript into CommonJS; './x.js' means x.ts. */
export const swc = {
  testEnvironment: 'node',
  transform: {
    '^.+\\.(ts|mjs|js)$': [
      '@swc/jest',
      { jsc: { parser: { syntax: 'typescript' }, target: 'es2022' }, module: { type: 'commonjs' }, sourceMaps: 'inline' },
    ],
  },
  transformIgnorePatterns: ['/node_modules/(?!typebox/)'],
  moduleNameMapper: { '^(\\.{1,2}/.*)\\.js$': '$1' },
};

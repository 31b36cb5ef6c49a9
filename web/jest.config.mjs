import presets from 'jest-preset-angular/presets/index.js';
export default {
  ...presets.createCjsPreset({ tsconfig: '<rootDir>/tsconfig.spec.json' }),
  setupFilesAfterEnv: ['<rootDir>/setup-jest.ts'],
  testTimeout: 30000,
  testMatch: ['<rootDir>/src/**/*.spec.ts'],
  transformIgnorePatterns: ['node_modules/(?!(.*\\.mjs$|typebox/))'],
  moduleNameMapper: {
    '^@gewinde/core$': '<rootDir>/../core/dist/index.cjs',
    '/worker-factory$': '<rootDir>/test/worker-factory.stub.ts',
    '^(\\.{1,2}/.*)\\.js$': '$1',
  },
};

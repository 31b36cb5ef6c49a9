import presets from 'jest-preset-angular/presets/index.js';
import { specsOf } from '../tools/jest/specs-of.mjs';
const preset = presets.createCjsPreset({ tsconfig: '<rootDir>/tsconfig.spec.json' });
export default {
  ...preset,
  transform: { '/node_modules/(@angular|@ng-bootstrap)/.*\\.mjs$': '<rootDir>/test/linked-library.mjs', ...preset.transform },
  setupFilesAfterEnv: ['<rootDir>/setup-jest.ts', '<rootDir>/test/shown-as-in-the-app.ts'],
  testTimeout: 30000,
  transformIgnorePatterns: ['node_modules/(?!(.*\\.mjs$|typebox/))'],
  moduleNameMapper: {
    '^@gewinde/core$': '<rootDir>/../core/dist/index.cjs',
    '/worker-factory$': '<rootDir>/test/worker-factory.stub.ts',
    '^(\\.{1,2}/.*)\\.js$': '$1',
  },
  ...specsOf(import.meta.dirname, ['src']),
};

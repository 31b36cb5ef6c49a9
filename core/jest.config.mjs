import { swc } from '../jest.swc.mjs';
import { specsOf } from '../tools/jest/specs-of.mjs';
export default {
  ...swc,
  testTimeout: 30000,
  moduleNameMapper: { ...swc.moduleNameMapper, '^@gewinde/core$': '<rootDir>/src/index.ts' },
  ...specsOf(import.meta.dirname, ['src', 'published']),
};

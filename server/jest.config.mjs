import { swc } from '../jest.swc.mjs';
import { specsOf } from '../tools/jest/specs-of.mjs';
export default {
  ...swc,
  moduleNameMapper: { ...swc.moduleNameMapper, '^@gewinde/core$': '<rootDir>/../core/dist/index.cjs' },
  testTimeout: 30000,
  ...specsOf(import.meta.dirname, ['src']),
};

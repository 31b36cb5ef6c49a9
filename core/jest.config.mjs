import { swc } from '../jest.swc.mjs';
export default {
  ...swc,
  testTimeout: 30000,
  moduleNameMapper: { ...swc.moduleNameMapper, '^@gewinde/core$': '<rootDir>/src/index.ts' },
  testMatch: ['<rootDir>/src/**/*.spec.ts', '<rootDir>/published/**/*.spec.ts'],
};

import { swc } from '../jest.swc.mjs';
export default {
  ...swc,
  testMatch: ['<rootDir>/src/**/*.spec.ts'],
  moduleNameMapper: { ...swc.moduleNameMapper, '^@gewinde/core$': '<rootDir>/../core/dist/index.cjs' },
  testTimeout: 30000,
};

import { swc } from '../jest.swc.mjs';
export default { ...swc, testTimeout: 30000, testMatch: ['<rootDir>/src/**/*.spec.ts', '<rootDir>/published/**/*.spec.ts'] };

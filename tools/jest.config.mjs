import { swc } from '../jest.swc.mjs';
export default { ...swc, testMatch: ['<rootDir>/*.spec.ts'], moduleFileExtensions: ['ts', 'mjs', 'js', 'json'], testTimeout: 300_000 };

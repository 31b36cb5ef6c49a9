import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';

const here = fileURLToPath(new URL('.', import.meta.url));
const inRoom = (spec) => `<rootDir>/${spec.name}`;
/** It puts a module of its own in another's place, for all that is loaded with it. */
const alone = (file) => readFileSync(file, 'utf8').includes('jest.mock(');

/**
 * Which specs Jest runs in a room: each by itself, as `npx jest <path>` wants it, or all as one where `npm test` says so
 * (`GEWINDE_TOGETHER`), but for those that must stay alone.
 */
export function specsOf(room, folders) {
  const found = folders
    .flatMap((folder) => readdirSync(join(room, folder), { recursive: true, encoding: 'utf8' }).map((name) => join(folder, name)))
    .filter((name) => name.endsWith('.spec.ts'))
    .sort()
    .map((name) => ({ name, file: join(room, name) }));
  if (!process.env.GEWINDE_TOGETHER) return { testMatch: found.map(inRoom) };
  return {
    roots: ['<rootDir>', here],
    testMatch: ['**/jest/together.ts', ...found.filter((spec) => alone(spec.file)).map(inRoom)],
    globals: { specs: found.filter((spec) => !alone(spec.file)) },
  };
}

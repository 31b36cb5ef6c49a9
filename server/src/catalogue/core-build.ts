import { createHash } from 'node:crypto';
import { readdirSync, readFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

/** Which core this server runs with: the same as long as nothing of it was built anew. */
export function coreBuild(): string {
  const folder = dirname(fileURLToPath(import.meta.resolve('@gewinde/core')));
  const hash = createHash('sha1');
  const files = readdirSync(folder, { recursive: true, encoding: 'utf8' }).filter((name) => name.endsWith('.js'));
  for (const name of files.sort()) hash.update(name).update(readFileSync(join(folder, name)));
  return hash.digest('hex').slice(0, 16);
}

import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

/** Root of the project, and the folder that holds all that is not code: database, locks, logs. */
export const root = join(dirname(fileURLToPath(import.meta.url)), '..');
export const dataRoot = process.env.GEWINDE_DATA ?? join(root, '.gewinde');

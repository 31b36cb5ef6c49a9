import type { Knex } from 'knex';
import { addTo } from './steps.js';

/** What of a job is accepted as it is, and what it does another way than the shop; how a port that nothing runs from is closed. */
export async function up(db: Knex): Promise<void> {
  await addTo(db, 'jobs', (t) => void t.json('waivers').nullable());
  await addTo(db, 'jobs', (t) => void t.json('deviations').nullable());
  await addTo(db, 'ports', (t) => void t.json('closed').nullable());
}

export async function down(): Promise<void> {
  throw new Error('What was accepted, and how ports are closed, would be lost: restore the backup that was made before.');
}

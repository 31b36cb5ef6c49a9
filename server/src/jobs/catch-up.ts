import type { Knex } from 'knex';
import { behind, workOut } from './summaries.js';

/** Jobs read anew in one go. */
const A_GO = 200;

/** Works out the summaries of all jobs that are behind, so that words are found in what they are now. @returns how many there were */
export async function catchUp(db: Knex): Promise<number> {
  const done = new Set<string>();
  for (;;) {
    const late = await behind(db, A_GO);
    // what was just worked out and is late again is being worked on by somebody: it can wait for the next time
    if (late.every((id) => done.has(id))) return done.size;
    await workOut(db, late);
    for (const id of late) done.add(id);
  }
}

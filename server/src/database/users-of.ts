import type { PartCard } from '@gewinde/core';
import type { Knex } from 'knex';
import { lots } from './lots.js';

type User = PartCard['usedBy'][number];
const MOST = 50;

/**
 * The components that are a part, and the lines that have it in a way, on a branch, pinned or wished for, or between a moved sensor and its
 * port; 50 at most, of the jobs that were worked on last.
 */
export async function usersOf(db: Knex, id: string): Promise<User[]> {
  const used = (table: string, row: string) =>
    db('part_uses')
      .join(`${table} as r`, 'r.id', 'part_uses.row_id')
      .join('jobs', 'jobs.id', 'part_uses.job_id')
      .where({ part_id: id })
      .orderBy([{ column: 'jobs.updated_at', order: 'desc' }, 'jobs.number', row])
      .limit(MOST);
  const components: User[] = await used('components', 'r.order').select('jobs.number as job', 'r.name as lineName');
  const lines: User[] = await used('job_lines', 'r.number').select('jobs.number as job', 'r.number as line', 'r.name as lineName');
  const sensors: User[] = await used('ports', 'r.order')
    .join(
      'job_lines as l',
      (on) => void on.on('l.job_id', 'r.job_id').andOn((end) => void end.on('l.port_a', 'r.id').orOn('l.port_b', 'r.id')),
    )
    .select('jobs.number as job', 'l.number as line', 'r.label as lineName');
  const jobs: User[] = await db('part_uses')
    .join('jobs', 'jobs.id', 'part_uses.row_id')
    .where({ part_id: id })
    .orderBy('jobs.updated_at', 'desc')
    .limit(MOST)
    .select('jobs.number as job', 'jobs.name as lineName');
  return [...components, ...lines, ...sensors, ...jobs].slice(0, MOST);
}

/** The first of these parts that is used in one of the ways of `usersOf`. */
export async function firstInUse(db: Knex, ids: readonly string[]): Promise<string | undefined> {
  for (const some of lots(ids)) {
    const use: { part_id: string } | undefined = await db('part_uses').whereIn('part_id', some).first('part_id');
    if (use) return use.part_id;
  }
  return undefined;
}

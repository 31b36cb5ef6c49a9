import type { PartCard } from '@gewinde/core';
import type { Knex } from 'knex';

type User = PartCard['usedBy'][number];

/** The components that are a part, and the lines that have it in a way, on a branch, pinned or wished for, or between a moved sensor and its port; 50 at most. */
export async function usersOf(db: Knex, id: string): Promise<User[]> {
  const named = JSON.stringify(id);
  const lines: User[] = await db('job_lines')
    .join('jobs', 'jobs.id', 'job_lines.job_id')
    .whereRaw('(LOCATE(?, job_lines.ways) > 0 OR LOCATE(?, job_lines.pieces) > 0)', [named, named])
    .orderBy('jobs.number')
    .orderBy('job_lines.number')
    .limit(50)
    .select('jobs.number as job', 'job_lines.number as line', 'job_lines.name as lineName');
  const sensors: User[] = await db('ports')
    .join('jobs', 'jobs.id', 'ports.job_id')
    .join('job_lines', (on) => void on.on('job_lines.port_a', 'ports.id').orOn('job_lines.port_b', 'ports.id'))
    .whereRaw('LOCATE(?, ports.sensor) > 0', [named])
    .limit(50)
    .select('jobs.number as job', 'job_lines.number as line', 'ports.label as lineName');
  const components: User[] = await db('components')
    .join('jobs', 'jobs.id', 'components.job_id')
    .whereRaw('LOCATE(?, components.part) > 0', [named])
    .orderBy('jobs.number')
    .limit(50)
    .select('jobs.number as job', 'components.name as lineName');
  return [...components, ...[...lines, ...sensors].map(({ job, line, lineName }) => ({ job, line: line!, lineName }))].slice(0, 50);
}

/** The first of these parts that is used in one of the ways of `usersOf`; the rows are read once, however many parts are asked about. */
export async function firstInUse(db: Knex, ids: readonly string[]): Promise<string | undefined> {
  if (ids.length === 0) return undefined;
  const lines = await db('job_lines').select<Record<string, unknown>[]>('ways', 'pieces');
  const sensors = await db('ports').whereNotNull('sensor').select<Record<string, unknown>[]>('sensor');
  const components = await db('components').whereNotNull('part').select<Record<string, unknown>[]>('part');
  const named = new Set([...lines, ...sensors, ...components].flatMap((row) => Object.values(row).flatMap(wordsOf)));
  return ids.find((id) => named.has(id));
}

/** Every string of a JSON text. */
function wordsOf(json: unknown): string[] {
  const text = typeof json === 'string' ? json : JSON.stringify(json ?? '');
  return (text.match(/"(?:[^"\\]|\\.)*"/g) ?? []).map((word) => JSON.parse(word) as string);
}

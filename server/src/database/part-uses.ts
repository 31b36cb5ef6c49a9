import { partsNamedBy, type JobEntity } from '@gewinde/core';
import type { Knex } from 'knex';
import type { Entity } from './entities.js';
import { lots } from './lots.js';
import type { RowsToWrite } from './write-rows.js';

interface Use {
  readonly part_id: string;
  readonly row_id: string;
  readonly job_id: string;
}

/** What a row of a job names, for those rows of which it is not what it was. */
function namesThatDiffer(
  rows: readonly Entity[],
  was: readonly Entity[],
): { readonly id: string; readonly jobId: string; readonly names: Set<string> }[] {
  const before = new Map(was.map((entity) => [entity.row.id, entity]));
  return rows.flatMap((entity) => {
    if (!isJobEntity(entity)) return [];
    const names = new Set(partsNamedBy(entity));
    const earlier = before.get(entity.row.id);
    if (earlier && isJobEntity(earlier) && sameSet(names, new Set(partsNamedBy(earlier)))) return [];
    return [{ id: entity.row.id, jobId: entity.type === 'job' ? entity.row.id : entity.row.jobId, names }];
  });
}

/**
 * Keeps the table of which row names which part, when rows are written. It holds the parts too: one that is named cannot be deleted, by
 * whomever, and one that has just been deleted cannot be named.
 *
 * @returns what remains to be done once the rows are there
 */
export async function keepUses(trx: Knex.Transaction, { made, changed, gone, was = [] }: RowsToWrite): Promise<() => Promise<void>> {
  const differ = namesThatDiffer(changed, was);
  const left = [...gone.flatMap((e) => (isJobEntity(e) ? [e.row.id] : [])), ...differ.map(({ id }) => id)];
  for (const some of lots(left)) await trx('part_uses').whereIn('row_id', some).delete();
  const named = [...differ, ...namesThatDiffer(made, [])];
  return async () => {
    const known = new Set<string>();
    for (const some of lots([...new Set(named.flatMap(({ names }) => [...names]))]))
      for (const id of await trx('parts').whereIn('id', some).pluck<string[]>('id')) known.add(id);
    const uses = named.flatMap(({ id, jobId, names }): Use[] =>
      [...names].filter((part) => known.has(part)).map((part) => ({ part_id: part, row_id: id, job_id: jobId })),
    );
    for (const some of lots(uses)) await trx('part_uses').insert(some);
  };
}

function isJobEntity(entity: Entity): entity is JobEntity {
  return entity.type === 'job' || entity.type === 'component' || entity.type === 'port' || entity.type === 'line';
}

function sameSet(a: ReadonlySet<string>, b: ReadonlySet<string>): boolean {
  return a.size === b.size && [...a].every((item) => b.has(item));
}

import { Type, type Static } from 'typebox';
import { OneKindOf, OneOf } from '../schema/index.js';
import { ComponentSchema, JobSchema, PortSchema, type JobDocument } from './job-schema.js';
import { LineSchema } from './line-schema.js';
import { jobEntityTypes, type JobEntities, type JobEntity, type JobEntityType } from './entities.js';

const Id = Type.String({ minLength: 1, maxLength: 80 });

/** What every change says of itself, whatever rows it is about. */
export const ChangeHead = {
  /** The event it was recorded as; later changes have higher ones. */
  id: Type.Integer({ minimum: 0 }),
  /** The sender's own name for it: the same change sent twice is made once. */
  key: Type.String(),
  kind: OneOf(['edit', 'undo', 'redo', 'record']),
  label: Type.String(),
  client: Type.String(),
  at: Type.String(),
};

export const JobEntitySchema = OneKindOf(
  'type',
  [
    Type.Object({ type: Type.Literal('job'), row: JobSchema }),
    Type.Object({ type: Type.Literal('component'), row: ComponentSchema }),
    Type.Object({ type: Type.Literal('port'), row: PortSchema }),
    Type.Object({ type: Type.Literal('line'), row: LineSchema }),
  ],
  'JobEntity',
);

/** The whole of what a command did to a job: rows as they are now, side effects included, and rows that are gone. */
export const JobChangeSchema = Type.Object(
  { ...ChangeHead, put: Type.Array(JobEntitySchema), removed: Type.Array(Type.Object({ type: OneOf(jobEntityTypes), id: Id })) },
  { title: 'JobChange' },
);
export type JobChange = Static<typeof JobChangeSchema>;

/** The rows of a document that are of one type. */
export function rowsOf<T extends JobEntityType>(document: JobDocument, type: T): readonly JobEntities[T][] {
  const rows = { job: [document.job], component: document.components, port: document.ports, line: document.lines };
  return rows[type] as unknown as readonly JobEntities[T][];
}

/** The document after some of its rows were put and some removed. Rows that are not in it yet come last. */
export function withRows(
  document: JobDocument,
  put: readonly JobEntity[],
  removed: readonly { readonly type: JobEntityType; readonly id: string }[] = [],
): JobDocument {
  if (put.length === 0 && removed.length === 0) return document;
  const merged = <T extends 'component' | 'port' | 'line'>(type: T): JobEntities[T][] => {
    const rows = rowsOf(document, type) as JobEntities[T][];
    const next = new Map(put.flatMap((e) => (e.type === type ? [[e.row.id, e.row as JobEntities[T]] as const] : [])));
    const gone = new Set(removed.flatMap((r) => (r.type === type ? [r.id] : [])));
    if (next.size === 0 && gone.size === 0) return rows;
    const kept = rows.filter((row) => !gone.has(row.id) || next.has(row.id)).map((row) => next.get(row.id) ?? row);
    const present = new Set(rows.map((row) => row.id));
    return [...kept, ...[...next.values()].filter((row) => !present.has(row.id))];
  };
  const job = put.findLast((e) => e.type === 'job');
  return { job: job ? job.row : document.job, components: merged('component'), ports: merged('port'), lines: merged('line') };
}

/** The document after a change: the one place where a change is taken in. */
export function applyChange(document: JobDocument, change: Pick<JobChange, 'put' | 'removed' | 'at'>): JobDocument {
  const next = withRows(document, change.put, change.removed);
  return { ...next, job: { ...next.job, updatedAt: change.at } };
}

/** What a change did, from a document to the next: rows that are new or different, and rows that are gone. */
export function differenceOf(
  before: JobDocument,
  after: JobDocument,
): { readonly put: JobEntity[]; readonly before: JobEntity[]; readonly removed: JobEntity[] } {
  const put: JobEntity[] = [];
  const earlier: JobEntity[] = [];
  const removed: JobEntity[] = [];
  for (const type of jobEntityTypes) {
    const old = new Map(rowsOf(before, type).map((row) => [row.id, row]));
    for (const row of rowsOf(after, type)) {
      const was = old.get(row.id);
      if (was === row) continue;
      put.push({ type, row } as JobEntity);
      if (was) earlier.push({ type, row: was } as JobEntity);
    }
    const now = new Set(rowsOf(after, type).map((row) => row.id));
    for (const row of old.values()) if (!now.has(row.id)) removed.push({ type, row } as JobEntity);
  }
  return { put, before: earlier, removed };
}

import { applyChange, type JobChange } from './change.js';
import type { JobDocument } from './job-schema.js';

/** A copy of a job that follows its changes, in whatever order they arrive. */
export interface Replica {
  readonly document: JobDocument;
  /** Every change up to this one has been taken in. */
  readonly at: number;
  /** The newest change taken in for a row, where it is ahead of `at`: an answer to one's own command overtakes the stream. */
  readonly ahead: ReadonlyMap<string, number>;
}

/** A copy as it was read. */
export function replicaOf(document: JobDocument, at: number): Replica {
  return { document, at, ahead: new Map() };
}

/**
 * Takes a change in. `inOrder` says that every change before it has been taken in as well (the stream is told in order, the answer to a
 * command is not). What is older than what is there is left out, row by row.
 */
export function receive(replica: Replica, change: JobChange, inOrder: boolean): Replica {
  if (change.id <= replica.at) return replica;
  const newer = (id: string): boolean => change.id > (replica.ahead.get(id) ?? replica.at);
  const put = change.put.filter((entity) => newer(entity.row.id));
  const removed = change.removed.filter((row) => newer(row.id));
  const at = change.at > replica.document.job.updatedAt ? change.at : replica.document.job.updatedAt;
  const document = applyChange(replica.document, { put, removed, at });
  const ahead = new Map(replica.ahead);
  for (const id of [...put.map((e) => e.row.id), ...removed.map((r) => r.id)]) ahead.set(id, change.id);
  if (!inOrder) return { document, at: replica.at, ahead };
  return { document, at: change.id, ahead: new Map([...ahead].filter(([, id]) => id > change.id)) };
}

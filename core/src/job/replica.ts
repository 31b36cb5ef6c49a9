import { applyChange, type JobChange } from './change.js';
import type { JobDocument } from './job-schema.js';

/** How far a copy has come. */
export interface Progress {
  /** Every change up to this one has been taken in. */
  readonly at: number;
  /** The newest change taken in for a row, where it is ahead of `at`: an answer to one's own command overtakes the stream. */
  readonly ahead: ReadonlyMap<string, number>;
}

/** A copy of a job that follows its changes, in whatever order they arrive. */
export interface Replica extends Progress {
  readonly document: JobDocument;
}

/** A copy as it was read. */
export function replicaOf(document: JobDocument, at: number): Replica {
  return { document, at, ahead: new Map() };
}

interface Told {
  readonly id: number;
  readonly put: readonly { readonly row: { readonly id: string } }[];
  readonly removed: readonly { readonly id: string }[];
}

/**
 * What of a change is news to a copy, row by row, and how far the copy is after it. `inOrder` says that every change before it has been
 * taken in as well (the stream is told in order, the answer to a command is not).
 */
export function newsOf<C extends Told>(
  { at, ahead }: Progress,
  change: C,
  inOrder: boolean,
): { readonly put: C['put'][number][]; readonly removed: C['removed'][number][]; readonly progress: Progress } {
  if (change.id <= at) return { put: [], removed: [], progress: { at, ahead } };
  const newer = (id: string): boolean => change.id > (ahead.get(id) ?? at);
  const put = change.put.filter((entity) => newer(entity.row.id));
  const removed = change.removed.filter((row) => newer(row.id));
  const next = new Map(ahead);
  for (const id of [...put.map((e) => e.row.id), ...removed.map((r) => r.id)]) next.set(id, change.id);
  const progress = inOrder ? { at: change.id, ahead: new Map([...next].filter(([, id]) => id > change.id)) } : { at, ahead: next };
  return { put, removed, progress };
}

/** Takes a change in. */
export function receive(replica: Replica, change: JobChange, inOrder: boolean): Replica {
  const { put, removed, progress } = newsOf(replica, change, inOrder);
  const { updatedAt } = replica.document.job;
  const at = change.at > updatedAt ? change.at : updatedAt;
  return { ...progress, document: applyChange(replica.document, { put, removed, at }) };
}

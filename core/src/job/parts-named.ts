import type { JobDocument } from './job-schema.js';
import { rowsOf } from './change.js';
import { jobEntityTypes, type JobEntity } from './entities.js';
import { fittingsNamed } from './line-path.js';

/** Ids of all parts that a row of a job names: placed, kept in sight, wished for or refused; hoses and ends; what a component is. */
export function partsNamedBy({ type, row }: JobEntity): string[] {
  switch (type) {
    case 'job':
      return (row.beside ?? []).map(({ part }) => part);
    case 'component':
      return row.part ? [row.part.id] : [];
    case 'port':
      return [...(row.sensor?.movedTo?.fittings ?? []), ...(row.closed?.fittings ?? [])].map((link) => link.id);
    case 'line':
      return [...fittingsNamed(row), ...row.pieces.flatMap(({ hose, endA, endB }) => [hose, endA, endB].filter((id) => id !== null))];
  }
}

/** Ids of all parts that a job names, each once. */
export function partsNamedIn(document: JobDocument): Set<string> {
  return new Set(jobEntityTypes.flatMap((type) => rowsOf(document, type).flatMap((row) => partsNamedBy({ type, row } as JobEntity))));
}

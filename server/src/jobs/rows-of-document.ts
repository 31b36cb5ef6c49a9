import { jobEntityTypes, rowsOf, type JobDocument } from '@gewinde/core';
import type { Entity } from '../database/entities.js';

/** Every row of a job with its type, parents first. */
export function rowsOfDocument(document: JobDocument): Entity[] {
  return jobEntityTypes.flatMap((type) => rowsOf(document, type).map((row) => ({ type, row }) as Entity));
}

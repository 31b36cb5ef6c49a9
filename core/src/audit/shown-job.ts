import type { Fitting } from '../fittings/index.js';
import type { Hose, HoseEnd } from '../hose/index.js';
import { partsNamedIn, type JobDocument } from '../job/index.js';
import type { JudgedJob } from './judged.js';

/** A made job with the parts that it is drawn with, and no others. */
export interface ShownJob {
  readonly document: JobDocument;
  readonly fittings: Fitting[];
  readonly hoses: Hose[];
  readonly hoseEnds: HoseEnd[];
}

export function shownJob({ document, catalogue }: JudgedJob): ShownJob {
  const named = partsNamedIn(document);
  const used = <P extends { readonly id: string }>(parts: readonly P[]): P[] => parts.filter(({ id }) => named.has(id));
  return { document, fittings: used(catalogue.fittings), hoses: used(catalogue.hoses), hoseEnds: used(catalogue.hoseEnds) };
}

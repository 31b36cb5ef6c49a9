import type { Finding } from '../findings/index.js';
import type { Catalogue, JobDocument } from '../job/index.js';
import type { JudgingSchools } from './judged.js';
import { judgeJob } from './judge-job.js';

/**
 * All that is found about a job, the worst first.
 *
 * @param document made by commands, or read from a job file
 * @param catalogue the parts it names
 * @param rules the schools of the shop; the usual ones where nothing is said
 * @example auditJob(document, catalogueOf(standardFittings())).filter(holds)
 */
export function auditJob(document: JobDocument, catalogue: Catalogue, rules?: JudgingSchools): Finding[] {
  return [...judgeJob(document, catalogue, undefined, rules).findings];
}

import { findEntry, soldByLength } from '../job/index.js';
import type { JudgedJob } from '../audit/index.js';
import { partsList } from './parts-list.js';
import type { Carried, LineNeed } from './spares.js';
import { substitutesFor } from './substitutes.js';

/**
 * What spares are chosen from: what each line of a job would need to be made anew, and for each part what could be carried for it. A line that asks for
 * nothing of the catalogue is not asked for.
 */
export function sparesProblem(job: JudgedJob): { readonly lines: readonly LineNeed[]; readonly carried: readonly Carried[] } {
  const document = { ...job.document, components: [] };
  const lines = job.lines.map((one): LineNeed => {
    const { rows } = partsList({ ...job, document, lines: [one] });
    return {
      line: `L${one.line.number}`,
      needs: rows.filter((r) => r.unit !== 'joint' && findEntry(job.catalogue, r.id)).map((r) => ({ part: r.id, quantity: r.quantity })),
    };
  });
  const parts = [...new Set(lines.flatMap((l) => l.needs.map((n) => n.part)))];
  const asked = new Set(parts);
  const carried = parts.map((part): Carried => {
    const entry = findEntry(job.catalogue, part)!;
    const priceMinor = entry.kind === 'hose' ? entry.part.pricePerMetreMinor : entry.part.priceMinor;
    const alike = substitutesFor(part, job.catalogue).map((s) => s.part);
    return {
      part,
      // a part that is longer or narrower by a hand's breadth is no spare: only what the job has itself
      servesAs: [part, ...alike.filter((other) => asked.has(other))],
      ...(soldByLength(entry) ? { byLength: true } : {}),
      ...(priceMinor === undefined ? {} : { priceMinor }),
    };
  });
  return { lines: lines.filter((l) => l.needs.length > 0), carried };
}

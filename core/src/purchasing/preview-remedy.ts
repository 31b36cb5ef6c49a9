import { judgedAfter, type JudgedJob } from '../audit/index.js';
import { can, type Command, type CommandContext } from '../commands/index.js';
import { holds, placeKey, type Finding } from '../findings/index.js';
import { partsList } from './parts-list.js';

/** What some commands would change in a job, before they are sent. */
export interface Preview {
  /** Why they cannot be carried out; nothing else is known then. */
  readonly refused?: string;
  /** What leaks or is a risk, and is not accepted. */
  readonly holding: { readonly before: number; readonly after: number };
  readonly gone: readonly Finding[];
  readonly new: readonly Finding[];
  /** Of the parts, in minor money; parts without a price are not in it. */
  readonly priceMinor: number;
  /** Parts by name, with how many more are needed; negative where fewer. */
  readonly parts: readonly { readonly name: string; readonly quantity: number; readonly unit: 'pc' | 'mm' | 'joint' }[];
  /** Cut lengths that change, mm. */
  readonly cuts: readonly { readonly line: number; readonly beforeMm?: number; readonly afterMm?: number }[];
}

export function previewOf(job: JudgedJob, commands: readonly Command[], context: Pick<CommandContext, 'newId'>): Preview {
  const nothing = { before: holding(job), after: holding(job) };
  const refused = can(job.document, commands, { ...context, parts: job.catalogue, versions: 'ignore' });
  if (refused) return { refused: refused.message, holding: nothing, gone: [], new: [], priceMinor: 0, parts: [], cuts: [] };
  return differenceBetweenJobs(job, judgedAfter(job, commands, context));
}

/** What is another in a job that is judged in another way, or after some commands. */
export function differenceBetweenJobs(job: JudgedJob, after: JudgedJob): Preview {
  const [was, is] = [new Map(job.findings.map((f) => [keyOf(f), f])), new Map(after.findings.map((f) => [keyOf(f), f]))];
  const [before, then] = [partsList(job), partsList(after)];
  const ids = new Set([...before.rows, ...then.rows].map((r) => r.id));
  const parts = [...ids].flatMap((id) => {
    const [a, b] = [before.rows.find((r) => r.id === id), then.rows.find((r) => r.id === id)];
    const quantity = (b?.quantity ?? 0) - (a?.quantity ?? 0);
    const { name, unit } = (a ?? b)!;
    return quantity === 0 ? [] : [{ name, quantity, unit }];
  });
  return {
    holding: { before: holding(job), after: holding(after) },
    gone: [...was].flatMap(([key, f]) => (is.has(key) ? [] : [f])),
    new: [...is].flatMap(([key, f]) => (was.has(key) ? [] : [f])),
    priceMinor: then.totalMinor - before.totalMinor,
    parts,
    cuts: after.lines.flatMap((line) => cutsChanged(job, line)),
  };
}

function cutsChanged(job: JudgedJob, after: JudgedJob['lines'][number]): Preview['cuts'] {
  const before = job.lineById.get(after.line.id);
  return after.pieces.flatMap(({ piece, cut }) => {
    const was = before?.pieces.find((p) => p.piece.key === piece.key)?.cut?.cutMm;
    if (was === cut?.cutMm) return [];
    return [{ line: after.line.number, ...(was === undefined ? {} : { beforeMm: was }), ...(cut ? { afterMm: cut.cutMm } : {}) }];
  });
}

function keyOf(f: Finding): string {
  return `${f.rule} ${placeKey(f.at)}`;
}

function holding({ findings }: JudgedJob): number {
  return findings.filter(holds).length;
}

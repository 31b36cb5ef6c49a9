import type { JudgedJob, StoreFacts } from '../audit/index.js';
import { comingFor, isUnderWay, openPacks, type CutMade, type PurchaseOrder } from '../stock/index.js';
import type { JobNeeds } from './job-needs.js';
import type { BuyableOffer } from './offers-for.js';

/** What shelf, rack, orders and offers say of a job's parts, for the audit. */
export function storeFactsOf(
  job: JudgedJob,
  needs: JobNeeds,
  around: {
    readonly today: string;
    readonly offers: readonly Pick<BuyableOffer, 'holds' | 'leadDays'>[];
    readonly orders: readonly PurchaseOrder[];
    readonly cuts: readonly CutMade[];
    /** What other jobs plan to cut from lengths that this one plans to cut from. */
    readonly others: readonly { readonly job: string; readonly id: string }[];
  },
): StoreFacts {
  const { today, offers, orders, cuts, others } = around;
  const { id: jobId, neededBy } = job.document.job;
  const short = needs.rows.flatMap(({ part, name, toBuy, lines }) => {
    const leads = offers.filter((o) => o.holds.some((h) => h.part === part)).map((o) => o.leadDays);
    const due = latestDue(orders, jobId, part);
    if (toBuy <= 0 && due === undefined) return [];
    const soonest = leads.length > 0 ? dayAfter(today, Math.min(...leads)) : undefined;
    return [
      {
        part,
        name,
        quantity: toBuy > 0 ? toBuy : 1,
        lines,
        ...(soonest === undefined ? {} : { soonest }),
        ...(toBuy > 0 || due === undefined ? {} : { due }),
      },
    ];
  });
  const needed = new Map(needs.rows.map((r) => [r.part, r.needed + r.spare - r.fromShelf]));
  const overOrdered = comingFor(orders, jobId).flatMap(({ part, mine }) => {
    const over = mine - Math.max(0, needed.get(part) ?? 0);
    const order = orders.find((o) => isUnderWay(o) && o.lines.some((l) => openPacks(l) > 0 && l.holds.some((h) => h.part === part)));
    const line = order?.lines.find((l) => l.holds.some((h) => h.part === part));
    return over > 0 && order && line ? [{ orderId: order.id, number: order.number, name: line.name, quantity: over }] : [];
  });
  return {
    today,
    ...(neededBy ? { neededBy } : {}),
    short,
    overOrdered,
    shared: [...new Map(others.map((o) => [`${o.id} ${o.job}`, o])).values()].map((o) => ({
      lengthId: o.id,
      words: `${o.id}: job ${o.job} plans to cut from it as well.`,
    })),
    offCut: cuts.filter((c) => c.jobId === jobId && c.of === 'hose' && c.state === 'cut').flatMap((cut) => offOf(job, cut)),
  };
}

/** Kerf and tape: what is no other length. */
const SAME_MM = 1;

function offOf({ lineById }: JudgedJob, { lineId, piece, ticket, plannedMm, trimMm }: CutMade): StoreFacts['offCut'] {
  const now = lineById.get(lineId)?.pieces.find((p) => p.piece.key === piece)?.cut?.cutMm;
  const cutMm = plannedMm - trimMm;
  return now === undefined || Math.abs(now - cutMm) <= SAME_MM ? [] : [{ lineId, piece, ticket, cutMm, nowMm: now }];
}

/** The last day that a supplier has said for what is on its way for the job. */
function latestDue(orders: readonly PurchaseOrder[], jobId: string, part: string): string | undefined {
  const days = orders
    .filter((o) => isUnderWay(o) && o.jobIds.includes(jobId))
    .flatMap((o) =>
      o.lines.filter((l) => l.due !== undefined && openPacks(l) > 0 && l.holds.some((h) => h.part === part)).map((l) => l.due!),
    );
  return days.sort().at(-1);
}

function dayAfter(day: string, days: number): string {
  return new Date(Date.parse(`${day}T00:00:00Z`) + days * 86_400_000).toISOString().slice(0, 10);
}

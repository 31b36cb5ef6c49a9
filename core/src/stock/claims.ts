import { CommandError } from '../commands/index.js';
import type { Claim, PurchaseLine, PurchaseOrder } from './order-schema.js';
import { isUnderWay, openPacks } from './receive-order.js';

/** What a line of an order is for which job. An order that does not say so is for the job it was written for, the whole of it. */
function claimsOf({ jobIds }: Pick<PurchaseOrder, 'jobIds'>, line: PurchaseLine): readonly Claim[] {
  if (line.claims) return line.claims;
  const [jobId] = jobIds;
  return jobId === undefined ? [] : line.holds.map(({ part, quantity }) => ({ jobId, part, quantity: quantity * line.packs }));
}

/** The claims on a part that are not served yet: what has come serves those that were written first. */
function openClaims(order: PurchaseOrder, line: PurchaseLine, part: string): { readonly jobId: string; readonly quantity: number }[] {
  let served = line.receivedPacks * heldOf(line, part);
  return claimsOf(order, line).flatMap((claim) => {
    if (claim.part !== part) return [];
    const from = Math.min(served, claim.quantity);
    served -= from;
    return claim.quantity > from ? [{ jobId: claim.jobId, quantity: claim.quantity - from }] : [];
  });
}

function heldOf({ holds }: PurchaseLine, part: string): number {
  return holds.find((h) => h.part === part)?.quantity ?? 0;
}

/** What is on its way of a part. */
export interface Coming {
  readonly part: string;
  /** For the job that asks. */
  readonly mine: number;
  /** For nobody: whoever takes it first has it. */
  readonly over: readonly { readonly order: PurchaseOrder; readonly key: string; readonly quantity: number }[];
}

/** What orders that are written, sent or partly there bring for a job, and what of them is over. */
export function comingFor(orders: readonly PurchaseOrder[], jobId: string): Coming[] {
  const parts = new Map<string, { mine: number; over: Coming['over'][number][] }>();
  for (const order of orders) {
    if (!isUnderWay(order) && order.state !== 'open') continue;
    for (const line of order.lines)
      for (const part of new Set(line.holds.map((h) => h.part))) {
        const open = heldOf(line, part) * openPacks(line);
        const claims = openClaims(order, line, part);
        const known = parts.get(part) ?? { mine: 0, over: [] };
        parts.set(part, known);
        let left = open;
        for (const claim of claims) {
          const served = Math.min(left, claim.quantity);
          left -= served;
          if (claim.jobId === jobId) known.mine += served;
        }
        if (left > 0) known.over.push({ order, key: line.key, quantity: left });
      }
  }
  return [...parts].map(([part, { mine, over }]) => ({ part, mine, over }));
}

/** What of some packs that came is for which job. */
export function claimsReceived(
  order: PurchaseOrder,
  line: PurchaseLine,
  part: string,
  packs: number,
): { readonly jobId: string; readonly quantity: number }[] {
  let left = packs * heldOf(line, part);
  return openClaims(order, line, part).flatMap(({ jobId, quantity }) => {
    const served = Math.min(left, quantity);
    left -= served;
    return served > 0 ? [{ jobId, quantity: served }] : [];
  });
}

/**
 * What is over of a line goes to a job.
 * @throws {CommandError} bad-value, not-enough where somebody was first
 */
export function claimOver(order: PurchaseOrder, { key, part, jobId, quantity }: Claim & { readonly key: string }): PurchaseOrder {
  const line = order.lines.find((l) => l.key === key);
  if (!line || heldOf(line, part) === 0) throw new CommandError('bad-value', `${order.number} has no such line.`, 'key');
  const over = comingFor([order], jobId)
    .find((c) => c.part === part)
    ?.over.find((o) => o.key === key)?.quantity;
  if (over === undefined || over < quantity)
    throw new CommandError(
      'not-enough',
      `Of ${line.name} ${over ?? 0} ${over === 1 ? 'is' : 'are'} over in ${order.number} by now: ${quantity} cannot be taken.`,
      'quantity',
    );
  const claims = [...claimsOf(order, line), { jobId, part, quantity }];
  return {
    ...order,
    jobIds: order.jobIds.includes(jobId) ? order.jobIds : [...order.jobIds, jobId],
    // said of every line: an order for two jobs does not say by itself which has what
    lines: order.lines.map((l) => (l.key === key ? { ...l, claims } : { ...l, claims: claimsOf(order, l) })),
  };
}

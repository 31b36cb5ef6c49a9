import { cutWork, planCutsAtOnce, planGroupAtOnce, type NewLength } from '../src/cutting/index.js';
import type { Catalogue } from '../src/job/index.js';
import { jobNeeds } from '../src/purchasing/index.js';
import { emptyStockroom, type OfferRow, type Stockroom, type SupplierRow } from '../src/stock/index.js';
import { catalogue, document, jobOf } from './sample-job.js';

export const supplier: SupplierRow = {
  id: 's',
  name: 'North (sample)',
  currency: 'GBP',
  euros: 1.2,
  carriageMinor: 1000,
  leadDays: 4,
  version: 1,
};
export const RING = 'o-ring fkm AS568-906';
export const HOSE = 'hose-ptfe-6';
export const offer = (change: Partial<OfferRow> = {}): OfferRow => ({
  id: 'o1',
  supplierId: 's',
  holds: [{ part: RING, quantity: 10 }],
  prices: [
    { fromPacks: 1, packMinor: 500 },
    { fromPacks: 3, packMinor: 400 },
  ],
  version: 1,
  ...change,
});
export const room = (change: Partial<Stockroom> = {}): Stockroom => ({ ...emptyStockroom, suppliers: [supplier], ...change });
export const job = jobOf();
export const jobId = document.job.id;
export const needsOf = (r: Stockroom = room(), of = job, newLengths: readonly NewLength[] = []) => {
  const work = cutWork(of, { lengths: r.lengths, cuts: r.cuts, rules: r.rules, today: '2026-11-26' });
  const rules = r.rules;
  const plans = work.groups
    .filter((g) => g.toCut.length > 0)
    .map((g) =>
      planGroupAtOnce(
        { part: g.part, pieces: g.toCut.map((p) => ({ id: p.id, lengthMm: p.lengthMm })), lengths: g.lengths, offers: newLengths },
        rules,
        planCutsAtOnce,
      ),
    );
  return jobNeeds(of, work, plans, r).rows;
};
/** The catalogue with so many of a part on the shelf. */
export const shelved = (part: string, shelf: number): Catalogue => ({
  ...catalogue,
  supplies: catalogue.supplies.map((s) => (s.id === part ? { ...s, shelf } : s)),
});

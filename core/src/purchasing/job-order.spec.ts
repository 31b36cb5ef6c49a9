import fc from 'fast-check';
import { catalogue } from '../../testing/sample-job.js';
import { HOSE, RING, job, jobId, needsOf, offer, room, shelved, supplier } from '../../testing/stockroom.js';
import { shelfId, usualStoreRules, type HoseLength, type PurchaseOrder, type Stockroom } from '../stock/index.js';
import { changedPrices, cheapestFor, offersFor, orderProblemFor, planOrder, priceFor } from './index.js';

const row = (part: string, r?: Stockroom) => needsOf(r).find((n) => n.part === part)!;

describe('what a job needs', () => {
  it('has spares by rule, seals at least one of each size, and caps for what stands open', () => {
    const ring = row(RING);
    expect(ring).toMatchObject({ spare: 1, fromShelf: 0, toBuy: ring.needed + 1 });
    const caps = needsOf().filter((n) => n.part.startsWith('cap '));
    expect(caps.length).toBeGreaterThan(0);
    expect(needsOf(room({ rules: { ...usualStoreRules, caps: false } })).filter((n) => n.part.startsWith('cap '))).toEqual([]);
    expect(row(RING, room({ rules: { ...usualStoreRules, spareSealsLeast: 0, spareSealsPercent: 150 } })).spare).toBe(
      Math.ceil(ring.needed * 1.5),
    );
  });

  it('is less what the shelf has for it, what was taken for it already, and what is on its way', () => {
    const of = { ...job, catalogue: shelved(RING, 5) };
    const kept = { id: shelfId(RING), part: RING, reserved: [{ jobId: 'other', quantity: 4 }], version: 1 };
    const find = (r: Stockroom) => needsOf(r, of).find((n) => n.part === RING)!;
    expect(find(room())).toMatchObject({ fromShelf: 2, toBuy: 0 });
    expect(find(room({ stock: [kept] }))).toMatchObject({ fromShelf: 1, toBuy: 1 });
    expect(find(room({ stock: [{ ...kept, issued: [{ jobId, quantity: 1 }] }] }))).toMatchObject({ fromShelf: 2, toBuy: 0, issued: 1 });
    const order = (change: Partial<PurchaseOrder>): PurchaseOrder => ({
      id: 'po',
      number: 'PO-1',
      supplierId: 's',
      jobIds: [jobId],
      state: 'confirmed',
      carriageMinor: 0,
      writtenOn: '2026-11-20',
      deliveries: [],
      version: 1,
      lines: [{ key: 'k', name: 'r', holds: [{ part: RING, quantity: 1 }], packs: 1, packMinor: 1, receivedPacks: 0 }],
      ...change,
    });
    expect(find(room({ stock: [kept], orders: [order({})] }))).toMatchObject({ fromShelf: 1, onOrder: 1, toBuy: 0 });
    expect(find(room({ stock: [kept], orders: [order({ jobIds: ['another'] })] })).onOrder).toBe(0);
    expect(find(room({ stock: [kept], orders: [order({ state: 'cancelled' })] })).onOrder).toBe(0);
  });

  it('of hose is what the cut plan buys, in whole metres; what hangs on the rack is not bought', () => {
    const bought = row(HOSE);
    expect([bought.unit, bought.toBuy % 1000, bought.toBuy >= bought.needed]).toEqual(['mm', 0, true]);
    const reel: HoseLength = { id: 'H', part: HOSE, kind: 'reel', mm: 9000, since: '2026-01-01', state: 'there', version: 1 };
    expect(row(HOSE, room({ lengths: [reel] }))).toMatchObject({ toBuy: 0, fromShelf: bought.needed });
  });

  it('never goes negative, and what is needed is covered, whatever shelf and orders have', () => {
    fc.assert(
      fc.property(fc.nat(30), fc.nat(30), (onShelf, reserved) => {
        const of = { ...job, catalogue: shelved(RING, onShelf) };
        const stock = reserved > 0 ? [{ id: shelfId(RING), part: RING, reserved: [{ jobId: 'x', quantity: reserved }], version: 1 }] : [];
        for (const n of needsOf(room({ stock }), of)) {
          expect(Math.min(n.spare, n.fromShelf, n.onOrder, n.toBuy)).toBeGreaterThanOrEqual(0);
          expect(n.fromShelf + n.onOrder + n.toBuy).toBeGreaterThanOrEqual(n.needed);
        }
      }),
      { numRuns: 25 },
    );
  });
});

describe('what can be bought', () => {
  const priced = {
    ...catalogue,
    hoses: catalogue.hoses.map((h) => (h.id === HOSE ? { ...h, pricePerMetreMinor: 1500, supplier: 'north (SAMPLE)' } : h)),
  };

  it('is offers in euros, and what the catalogue lists of a supplier that has no offer of it', () => {
    const list = offersFor([RING, HOSE], room({ offers: [offer()] }), priced);
    expect(list.map((o) => [o.id, o.prices[0]!.packMinor, o.leadDays, o.oneLength])).toEqual([
      ['o1', 600, 4, undefined],
      [`listed ${HOSE}`, 1500, 4, true],
    ]);
    expect(priceFor(list[0]!, 3)).toBe(480);
    expect(cheapestFor(RING, 25, list)).toBe(3 * 480);
    expect(offersFor([RING], room({ offers: [offer()], suppliers: [{ ...supplier, retired: true }] }), priced)).toEqual([]);
  });

  it('is told where a price has changed, or an offer is gone, since it was planned', () => {
    const list = offersFor([RING], room({ offers: [offer()] }), catalogue);
    const line = { offerId: 'o1', name: 'Ring', holds: [{ part: RING, quantity: 10 }], packs: 3, packMinor: 480 };
    expect(changedPrices([line], 's', list)).toEqual([]);
    expect(changedPrices([{ ...line, packMinor: 450 }], 's', list)).toEqual([{ name: 'Ring', wasMinor: 450, nowMinor: 480 }]);
    expect(changedPrices([line], 'another', list)).toEqual([{ name: 'Ring', wasMinor: 480 }]);
  });

  it('makes a problem whose plan covers the need', async () => {
    const problem = orderProblemFor(
      [
        { part: RING, toBuy: 12 },
        { part: HOSE, toBuy: 0 },
      ],
      room({ offers: [offer()] }),
      catalogue,
      'cost',
    );
    expect(problem.needs).toEqual([{ part: RING, quantity: 12 }]);
    const plan = await planOrder(problem);
    expect(plan).toMatchObject({ totalMinor: 2 * 600 + 1200, left: [{ part: RING, quantity: 8 }], proven: true });
  });
});

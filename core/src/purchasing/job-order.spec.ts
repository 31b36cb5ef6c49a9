import fc from 'fast-check';
import { catalogue, document, feed, jobOf } from '../../testing/sample-job.js';
import { HOSE, RING, job, jobId, needsOf, offer, room, shelved, supplier } from '../../testing/stockroom.js';
import { parseConnector } from '../connectors/index.js';
import { cutWork } from '../cutting/index.js';
import { standardFittings } from '../fittings/index.js';
import {
  claimOver,
  claimsReceived,
  comingFor,
  shelfId,
  usualStoreRules,
  type CutMade,
  type HoseLength,
  type PurchaseOrder,
  type Stockroom,
} from '../stock/index.js';
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

  it('of hose that nothing is long enough for says how many pieces, and claims no shelf for them', () => {
    const none = needsOf(room(), job, [{ id: '10 cm', mm: 100 }]).find((n) => n.part === HOSE)!;
    expect(none).toMatchObject({ tooLong: 1, fromShelf: 0, onOrder: 0, toBuy: 0 });
    expect(row(HOSE)).not.toHaveProperty('tooLong');
  });

  it('of hose on its way is not bought twice, and no more of it is counted than is bought', () => {
    const metres = (n: number): PurchaseOrder => ({
      id: 'po',
      number: 'PO-1',
      supplierId: 's',
      jobIds: [jobId],
      state: 'sent',
      carriageMinor: 0,
      writtenOn: '2026-11-20',
      deliveries: [],
      version: 1,
      lines: [{ key: 'k', name: 'h', holds: [{ part: HOSE, quantity: 1000 }], packs: n, packMinor: 1, receivedPacks: 0 }],
    });
    expect(row(HOSE)).toMatchObject({ toBuy: 1000 });
    expect(row(HOSE, room({ orders: [metres(1)] }))).toMatchObject({ onOrder: 1000, toBuy: 0 });
    expect(row(HOSE, room({ orders: [metres(5)] }))).toMatchObject({ onOrder: 1000, toBuy: 0 });
    const part = metres(1).lines[0]!;
    const there = { ...metres(1), state: 'part' as const, lines: [{ ...part, receivedPacks: 1 }] };
    expect(row(HOSE, room({ orders: [there] }))).toMatchObject({ onOrder: 0, toBuy: 1000 });
  });

  it('on order counts for the job it was written for; what is over is told to the others, and is whose who takes it', () => {
    const ordered = (claims: PurchaseOrder['lines'][number]['claims'], jobIds = ['other']): PurchaseOrder => ({
      id: 'po',
      number: 'PO-1',
      supplierId: 's',
      jobIds,
      state: 'sent',
      carriageMinor: 0,
      writtenOn: '2026-11-20',
      deliveries: [],
      version: 1,
      lines: [
        {
          key: 'k',
          name: 'rings',
          holds: [{ part: RING, quantity: 10 }],
          packs: 1,
          packMinor: 1,
          receivedPacks: 0,
          ...(claims ? { claims } : {}),
        },
      ],
    });
    const need = row(RING).toBuy;
    expect(need).toBeGreaterThan(0);
    expect(row(RING, room({ orders: [ordered(undefined)] }))).toMatchObject({ onOrder: 0, toBuy: need });
    expect(row(RING, room({ orders: [ordered(undefined, [jobId])] }))).toMatchObject({ onOrder: need, toBuy: 0 });
    const theirs = ordered([{ jobId: 'other', part: RING, quantity: 7 }]);
    const seen = row(RING, room({ orders: [theirs] }));
    expect(seen).toMatchObject({ onOrder: 0, toBuy: need, over: [{ key: 'k', quantity: 3 }] });
    const taken = claimOver(theirs, { key: 'k', part: RING, jobId, quantity: 2 });
    expect(comingFor([taken], jobId)).toMatchObject([{ mine: 2, over: [{ quantity: 1 }] }]);
    expect(comingFor([taken], 'other')).toMatchObject([{ mine: 7 }]);
    expect(() => claimOver(taken, { key: 'k', part: RING, jobId: 'third', quantity: 2 })).toThrow('1 is over in PO-1 by now');
    // the first that come are for whoever wrote the order
    const line = { ...taken.lines[0]!, holds: [{ part: RING, quantity: 5 }], packs: 2 };
    expect(claimsReceived(taken, line, RING, 1)).toEqual([{ jobId: 'other', quantity: 5 }]);
    expect(claimsReceived(taken, { ...line, receivedPacks: 1 }, RING, 1)).toEqual([
      { jobId: 'other', quantity: 2 },
      { jobId, quantity: 2 },
    ]);
  });

  it('has what was added by hand, and the bung that a port is, in the metal of what it is welded into', () => {
    const beside = [
      { part: RING, quantity: 30 },
      { part: HOSE, quantity: 700 },
      { part: 'nowhere', quantity: 1 },
    ];
    const bung = { ...document.ports[0]!, id: 'b', label: 'return', connector: parseConnector('bung orb10 f') };
    const of = (metal?: 'steel') => ({
      ...jobOf(undefined, {
        job: { ...document.job, beside },
        ports: [...document.ports, bung],
        components: document.components.map((c) => ({ ...c, ...(metal ? { metal } : {}) })),
      }),
      catalogue: { ...catalogue, fittings: standardFittings() },
    });
    const rows = needsOf(room(), of('steel'));
    const before = needsOf(room(), job);
    const needed = (part: string, list = rows) => list.find((n) => n.part === part)?.needed ?? 0;
    expect(needed(RING) - needed(RING, before)).toBe(30);
    expect(needed(HOSE) - needed(HOSE, before)).toBe(700);
    expect(rows.find((n) => n.part === 'nowhere')).toMatchObject({ unknown: true, needed: 1 });
    const welded = (list: typeof rows) => list.find((n) => n.name.startsWith('Weld bung, orb10 f'))!;
    expect(welded(rows)).toMatchObject({ needed: 1, components: [document.components[0]!.name] });
    expect(welded(rows).name).toMatch(/steel/);
    expect(welded(needsOf(room(), of())).part).toBe('bungorb10f');
  });

  it('has one more of each bent end, and none of the straight, where the house carries one', () => {
    const ends = needsOf(room({ rules: { ...usualStoreRules, spareBentEnds: 1 } })).filter((n) => n.part.startsWith('end-'));
    expect(ends.length).toBeGreaterThan(2);
    for (const { part, spare } of ends) expect([part, spare]).toEqual([part, /-0$/.test(part) ? 0 : 1]);
    expect(needsOf().filter((n) => n.part.startsWith('end-') && n.spare > 0)).toEqual([]);
  });

  it('of sealant is packs by how many joints one makes, and no part of a pack; of small things a share more', () => {
    const sealant = needsOf().find((n) => n.part.startsWith('sealant'))!;
    expect(sealant).toMatchObject({ unit: 'pc', needed: 1, spare: 0, toBuy: 1 });
    const { joints: _, ...rest } = catalogue.supplies.find((s) => s.id === sealant.part)!.figures;
    const supplies = catalogue.supplies.map((s) => (s.id === sealant.part ? { ...s, figures: rest } : s));
    const unknown = { ...job, catalogue: { ...catalogue, supplies } };
    expect(needsOf(room(), unknown).find((n) => n.part === sealant.part)).toMatchObject({ packUnknown: true, needed: 1 });
    const clamps = (spareSmallPercent: number) =>
      needsOf(room({ rules: { ...usualStoreRules, spareSmallPercent } })).find((n) => n.part.startsWith('clamp'))!;
    expect([clamps(0).spare, clamps(10).spare, clamps(100).spare]).toEqual([0, 1, clamps(0).needed]);
  });

  it('of a hose that hangs made on the rack asks for no ends and no hose any more', () => {
    const of = jobOf([feed]);
    const piece = of.lines[0]!.pieces[0]!;
    const { ticket, lineId } = cutWork(of, { lengths: [], cuts: [], rules: usualStoreRules, today: '2026-11-26' }).groups[0]!.toCut[0]!;
    const made: CutMade = {
      id: 'c',
      jobId,
      lineId,
      piece: piece.piece.key,
      of: 'made',
      ticket,
      part: piece.hose!.id,
      lengthId: 'H-9',
      plannedMm: piece.cut!.cutMm,
      trimMm: 0,
      measuredMm: piece.cut!.cutMm,
      state: 'cut',
      at: '',
      version: 1,
    };
    const parts = (cuts: CutMade[]) =>
      needsOf(room({ cuts }), of)
        .filter((n) => n.toBuy > 0)
        .map((n) => n.part);
    const saved = parts([]).filter((part) => !parts([made]).includes(part));
    expect(saved.sort()).toEqual([piece.hose!.id, piece.endA!.id, piece.endB!.id].sort());
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

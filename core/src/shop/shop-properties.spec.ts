import { CutMadeSchema, LengthSchema, PurchaseOrderSchema, sameCut, StockSchema, type ShopCommandName } from '@gewinde/core';
import fc from 'fast-check';
import { Compile } from 'typebox/compile';
import { CommandError } from '../commands/index.js';
import { sampleOffer, sampleSupplier, ShopInMemory, TODAY } from '../../testing/shop.js';

const RING = 'o-ring fkm AS568-906';
const HOSE = 'hose-ptfe-6';
const CHECKS = ['Compound as on the bag', 'Size measured', 'Print read: kind, size, date', 'Bore open, clean, not kinked'];

const schemas = {
  stock: Compile(StockSchema),
  length: Compile(LengthSchema),
  cut: Compile(CutMadeSchema),
  order: Compile(PurchaseOrderSchema),
};

type Draw = { readonly what: number; readonly which: number; readonly job: 'a' | 'b'; readonly amount: number; readonly yes: boolean };
const draw: fc.Arbitrary<Draw> = fc.record({
  what: fc.nat(13),
  which: fc.nat(5),
  job: fc.constantFrom('a', 'b'),
  amount: fc.integer({ min: 1, max: 30 }),
  yes: fc.boolean(),
});

/** What somebody might do next, on what is there. */
function next(shop: ShopInMemory, { what, which, job, amount, yes }: Draw): { readonly do: ShopCommandName } & Record<string, unknown> {
  const at = <T>(rows: readonly T[]): T | undefined => rows[which % Math.max(1, rows.length)];
  const length = at(shop.all('length'));
  const cut = at(shop.all('cut'));
  const order = at(shop.all('order'));
  const of = (row: { readonly id: string; readonly version: number } | undefined) => ({
    id: row?.id ?? 'none',
    version: row?.version ?? 1,
  });
  const lineId = job === 'a' ? 'lineA' : 'lineB';
  switch (what) {
    case 0:
      return { do: 'add-length', length: { part: HOSE, kind: yes ? 'reel' : 'length', mm: amount * 200 } };
    case 1:
      return { do: 'reserve-lengths', jobId: job, lengths: length ? [{ id: length.id, mm: amount * 100 }] : [] };
    case 2:
    case 3:
      return {
        do: 'cut-piece',
        jobId: job,
        lineId,
        piece: `p${which % 3}`,
        of: 'hose',
        ticket: `t${which % 3}`,
        lengthId: of(length).id,
        lengthVersion: of(length).version,
        plannedMm: 0,
        trimMm: 0,
        measuredMm: amount * 50,
        trimmedMm: yes ? 10 : 0,
      };
    case 4:
      return { do: 'spoil-cut', ...of(cut), ...(yes ? { keepMm: amount * 40 } : {}) };
    case 5:
      return { do: 'take-back-cut', ...of(cut), sawn: yes };
    case 6:
      return { do: 'scrap-length', ...of(length) };
    case 7: {
      const claims = yes ? { claims: [{ jobId: job, part: RING, quantity: amount }] } : {};
      const line = (key: string, part: string, offerId: string) => ({
        key,
        offerId,
        name: key,
        holds: [{ part, quantity: 10 }],
        packs: 3,
        packMinor: 500,
        ...(part === RING ? claims : {}),
      });
      return { do: 'write-order', supplierId: 's', jobIds: [job], lines: [line('k1', RING, 'rings'), line('k2', HOSE, 'hose')] };
    }
    case 8:
      return { do: 'send-order', ...of(order) };
    case 9:
      return {
        do: 'receive-order',
        ...of(order),
        delivery: {
          on: TODAY,
          lines: [{ key: yes ? 'k1' : 'k2', packs: 1 + (amount % 3), checks: CHECKS.map((check) => ({ check, ok: amount % 5 > 0 })) }],
        },
      };
    case 10:
      return { do: 'give-up-line', ...of(order), key: yes ? 'k1' : 'k2' };
    case 11:
      return { do: 'claim-order', ...of(order), key: 'k1', part: RING, jobId: job, quantity: amount };
    case 12:
      return {
        do: 'move-stock',
        part: RING,
        kind: (['issue', 'return', 'reserve', 'release', 'scrap', 'count'] as const)[which]!,
        quantity: amount,
        jobId: job,
      };
    default:
      return { do: 'edit-order', ...of(order), set: { packs: [{ key: 'k1', packs: amount % 4 }] } };
  }
}

describe('whatever two jobs do with one shop', () => {
  it('rows stay as their schemas have them, nothing is had twice, and what is refused changes nothing', () => {
    const done = new Map<ShopCommandName, number>();
    fc.assert(
      fc.property(fc.array(draw, { minLength: 10, maxLength: 50 }), (draws) => {
        const shop = new ShopInMemory();
        shop.run(
          { do: 'add-supplier', id: 's', supplier: sampleSupplier },
          { do: 'add-offer', id: 'rings', offer: { ...sampleOffer(RING), prices: [{ fromPacks: 1, packMinor: 500 }] } },
          { do: 'add-offer', id: 'hose', offer: { ...sampleOffer(HOSE), prices: [{ fromPacks: 1, packMinor: 500 }] } },
        );
        for (const one of draws) {
          const command = next(shop, one);
          const before = JSON.stringify([shop.all('stock'), shop.all('length'), shop.all('cut'), shop.all('order')]);
          try {
            const outcome = shop.run(command);
            done.set(command.do, (done.get(command.do) ?? 0) + 1);
            for (const { type, row } of outcome.changed) {
              const was = outcome.before.find((b) => b.type === type && b.row.id === row.id)!;
              expect(row.version).toBe(was.row.version + 1);
            }
          } catch (error) {
            expect(error).toBeInstanceOf(CommandError);
            expect(JSON.stringify([shop.all('stock'), shop.all('length'), shop.all('cut'), shop.all('order')])).toBe(before);
          }
          holds(shop);
        }
      }),
      { numRuns: 40 },
    );
    // each of them was carried out, not refused each time
    expect([...done.keys()].sort()).toEqual([
      ...['add-length', 'claim-order', 'cut-piece', 'edit-order', 'give-up-line', 'move-stock', 'receive-order', 'reserve-lengths'],
      ...['scrap-length', 'send-order', 'spoil-cut', 'take-back-cut', 'write-order'],
    ]);
  });

  it('no millimetre of hose is lost or won between the length that was put, its cuts and what is left', () => {
    fc.assert(
      fc.property(fc.array(draw, { minLength: 5, maxLength: 40 }), (draws) => {
        const shop = new ShopInMemory();
        const put = new Map<string, number>();
        const unsawn = new Set<string>();
        for (const one of draws) {
          const command = next(shop, { ...one, what: [0, 2, 2, 4, 5][one.what % 5]! });
          try {
            for (const { type, row } of shop.run(command).made) if (type === 'length') put.set(row.id, row.mm);
            if (command.do === 'take-back-cut' && command['sawn'] === false) unsawn.add(command['id'] as string);
          } catch (error) {
            expect(error).toBeInstanceOf(CommandError);
          }
        }
        for (const { id, mm } of shop.all('length')) {
          const took = shop.all('cut').filter((c) => c.lengthId === id && !unsawn.has(c.id));
          expect(mm + took.reduce((sum, c) => sum + c.tookMm!, 0)).toBeCloseTo(put.get(id)!, 6);
        }
      }),
      { numRuns: 50 },
    );
  });
});

function holds(shop: ShopInMemory): void {
  for (const type of ['stock', 'length', 'cut', 'order'] as const)
    expect(shop.all(type).filter((row) => !schemas[type].Check(row))).toEqual([]);
  const shelf = shop.part(RING).part.shelf ?? 0;
  expect(shelf).toBeGreaterThanOrEqual(0);
  expect((shop.shelf(RING)?.reserved ?? []).reduce((sum, r) => sum + r.quantity, 0)).toBeLessThanOrEqual(shelf);
  for (const { mm, reserved = [], state } of shop.all('length')) {
    const kept = reserved.reduce((sum, r) => sum + r.mm, 0);
    if (state === 'there') expect(kept).toBeLessThanOrEqual(mm + 0.5);
    else expect(kept).toBe(0);
  }
  const cuts = shop.all('cut').filter((c) => c.state === 'cut');
  for (const [i, cut] of cuts.entries()) expect(cuts.slice(i + 1).some((other) => sameCut(cut, other))).toBe(false);
  for (const { lines, state } of shop.all('order')) {
    const open = lines.map((l) => l.packs - l.receivedPacks - (l.shortPacks ?? 0));
    expect(Math.min(...open)).toBeGreaterThanOrEqual(0);
    expect(state === 'complete').toBe(state !== 'open' && state !== 'cancelled' && open.every((n) => n === 0));
    for (const { holds: of, packs, claims = [] } of lines)
      for (const { part, quantity } of of)
        expect(claims.reduce((sum, c) => sum + (c.part === part ? c.quantity : 0), 0)).toBeLessThanOrEqual(quantity * packs);
  }
}

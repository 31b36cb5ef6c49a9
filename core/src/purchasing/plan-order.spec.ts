import fc from 'fast-check';
import type { MipSolver } from '../cutting/index.js';
import { firstOrder } from './first-order.js';
import {
  netNeed,
  OrderFigureError,
  planOrder,
  singleSuppliers,
  AmountError,
  type Offer,
  type OrderProblem,
  type Supplier,
} from './index.js';

const north: Supplier = { id: 'north', carriageMinor: 900, freeFromMinor: 10_000 };
const south: Supplier = { id: 'south', carriageMinor: 500 };
const offer = (id: string, supplier: string, part: string, packMinor: number, more: Partial<Offer> = {}): Offer => ({
  id,
  supplier,
  holds: [{ part, quantity: 1 }],
  prices: [{ fromPacks: 1, packMinor }],
  leadDays: 3,
  ...more,
});
const plan = (change: Partial<OrderProblem>) =>
  planOrder({ needs: [{ part: 'a', quantity: 4 }], offers: [], suppliers: [north, south], goal: 'cost', ...change });

/** One that finds nothing in its time. */
const noSolver: MipSolver = { solve: async () => ({ status: 'none', objective: 0, value: () => 0, price: () => 0 }) };

/** The least cost, by trying every number of packs of every offer. */
function bruteForce({ needs, offers, suppliers }: OrderProblem): number {
  let best = Infinity;
  const most = offers.map((o) => {
    const { leastOrderMinor = 0, freeFromMinor = 0 } = suppliers.find((s) => s.id === o.supplier)!;
    const { fromPacks, packMinor } = o.prices.at(-1)!;
    return Math.max(
      1,
      fromPacks,
      Math.ceil(Math.max(leastOrderMinor, freeFromMinor) / packMinor),
      ...o.holds.map((h) => Math.ceil((needs.find((n) => n.part === h.part)?.quantity ?? 0) / h.quantity)),
    );
  });
  const packs = offers.map(() => 0);
  const visit = (at: number): void => {
    if (at < offers.length) {
      for (let n = 0; n <= most[at]!; n++) {
        packs[at] = n;
        visit(at + 1);
      }
      packs[at] = 0;
      return;
    }
    for (const { part, quantity } of needs) {
      const has = offers.reduce(
        (sum, o, i) => sum + packs[i]! * o.holds.filter((h) => h.part === part).reduce((s, h) => s + h.quantity, 0),
        0,
      );
      if (has < quantity) return;
    }
    let cost = 0;
    for (const s of suppliers) {
      const goods = offers.reduce(
        (sum, o, i) => (o.supplier === s.id ? sum + packs[i]! * (o.prices.findLast((p) => packs[i]! >= p.fromPacks)?.packMinor ?? 0) : sum),
        0,
      );
      const any = offers.some((o, i) => o.supplier === s.id && packs[i]! > 0);
      if (!any) continue;
      if (s.leastOrderMinor !== undefined && goods < s.leastOrderMinor) return;
      cost += goods + (s.freeFromMinor !== undefined && goods >= s.freeFromMinor ? 0 : s.carriageMinor);
    }
    best = Math.min(best, cost);
  };
  visit(0);
  return best;
}

describe('an order plan', () => {
  it('weighs price, carriage, packs and prices that fall', async () => {
    const dear = offer('n1', 'north', 'a', 1000);
    const cheap = offer('s1', 'south', 'a', 900, {
      prices: [
        { fromPacks: 1, packMinor: 1200 },
        { fromPacks: 4, packMinor: 900 },
      ],
    });
    expect(await plan({ offers: [dear, cheap] })).toMatchObject({
      orders: [{ supplier: 'south', lines: [{ offer: 's1', packs: 4, packMinor: 900 }], carriageMinor: 500 }],
      totalMinor: 4100,
      proven: true,
    });
    const box = offer('n2', 'north', 'a', 3000, { holds: [{ part: 'a', quantity: 10 }] });
    expect(await plan({ offers: [dear, box] })).toMatchObject({ totalMinor: 3900, left: [{ part: 'a', quantity: 6 }] });
    expect((await plan({ offers: [offer('n1', 'north', 'a', 2600)] })).orders[0]!.carriageMinor).toBe(0);
  });

  it('buys one more where that is cheaper than its carriage', async () => {
    // 4 × 24.00 and 9.00 carriage, or 5 × 24.00 and none
    expect(await plan({ offers: [offer('n', 'north', 'a', 2400)] })).toMatchObject({ totalMinor: 4 * 2400 + 900, left: [] });
    expect(
      await plan({
        offers: [offer('n', 'north', 'a', 2400), offer('ring', 'north', 'b', 500)],
        needs: [
          { part: 'a', quantity: 4 },
          { part: 'b', quantity: 0 },
        ],
      }),
    ).toMatchObject({ totalMinor: 4 * 2400 + 500, left: [{ part: 'b', quantity: 1 }] });
  });

  it('takes a kit where it pays', async () => {
    const needs = [
      { part: 'a', quantity: 1 },
      { part: 'b', quantity: 2 },
    ];
    const kit = offer('kit', 'north', '', 2500, {
      holds: [
        { part: 'a', quantity: 1 },
        { part: 'b', quantity: 2 },
        { part: 'c', quantity: 1 },
      ],
    });
    const single = [offer('a', 'north', 'a', 1500), offer('b', 'north', 'b', 700)];
    const found = await plan({ needs, offers: [...single, kit] });
    expect(found.orders[0]!.lines.map((l) => l.offer)).toEqual(['kit']);
    expect(found.left).toEqual([{ part: 'c', quantity: 1 }]);
    expect(
      (await plan({ needs, offers: [...single, { ...kit, prices: [{ fromPacks: 1, packMinor: 3000 }] }] })).orders[0]!.lines,
    ).toHaveLength(2);
  });

  it('keeps a date, or is as soon as can be, or goes to few', async () => {
    const offers = [offer('slow', 'south', 'a', 100, { leadDays: 20 }), offer('fast', 'north', 'a', 400, { leadDays: 2 })];
    expect((await plan({ offers })).days).toBe(20);
    expect((await plan({ offers, withinDays: 7 })).days).toBe(2);
    expect((await plan({ offers, goal: 'soonest' })).days).toBe(2);
    expect(await plan({ offers: [offers[0]!], withinDays: 7 })).toMatchObject({ late: ['a'], days: 20 });
    const needs = [
      { part: 'a', quantity: 1 },
      { part: 'b', quantity: 1 },
    ];
    const spread = [offer('1', 'north', 'a', 100), offer('2', 'south', 'b', 100), offer('3', 'north', 'b', 5000)];
    expect((await plan({ needs, offers: spread })).orders).toHaveLength(2);
    expect((await plan({ needs, offers: spread, goal: 'fewest' })).orders).toHaveLength(1);
    expect((await singleSuppliers({ needs, offers: spread, suppliers: [north, south], goal: 'cost' })).map((s) => s.supplier)).toEqual([
      'north',
    ]);
  });

  it('keeps least orders, and says what nobody offers', async () => {
    const small = { ...south, leastOrderMinor: 3000 };
    const offers = [offer('s', 'south', 'a', 500), offer('n', 'north', 'a', 600)];
    expect((await plan({ offers, suppliers: [north, small] })).orders.map((o) => o.supplier)).toEqual(['north']);
    // where only one has it, it is ordered until the least is reached, and what is over is told
    expect(await plan({ offers: [offers[0]!], suppliers: [small] })).toMatchObject({
      orders: [{ lines: [{ packs: 6 }], goodsMinor: 3000 }],
      left: [{ part: 'a', quantity: 2 }],
      proven: true,
    });
    // what is given away reaches no least order: it is planned all the same, and not called the best
    expect(await plan({ offers: [offer('gift', 'south', 'a', 0)], suppliers: [small] })).toMatchObject({
      orders: [{ supplier: 'south', lines: [{ packs: 4 }] }],
      notOffered: [],
      proven: false,
    });
    expect(await plan({ offers: [] })).toMatchObject({ orders: [], notOffered: ['a'] });
    expect(await plan({ needs: [] })).toMatchObject({ orders: [], totalMinor: 0, proven: true });
  });

  it('costs the least there is: against trying everything', () =>
    fc.assert(
      fc.asyncProperty(
        fc.record({
          needs: fc.constantFrom(
            [{ part: 'a', quantity: 3 }],
            [
              { part: 'a', quantity: 2 },
              { part: 'b', quantity: 3 },
            ],
          ),
          offers: fc.uniqueArray(
            fc.record({
              id: fc.constantFrom('1', '2', '3', '4'),
              supplier: fc.constantFrom('north', 'south'),
              holds: fc.constantFrom<Offer['holds'][]>(
                [{ part: 'a', quantity: 1 }],
                [{ part: 'b', quantity: 1 }],
                [{ part: 'b', quantity: 2 }],
                [
                  { part: 'a', quantity: 1 },
                  { part: 'b', quantity: 1 },
                ],
              ),
              prices: fc.constantFrom(
                [{ fromPacks: 1, packMinor: 700 }],
                [{ fromPacks: 1, packMinor: 400 }],
                [
                  { fromPacks: 1, packMinor: 600 },
                  { fromPacks: 3, packMinor: 300 },
                ],
              ),
              leadDays: fc.constant(3),
            }),
            { minLength: 1, maxLength: 4, selector: (o) => o.id },
          ),
          free: fc.constantFrom(undefined, 900, 2000),
          least: fc.constantFrom(undefined, 800),
        }),
        async ({ needs, offers, free, least }) => {
          const suppliers: Supplier[] = [
            { id: 'north', carriageMinor: 350, ...(free === undefined ? {} : { freeFromMinor: free }) },
            { id: 'south', carriageMinor: 250, ...(least === undefined ? {} : { leastOrderMinor: least }) },
          ];
          const problem: OrderProblem = { needs, offers, suppliers, goal: 'cost' };
          const offered = needs.filter((n) => offers.some((o) => o.holds.some((h) => h.part === n.part)));
          const best = bruteForce({ ...problem, needs: offered });
          const found = await planOrder(problem);
          if (offered.length === 0) expect(found.orders).toEqual([]);
          else expect([found.totalMinor, found.proven]).toEqual([best, true]);
          // the first order is never better than the best, and covers the need
          const plain = firstOrder({ ...problem, needs: offered }, 0);
          for (const { part, quantity } of plain ? offered : [])
            expect(
              plain!.reduce(
                (sum, b) => sum + b.packs * b.offer.holds.filter((h) => h.part === part).reduce((n, h) => n + h.quantity, 0),
                0,
              ),
            ).toBeGreaterThanOrEqual(quantity);
          if (plain) expect(found.totalMinor).toBeLessThanOrEqual((await planOrder({ ...problem, needs: offered }, noSolver)).totalMinor);
        },
      ),
      { numRuns: 60 },
    ));

  describe('that nothing was proven of in time', () => {
    const late = (change: Partial<OrderProblem>) =>
      planOrder({ needs: [{ part: 'a', quantity: 4 }], offers: [], suppliers: [north, south], goal: 'cost', ...change }, noSolver);
    const needs = [
      { part: 'a', quantity: 4 },
      { part: 'b', quantity: 1 },
    ];
    const offers = [offer('na', 'north', 'a', 1000), offer('sa', 'south', 'a', 950), offer('nb', 'north', 'b', 700)];

    it('is a sound one all the same, with suppliers left out where their carriage is not worth it', async () => {
      expect(await late({ needs, offers })).toMatchObject({
        orders: [{ supplier: 'north', goodsMinor: 4700, carriageMinor: 900 }],
        totalMinor: 5600,
        proven: false,
        notOffered: [],
      });
      const cheaper = offers.map((o) => (o.id === 'sa' ? { ...o, prices: [{ fromPacks: 1, packMinor: 500 }] } : o));
      expect((await late({ needs, offers: cheaper })).orders).toHaveLength(2);
      expect((await late({ needs, offers: cheaper, goal: 'fewest' })).orders).toHaveLength(1);
    });

    it('takes the price that falls with the number, and reaches no least order by leaving it out', async () => {
      const falling = offer('n', 'north', 'a', 0, {
        prices: [
          { fromPacks: 1, packMinor: 1000 },
          { fromPacks: 5, packMinor: 700 },
        ],
      });
      expect(await late({ offers: [falling] })).toMatchObject({
        orders: [{ lines: [{ packs: 5, packMinor: 700 }] }],
        left: [{ part: 'a', quantity: 1 }],
      });
      const small = { ...south, leastOrderMinor: 9000 };
      expect((await late({ offers: offers.slice(0, 2), suppliers: [north, small] })).orders.map((o) => o.supplier)).toEqual(['north']);
      expect((await late({ offers: [] })).notOffered).toEqual(['a']);
    });
  });

  it.each<[string, Partial<OrderProblem>, string]>([
    ['an unknown supplier', { offers: [offer('x', 'east', 'a', 1)] }, 'offers/0/supplier'],
    ['an empty pack', { offers: [offer('x', 'north', 'a', 1, { holds: [] })] }, 'offers/0/holds'],
    ['no price for one', { offers: [offer('x', 'north', 'a', 1, { prices: [{ fromPacks: 2, packMinor: 1 }] })] }, 'offers/0/prices'],
    ['a negative price', { offers: [offer('x', 'north', 'a', -1)] }, 'offers/0/prices'],
    ['a negative need', { needs: [{ part: 'a', quantity: -1 }] }, 'needs/0/quantity'],
    ['money back for carriage', { suppliers: [{ id: 'north', carriageMinor: -1 }] }, 'suppliers/0/carriageMinor'],
  ])('is refused for %s, with the place', async (_, change, field) => {
    const refused = await plan(change).catch((error: unknown) => error);
    expect(refused).toBeInstanceOf(OrderFigureError);
    expect((refused as OrderFigureError).field).toBe(field);
  });
});

describe('what is to be bought', () => {
  it('is need and spares less shelf and what is coming, never less than nothing, and always covered', () =>
    fc.assert(
      fc.property(
        ...((['needs', 'shelf', 'onOrder'] as const).map(() =>
          fc.array(fc.record({ part: fc.constantFrom('a', 'b', 'c'), quantity: fc.integer({ min: 0, max: 20 }) }), { maxLength: 6 }),
        ) as [
          fc.Arbitrary<{ part: string; quantity: number }[]>,
          fc.Arbitrary<{ part: string; quantity: number }[]>,
          fc.Arbitrary<{ part: string; quantity: number }[]>,
        ]),
        fc.integer({ min: 0, max: 50 }),
        (needs, shelf, onOrder, percent) => {
          const net = netNeed(needs, { shelf, onOrder, spares: [{ part: 'a', percent, least: 1 }] });
          const sum = (list: { part: string; quantity: number }[], part: string): number =>
            list.filter((x) => x.part === part).reduce((all, x) => all + x.quantity, 0);
          for (const n of net) {
            expect(n.toBuy).toBeGreaterThanOrEqual(0);
            expect(n.fromShelf).toBeLessThanOrEqual(sum(shelf, n.part));
            expect(n.onOrder).toBeLessThanOrEqual(sum(onOrder, n.part));
            expect(n.fromShelf + n.onOrder + n.toBuy).toBe(n.needed + n.spare);
            expect(n.needed).toBe(sum(needs, n.part));
            if (n.toBuy > 0) expect(n.fromShelf + n.onOrder).toBe(sum(shelf, n.part) + sum(onOrder, n.part));
          }
        },
      ),
    ));

  it('is refused for a count that is none', () => expect(() => netNeed([{ part: 'a', quantity: -2 }])).toThrow(AmountError));
});

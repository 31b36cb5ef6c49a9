import fc from 'fast-check';
import { CommandError } from '../commands/index.js';
import {
  acknowledged,
  byNumber,
  ageInYears,
  cutOff,
  freeFor,
  gaveUp,
  incomingChecks,
  isFree,
  lateLines,
  lineTotal,
  leftAs,
  moved,
  moveKinds,
  offerProblem,
  openPacks,
  orderTotal,
  received,
  reservedFor,
  supplierProblem,
  toLookOver,
  usualStoreRules,
  withStockRows,
  emptyStockroom,
  type HoseLength,
  type PurchaseOrder,
  type Shelf,
} from './index.js';

const shelf = (onHand: number, ...reserved: [string, number][]): Shelf => ({
  onHand,
  reserved: reserved.map(([jobId, quantity]) => ({ jobId, quantity })),
});

describe('a shelf', () => {
  it('whatever is moved, never goes below nothing, never below what is kept back, and what is refused changes nothing', () => {
    const step = fc.record({
      kind: fc.constantFrom(...moveKinds),
      quantity: fc.integer({ min: 0, max: 9 }),
      jobId: fc.option(fc.constantFrom('a', 'b'), { nil: undefined }),
    });
    fc.assert(
      fc.property(fc.array(step, { maxLength: 30 }), (steps) => {
        let now: Shelf = shelf(0);
        let sum = 0;
        for (const { kind, quantity, jobId } of steps) {
          const before = JSON.stringify(now);
          try {
            const next = moved(now, { kind, quantity, ...(jobId === undefined ? {} : { jobId }) });
            sum += next.onHand - now.onHand;
            now = next;
          } catch (error) {
            expect(error).toBeInstanceOf(CommandError);
            expect(JSON.stringify(now)).toBe(before);
          }
          expect(now.onHand).toBeGreaterThanOrEqual(0);
          expect(reservedFor(now)).toBeLessThanOrEqual(now.onHand);
          expect(now.reserved.every((r) => r.quantity > 0)).toBe(true);
          expect(freeFor(now, 'a') + reservedFor(now, 'a')).toBeLessThanOrEqual(now.onHand);
        }
        // the shelf is the sum of its movements
        expect(now.onHand).toBe(sum);
      }),
    );
  });

  it('is taken for a job out of what is kept for it first, and remembers what the job has', () => {
    const taken = moved(shelf(6, ['a', 2], ['b', 1]), { kind: 'issue', quantity: 3, jobId: 'a' });
    expect(taken).toEqual({ onHand: 3, reserved: [{ jobId: 'b', quantity: 1 }], issued: [{ jobId: 'a', quantity: 3 }] });
    expect(moved(taken, { kind: 'return', quantity: 1, jobId: 'a' })).toMatchObject({ onHand: 4, issued: [{ jobId: 'a', quantity: 2 }] });
  });

  it('that is counted short keeps back for who came first', () => {
    expect(moved(shelf(6, ['a', 2], ['b', 3]), { kind: 'count', quantity: 3 }).reserved).toEqual([
      { jobId: 'a', quantity: 2 },
      { jobId: 'b', quantity: 1 },
    ]);
  });
});

const length = (change: Partial<HoseLength> = {}): HoseLength => ({
  id: 'H-1',
  part: 'hose',
  kind: 'reel',
  mm: 5000,
  since: '2020-06-01',
  state: 'there',
  version: 1,
  ...change,
});

describe('a length on the rack', () => {
  it.each([
    ['kerf and trim come off with the piece', { measuredMm: 1000, trimmedMm: 10 }, { mm: 3988, kind: 'reel', state: 'there' }],
    ['what was measured goes before what is reckoned', { measuredMm: 1000, trimmedMm: 0, leftMm: 3950 }, { mm: 3950 }],
    ['the whole of it can be the piece', { measuredMm: 4990, trimmedMm: 10 }, { mm: 0, state: 'used' }],
    ['what is too short is thrown away', { measuredMm: 4800, trimmedMm: 0 }, { mm: 198, state: 'used' }],
  ])('%s', (_, sawn, left) => expect(cutOff(length(), sawn, usualStoreRules)).toMatchObject(left));

  it.each([
    ['a piece that is longer', { measuredMm: 4995, trimmedMm: 10 }, 'not-enough'],
    ['more left than there was', { measuredMm: 1000, trimmedMm: 0, leftMm: 4200 }, 'bad-value'],
  ])('gives no %s', (_, sawn, code) => expect(() => cutOff(length(), sawn, usualStoreRules)).toThrow(expect.objectContaining({ code })));

  it('that was bought at its length is an offcut once something is off it', () =>
    expect(leftAs(length({ kind: 'length' }), 700, usualStoreRules).kind).toBe('offcut'));

  it('is as old as its print says, else as long as it hangs there', () => {
    expect(ageInYears(length({ madeOn: '2014-05-01' }), '2026-04-30')).toBe(11);
    expect(ageInYears(length({ madeOn: '2014-05-01' }), '2026-05-01')).toBe(12);
    expect(ageInYears(length(), '2026-11-26')).toBe(6);
  });

  it('is looked over before it is used where it is old or off a car; metal does not age', () => {
    const at = { oldYears: 10, today: '2026-11-26', ages: true };
    const old = length({ madeOn: '2014-05-01' });
    expect(toLookOver(old, at)).toMatch(/12 years old/);
    expect(toLookOver(old, { ...at, ages: false })).toBeUndefined();
    expect(toLookOver(length({ salvaged: true }), { ...at, ages: false })).toMatch(/off a car/);
    const seen = { ...old, inspected: { by: 'MO', on: '2026-11-01' } };
    expect([isFree(old, 'job', at), isFree(seen, 'job', at), isFree(length({ jobId: 'other' }), 'job', at)]).toEqual([false, true, false]);
  });
});

const order: PurchaseOrder = {
  id: 'o',
  number: 'PO-0007',
  supplierId: 's',
  jobIds: [],
  state: 'sent',
  carriageMinor: 500,
  neededBy: '2026-12-01',
  writtenOn: '2026-11-20',
  deliveries: [],
  version: 1,
  lines: ['a', 'b'].map((key) => ({ key, name: key, holds: [{ part: key, quantity: 10 }], packs: 4, packMinor: 100, receivedPacks: 0 })),
};
const answer = (packs: number, more: object = {}) => ({
  order: 'PO-0007',
  reference: 'X',
  lines: [{ key: 'a', packs, packMinor: 120, due: '2026-12-04', ...more }],
});

describe('an order', () => {
  it('is confirmed with what is short, dearer and late', () => {
    const told = acknowledged(order, answer(3));
    expect(told).toMatchObject({ state: 'confirmed', reference: 'X', lines: [{ confirmedPacks: 3, confirmedMinor: 120 }, {}] });
    expect(orderTotal(told)).toBe(4 * 120 + 4 * 100 + 500);
    expect(lateLines(told, '2026-11-26').map((l) => l.key)).toEqual(['a']);
    expect(lateLines(told, '2026-12-05').map((l) => l.key)).toEqual(['a']);
    expect(openPacks(told.lines[0]!)).toBe(4);
  });

  it.each([
    ['about another order', { ...answer(3), order: 'PO-0008' }, 'wrong-order'],
    ['of a line that it has not', answer(3, { key: 'z' }), 'bad-value'],
    ['of more than was ordered', answer(5), 'bad-value'],
    ['that says a line twice', { ...answer(3), lines: [...answer(3).lines, ...answer(2).lines] }, 'bad-value'],
  ])('takes no answer %s', (_, said, code) => expect(() => acknowledged(order, said)).toThrow(expect.objectContaining({ code })));

  it('comes in parts; what fails its checks and what is missing stays open, until it is complete or given up', () => {
    const came = (key: string, packs: number) => ({ on: '2026-11-25', lines: [{ key, packs, checks: [] }] });
    const first = received(order, came('a', 3));
    expect([first.state, first.lines.map(openPacks)]).toEqual(['part', [1, 4]]);
    const failed = received(first, came('b', 4), new Set(['b']));
    expect(failed.lines.map(openPacks)).toEqual([1, 4]);
    const second = received(failed, came('b', 4));
    expect(gaveUp(second, 'a')).toMatchObject({ state: 'complete', lines: [{ shortPacks: 1 }, {}] });
    // what will not come is not paid for, line by line and in all
    const done = gaveUp(second, 'a');
    expect([done.lines.map(lineTotal), orderTotal(done)]).toEqual([[300, 400], 300 + 400 + 500]);
    expect(orderTotal({ ...done, state: 'cancelled' })).toBe(0);
    expect(() => received(second, came('a', 2))).toThrow(/2 came, 1 is open/);
    expect(() => received({ ...order, state: 'open' }, came('a', 1))).toThrow(/not sent/);
    expect(() => gaveUp({ ...second, lines: second.lines.map((l) => (l.key === 'a' ? { ...l, shortPacks: 1 } : l)) }, 'a')).toThrow(
      /Nothing of this line is open/,
    );
  });

  it('is called by a number that goes on counting', () =>
    expect(['PO-10000', 'PO-0010', 'PO-9999', 'PO-0009', ''].sort(byNumber)).toEqual(['', 'PO-0009', 'PO-0010', 'PO-9999', 'PO-10000']));

  it.each(['open', 'complete', 'cancelled'] as const)('that is %s has nothing on its way that could be given up, and stays so', (state) => {
    expect(() => gaveUp({ ...order, state }, 'a')).toThrow(/nothing of it is on its way/);
  });
});

describe('what is offered', () => {
  const offer = { supplierId: 's', holds: [{ part: 'a', quantity: 1 }], prices: [{ fromPacks: 1, packMinor: 5 }] };
  it.each([
    [{ prices: [{ fromPacks: 2, packMinor: 5 }] }, 'prices'],
    [{ prices: [...offer.prices, { fromPacks: 1, packMinor: 4 }] }, 'prices'],
    [{ holds: [...offer.holds, ...offer.holds], name: 'Kit' }, 'holds'],
    [{ holds: [...offer.holds, { part: 'b', quantity: 1 }] }, 'name'],
  ])('is refused: %j', (change, field) => expect(offerProblem({ ...offer, ...change })?.field).toBe(field));
  it('a euro is one euro, and what is kept of a return needs its days', () => {
    const s = { name: 's', currency: 'EUR' as const, euros: 1, carriageMinor: 0, leadDays: 1 };
    expect([
      supplierProblem(s),
      supplierProblem({ ...s, euros: 2 })?.field,
      supplierProblem({ ...s, returnKeepsPercent: 10 })?.field,
    ]).toEqual([undefined, 'euros', 'returnDays']);
  });
});

it('what comes in is looked at by its kind, a kit for being complete first', () => {
  const ids = (entry: Parameters<typeof incomingChecks>[0], kit = false): string[] => incomingChecks(entry, kit).map((c) => c.id);
  const supply = (kind: string) => ({ kind: 'supply', part: { id: kind, name: kind, kind, figures: {} } }) as never;
  expect(ids(supply('o-ring'))).toEqual(['compound', 'size']);
  expect(ids(supply('gasket'))).toEqual(['holes']);
  expect(ids(undefined, true)).toEqual(['complete']);
});

it('rows of the stockroom are put, changed and removed by their ids; others are left alone', () => {
  const one = { type: 'length', row: length() };
  const room = withStockRows(emptyStockroom, [one, { type: 'part', row: { id: 'p' } }]);
  expect(room.lengths).toEqual([one.row]);
  expect(withStockRows(room, [{ type: 'length', row: length({ mm: 4 }) }]).lengths).toMatchObject([{ mm: 4 }]);
  expect(withStockRows(room, [], [{ type: 'length', id: 'H-1' }]).lengths).toEqual([]);
  expect(
    withStockRows(room, [
      { type: 'storeRules', row: { id: 'store-rules', rules: { ...usualStoreRules, kerfMm: 9 }, version: 3 } as never },
    ]),
  ).toMatchObject({ rules: { kerfMm: 9 }, rulesVersion: 3 });
});

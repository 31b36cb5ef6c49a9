import { isHadAfterAll, orderWords, type Acknowledgement, type PurchaseOrder, type StockCommand } from '@gewinde/core';
import { randomUUID } from 'node:crypto';
import { said, startStockroom, WASHER, type TestStockroom } from '../../test/test-stockroom.js';
import { SimulatedSupplier } from '../stand-ins/supplier/simulated-supplier.js';
import type { Sending, SupplierDesk } from '../stand-ins/supplier/supplier-desk.js';
import { due } from './order-sendings.js';
import { keepAsking, sendToSupplier } from './send-order.js';

let t: TestStockroom;
const SUPPLIER = '22222222-2222-4222-8222-222222222222';
const good = new SimulatedSupplier();
const sleep = (ms: number) => new Promise<void>((resolve) => setTimeout(resolve, ms));

/** A supplier that does with an order what a test wants, call by call; after that it answers as one that is well. */
class Trying implements SupplierDesk {
  readonly asked: Sending[] = [];
  constructor(private readonly does: ((order: PurchaseOrder) => Promise<Acknowledgement>)[]) {}
  order(...[order, supplier, sending]: Parameters<SupplierDesk['order']>): Promise<Acknowledgement> {
    this.asked.push(sending);
    return this.does[this.asked.length - 1]?.(order) ?? good.order(order, supplier);
  }
  shipments = (...given: Parameters<SupplierDesk['shipments']>) => good.shipments(...given);
}
const fails = () => Promise.reject(new Error('no route to host'));
const hangs = () => new Promise<never>(() => undefined);

/** A new order, written and not sent. */
async function written(): Promise<PurchaseOrder> {
  const lines = [{ key: 'k1', name: 'Washer', holds: [{ part: WASHER, quantity: 10 }], packs: 2, packMinor: 500, offerId }];
  await t.run({ do: 'write-order', supplierId: SUPPLIER, jobIds: [t.jobId], lines } as StockCommand);
  return (await t.room()).orders.at(-1)! as PurchaseOrder;
}
const now = async (id: string) => (await t.room()).orders.find((o) => o.id === id) as PurchaseOrder;
const send = (desk: SupplierDesk, { id, version }: PurchaseOrder, key: string = randomUUID(), answerMs = 1000) =>
  sendToSupplier(t.db, desk, { id, version }, { client: 'test', key }, answerMs);
const waits = () => t.db('order_sendings').pluck<string[]>('order_id');

let offerId: string;
beforeAll(async () => {
  t = await startStockroom('7001');
  offerId = randomUUID();
  await t.run([
    { do: 'add-supplier', id: SUPPLIER, supplier: { name: 'Test supplier', currency: 'EUR', euros: 1, carriageMinor: 0, leadDays: 3 } },
    {
      do: 'add-offer',
      id: offerId,
      offer: { supplierId: SUPPLIER, holds: [{ part: WASHER, quantity: 10 }], prices: [{ fromPacks: 1, packMinor: 500 }] },
    },
  ]);
});
afterAll(() => t.close());

describe('an order that is sent', () => {
  it('reaches its supplier once, however many ask for it at the same moment', async () => {
    const desk = new Trying([
      async (order) => {
        await sleep(150);
        return good.order(order, (await t.room()).suppliers[0]!);
      },
    ]);
    const order = await written();
    const answers = await Promise.allSettled(Array.from({ length: 10 }, () => send(desk, order)));
    expect(desk.asked).toHaveLength(1);
    // one is told the answer; the others that it goes out, or that it is sent by now
    expect(answers.filter((a) => a.status === 'fulfilled').length).toBeGreaterThan(0);
    expect(await now(order.id)).toMatchObject({ state: 'confirmed', reference: expect.any(String) });
    expect(await waits()).not.toContain(order.id);
  });

  it.each([
    ['fails', fails, 1000, /^it failed: no route to host$/],
    ['does not answer', hangs, 60, /^no answer came within 0.1 s$/],
  ])('to one that %s stays sent, not confirmed, with why; asked again it goes under the same key', async (_, does, ms, why) => {
    const desk = new Trying([does]);
    const order = await written();
    const told = await send(desk, order, randomUUID(), ms);
    const first = await now(order.id);
    expect(first).toMatchObject({ state: 'sent', unanswered: { tries: 1, why: expect.stringMatching(why), next: expect.any(String) } });
    // whoever sent it sees it with what came of it
    expect(told.put).toMatchObject([{ type: 'order', row: { unanswered: { tries: 1 } } }]);
    await send(desk, first);
    const second = await now(order.id);
    expect(second).toMatchObject({ state: 'confirmed' });
    expect(second.unanswered).toBeUndefined();
    expect(desk.asked[1]!.key).toBe(desk.asked[0]!.key);
    expect(desk.asked[0]!.signal.aborted).toBe(does === hangs);
  });

  it.each<[string, (order: PurchaseOrder) => unknown, RegExp]>([
    ['about another order', () => ({ order: 'PO-9999', reference: 'X', lines: [] }), /answers order PO-9999/],
    ['that is no answer', () => ({ hello: 'world' }), /cannot be read/],
    [
      'with more than was ordered',
      (o) => ({ order: o.number, reference: 'X', lines: [{ key: 'k1', packs: 9, packMinor: 1 }] }),
      /9 confirmed, 2 ordered/,
    ],
  ])('takes no answer %s: it is told, and not asked for again by itself', async (_, answers, why) => {
    const desk = new Trying([(order) => Promise.resolve(answers(order) as Acknowledgement)]);
    const order = await written();
    await send(desk, order);
    const { state, unanswered } = await now(order.id);
    expect([state, unanswered!.next]).toEqual(['sent', undefined]);
    expect(unanswered!.why).toMatch(why);
    expect(await due(t.db, 100, new Date(Date.now() + 86_400_000))).not.toContain(order.id);
  });

  it('takes no answer that comes too late, beside the one that came', async () => {
    let late: (answer: Acknowledgement) => void = () => undefined;
    const desk = new Trying([() => new Promise((resolve) => (late = resolve))]);
    const order = await written();
    await send(desk, order, randomUUID(), 40);
    await send(desk, await now(order.id));
    const confirmed = await now(order.id);
    late({ order: order.number, reference: 'LATE', lines: [] });
    await sleep(60);
    expect(await now(order.id)).toEqual(confirmed);
  });

  it('goes out after its server died before it asked, when its time has come, and once over two servers', async () => {
    const order = await written();
    const first = new Trying([fails]);
    await send(first, order);
    await t
      .db('order_sendings')
      .where({ order_id: order.id })
      .update({ next_at: new Date(0), claimed_until: null });
    const desk = new Trying([]);
    const ends = [keepAsking(t.db, desk, 20), keepAsking(t.db, desk, 20)];
    for (let i = 0; i < 100 && (await now(order.id)).state !== 'confirmed'; i++) await sleep(20);
    ends.forEach((end) => end());
    await sleep(50);
    expect(await now(order.id)).toMatchObject({ state: 'confirmed' });
    expect(desk.asked.map((a) => a.key)).toEqual([first.asked[0]!.key]);
  });

  it('and is not confirmed is called off, or confirmed by hand; what is confirmed is neither', async () => {
    const [off, byHand] = [await written(), await written()];
    for (const order of [off, byHand]) await send(new Trying([fails]), order);
    const { version } = await now(off.id);
    expect((await t.run(said({ do: 'cancel-order', id: off.id, version }))).status).toBe(200);
    expect(await now(off.id)).toMatchObject({ state: 'cancelled' });
    // nothing goes out of it any more
    await send(new Trying([hangs]), await now(off.id));
    expect(await waits()).not.toContain(off.id);
    const answer = { order: byHand.number, reference: 'by phone', lines: [] };
    const at = (await now(byHand.id)).version;
    await t.run(said({ do: 'acknowledge-order', id: byHand.id, version: at, answer }));
    expect(await now(byHand.id)).toMatchObject({ state: 'confirmed', reference: 'by phone' });
    expect((await t.run(said({ do: 'cancel-order', id: byHand.id, version: at + 1 }))).body.message).toMatch(/not changed any more/);
  });

  it('and is called off while they are asked says so when they have it after all', async () => {
    const off = await written();
    await send(new Trying([fails]), off);
    const asked = await now(off.id);
    const late = async (order: PurchaseOrder) => {
      await t.run(said({ do: 'cancel-order', id: off.id, version: (await now(off.id)).version }));
      return good.order(order, (await t.room()).suppliers[0]!);
    };
    await send(new Trying([late]), asked);
    const after = await now(off.id);
    expect(after).toMatchObject({
      state: 'cancelled',
      unanswered: { why: expect.stringMatching(/^it was confirmed as .+ after it had been called off$/) },
    });
    expect([isHadAfterAll(after), orderWords(after)]).toEqual([true, 'called off, yet they have it']);
    expect(await waits()).not.toContain(off.id);
  });

  it('is said to be sent by the server alone', async () => {
    const { id, version } = await written();
    for (const command of [
      { do: 'send-order', id, version },
      { do: 'order-unanswered', id, version, unanswered: { tries: 1, at: 'now', why: 'so' } },
    ])
      expect((await t.run(said(command))).status).toBe(400);
    expect(await now(id)).toMatchObject({ state: 'open' });
  });
});

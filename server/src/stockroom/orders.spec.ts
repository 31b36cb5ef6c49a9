import { stockContracts, type PurchaseOrder, type StockCommand } from '@gewinde/core';
import { randomUUID } from 'node:crypto';
import { HOSE, RING, said, sayItIsSent, startStockroom, WASHER, type TestStockroom } from '../../test/test-stockroom.js';

let t: TestStockroom;
beforeAll(async () => {
  t = await startStockroom('7001');
});
afterAll(() => t.close());

describe('an order', () => {
  const SUPPLIER = '11111111-1111-4111-8111-111111111111';
  const line = (packMinor: number, packs = 4) => ({
    key: `k${packMinor}`,
    offerId: 'x',
    name: 'Washer',
    holds: [{ part: WASHER, quantity: 10 }],
    packs,
    packMinor,
  });
  let offerId: string;
  beforeAll(async () => {
    await t.run({
      do: 'add-supplier',
      id: SUPPLIER,
      supplier: { name: 'Test supplier', currency: 'GBP', euros: 1.2, carriageMinor: 1000, freeFromMinor: 100_000, leadDays: 3 },
    });
    offerId = randomUUID();
    await t.run({
      do: 'add-offer',
      id: offerId,
      offer: {
        supplierId: SUPPLIER,
        code: 'W14',
        holds: [{ part: WASHER, quantity: 10 }],
        prices: [
          { fromPacks: 1, packMinor: 500 },
          { fromPacks: 4, packMinor: 400 },
        ],
      },
    });
  });
  const write = async (packMinor = 480, packs = 4, more: object = {}) =>
    t.run({
      do: 'write-order',
      supplierId: SUPPLIER,
      jobIds: [t.jobId],
      lines: [{ ...line(packMinor, packs), offerId }],
      ...more,
    } as StockCommand);
  const newest = async (): Promise<PurchaseOrder> => (await t.room()).orders.at(-1)! as PurchaseOrder;

  it('is written at the price of its offer, in euros, with the break and the carriage', async () => {
    expect((await write()).status).toBe(200);
    expect(await newest()).toMatchObject({ state: 'open', carriageMinor: 1200, lines: [{ packMinor: 480, receivedPacks: 0 }] });
  });

  it('is refused where a price has changed since it was planned, and says which', async () => {
    const { status, body } = await write(450);
    expect([status, body.code]).toEqual([409, 'price-changed']);
    expect(body.message).toMatch(/Washer costs € 4.80 now, € 4.50 when it was planned/);
  });

  it('is sent, answered, received in parts with its checks; what fails stays open; all of it is kept for the job', async () => {
    await write();
    const written = await newest();
    const send = (version: number) => t.ask(stockContracts.sendOrder, { params: { id: written.id }, body: { key: randomUUID(), version } });
    expect((await send(written.version)).status).toBe(200);
    const sent = await newest();
    expect(sent).toMatchObject({ state: 'confirmed', reference: expect.stringMatching(/^TS-/) });
    // sent again, nothing more happens
    expect((await send(sent.version)).status).toBe(200);
    const { shipments } = (await t.ask(stockContracts.readShipments, { params: { id: written.id } })).body;
    expect(shipments.flatMap((s) => s.lines.map((l) => l.key))).toEqual(['k480']);
    const before = await t.shelfOf(WASHER);
    const receive = (packs: number, ok: boolean, version: number, check = 'Size measured') =>
      t.run({
        do: 'receive-order',
        id: written.id,
        version,
        delivery: { on: '2026-11-26', by: 'RA', lines: [{ key: 'k480', packs, checks: [{ check, ok }] }] },
      });
    const at = (await newest()).version;
    expect((await receive(2, true, at, 'Looks fine')).body.message).toMatch(/Washer: "Size measured" comes first/);
    await receive(2, true, at);
    expect(await t.shelfOf(WASHER)).toBe(before + 20);
    expect((await t.room()).stock.find((s) => s.part === WASHER)!.reserved).toContainEqual({ jobId: t.jobId, quantity: 20 });
    await receive(1, false, at + 1);
    expect(await t.shelfOf(WASHER)).toBe(before + 20);
    expect((await receive(3, true, at + 2)).body.message).toMatch(/3 came, 2 are open/);
    await t.run({ do: 'give-up-line', id: written.id, version: at + 2, key: 'k480' });
    expect(await newest()).toMatchObject({ state: 'complete', lines: [{ receivedPacks: 2, shortPacks: 2 }] });
  });

  it('comes on paper: PDF, CSV and XML', async () => {
    const { id, number } = await newest();
    const pdf = await t.call('GET', `/api/orders/${id}/order.pdf`);
    expect([pdf.status, pdf.headers['content-type'], pdf.text.slice(0, 5)]).toEqual([200, 'application/pdf', '%PDF-']);
    const csv = await t.call('GET', `/api/orders/${id}/order.csv`);
    expect(csv.text).toContain(`${number},Test supplier,1,`);
    const xml = await t.call('GET', `/api/orders/${id}/order.xml`);
    expect(xml.text).toContain('<cbc:UBLVersionID>2.1</cbc:UBLVersionID>');
  });

  it('is changed until it is sent: fewer packs, a line less, another day; its carriage follows', async () => {
    await write(480, 30);
    const { id, version } = await newest();
    const edit = (set: object, at = version) => t.run(said({ do: 'edit-order', id, version: at, set }));
    expect((await edit({ packs: [{ key: 'nobody', packs: 1 }] })).body.message).toMatch(/has no line "nobody"/);
    expect((await edit({ packs: [{ key: 'k480', packs: 0 }] })).body.message).toMatch(/cancel it/);
    await edit({ packs: [{ key: 'k480', packs: 300 }], neededBy: '2026-12-24', note: 'ring first' });
    expect(await newest()).toMatchObject({ carriageMinor: 0, neededBy: '2026-12-24', note: 'ring first', lines: [{ packs: 300 }] });
    await edit({ packs: [{ key: 'k480', packs: 10 }], neededBy: null }, version + 1);
    const after = await newest();
    expect(after).toMatchObject({ carriageMinor: 1200, lines: [{ packs: 10 }] });
    expect(after).not.toHaveProperty('neededBy');
    expect((await edit({ note: 'late' })).body.code).toBe('conflict');
  });

  it('that is cancelled, or sent, is not changed any more, and nothing of it can come in or be given up', async () => {
    await write();
    const { id, version } = await newest();
    await t.run({ do: 'cancel-order', id, version });
    const at = version + 1;
    const refused = [
      await t.run({ do: 'edit-order', id, version: at, set: { note: 'x' } }),
      await t.run({ do: 'cancel-order', id, version: at }),
      await t.run({ do: 'give-up-line', id, version: at, key: 'k480' }),
      await t.run({ do: 'receive-order', id, version: at, delivery: { on: '2026-11-26', lines: [{ key: 'k480', packs: 1, checks: [] }] } }),
    ];
    expect(refused.map((r) => [r.body.code, /is cancelled/.test(r.body.message ?? '')])).toEqual(refused.map(() => ['bad-value', true]));
    expect(await newest()).toMatchObject({ state: 'cancelled', version: at });
    const { body } = await t.ask(stockContracts.readShipments, { params: { id } });
    expect(body).toMatchObject({ shipments: [], words: expect.stringMatching(/not sent/) });
  });

  it.each([
    ['a job that is not there', { jobIds: ['nobody'] }, 'not-found', /job/],
    ['a supplier that is not there', { supplierId: 'nobody' }, 'not-found', /supplier/],
    ['a line twice', { lines: [0, 0] }, 'bad-value', /twice/],
    ['no packs', { lines: [{ packs: 0 }] }, 'bad-value', /./],
    ['a part nobody has', { lines: [{ holds: [{ part: 'nothing', quantity: 1 }] }] }, 'not-found', /not in the catalogue/],
    ['an offer that is gone', { lines: [{ offerId: 'gone' }] }, 'price-changed', /is not offered any more/],
  ])('is not written for %s, and nothing is', async (_, change, code, words) => {
    const before = (await t.room()).orders.length;
    const lines = 'lines' in change ? (change.lines as object[]).map((l) => ({ ...line(480), offerId, ...l })) : undefined;
    const { body } = await write(480, 4, { ...change, ...(lines ? { lines } : {}) });
    expect(body.code).toBe(code);
    expect(body.message).toMatch(words);
    expect((await t.room()).orders).toHaveLength(before);
  });

  it('is held against its prices once more when it is sent: nothing goes out at another', async () => {
    await write();
    const { id, version } = await newest();
    const offer = (await t.room()).offers.find((o) => o.id === offerId)!;
    const { id: _, version: at, ...fields } = offer;
    const priced = (packMinor: number, v: number) =>
      t.run(said({ do: 'edit-offer', id: offerId, version: v, offer: { ...fields, prices: [{ fromPacks: 1, packMinor }] } }));
    await priced(900, at);
    const sent = await t.ask(stockContracts.sendOrder, { params: { id }, body: { key: randomUUID(), version } });
    expect([sent.status, sent.body.code]).toEqual([409, 'price-changed']);
    expect(await newest()).toMatchObject({ state: 'open', version });
    await t.run(said({ do: 'edit-offer', id: offerId, version: at + 1, offer: fields }));
  });

  it('written by two for one job at once is written once: the second is told of the first', async () => {
    const after = (await newest()).number;
    const answers = await Promise.all(['a', 'b'].map(() => write(480, 4, { after })));
    expect(answers.map((a) => a.status).sort()).toEqual([200, 409]);
    const { number } = await newest();
    expect(answers.find((a) => a.status === 409)!.body.message).toBe(
      `${number} was written for this job meanwhile. Nothing was ordered: look at what is still to buy.`,
    );
    // knowing of it, one more can be written; of another job it is no matter
    expect((await write(480, 4, { after: number })).status).toBe(200);
    expect((await write(480, 4, { after: '', jobIds: [] })).status).toBe(200);
  });

  it('sent by two at once goes out once', async () => {
    await write();
    const { id, version } = await newest();
    const send = (client: string) => t.ask(stockContracts.sendOrder, { params: { id }, body: { key: randomUUID(), version } }, client);
    const answers = await Promise.all([send('a'), send('b')]);
    expect(answers.some((a) => a.status === 200)).toBe(true);
    for (const a of answers) expect([200, 409]).toContain(a.status);
    const order = await newest();
    expect(order).toMatchObject({ id, state: 'confirmed', version: version + 2 });
  });
});

describe('what comes in', () => {
  const SUPPLIER = '33333333-3333-4333-8333-333333333333';
  const offers = { fine: randomUUID(), drum: randomUUID(), kit: randomUUID() };
  beforeAll(async () => {
    const terms = { name: 'Hose and kits', currency: 'EUR' as const, euros: 1, carriageMinor: 0, leastOrderMinor: 2000, leadDays: 1 };
    await t.run({ do: 'add-supplier', id: SUPPLIER, supplier: terms });
    const add = (id: string, packMinor: number, more: object) =>
      t.run(said({ do: 'add-offer', id, offer: { supplierId: SUPPLIER, prices: [{ fromPacks: 1, packMinor }], ...more } }));
    await add(offers.fine, 900, { holds: [{ part: HOSE, quantity: 1500 }] });
    await add(offers.drum, 1000, { holds: [{ part: HOSE, quantity: 1000 }], oneLength: true });
    await add(offers.kit, 3000, {
      name: 'Ring and washer',
      holds: [
        { part: RING, quantity: 2 },
        { part: WASHER, quantity: 4 },
      ],
    });
  });
  const ordered = async (lines: object[], jobIds: string[] = []): Promise<PurchaseOrder> => {
    await t.run(said({ do: 'write-order', supplierId: SUPPLIER, jobIds, lines }));
    const { id, version } = (await t.room()).orders.at(-1)!;
    await sayItIsSent(t, id, version);
    return (await t.room()).orders.find((o) => o.id === id)! as PurchaseOrder;
  };
  const hose = (key: string, offerId: string, quantity: number, packs: number, packMinor: number, oneLength = false) => ({
    key,
    offerId,
    name: 'Hose',
    holds: [{ part: HOSE, quantity }],
    packs,
    packMinor,
    ...(oneLength ? { oneLength } : {}),
  });
  const looked = ['Print read: kind, size, date', 'Bore open, clean, not kinked'].map((check) => ({ check, ok: true }));

  it('of hose hangs on the rack in its lengths, kept for its job, and its metres are told whole', async () => {
    const order = await ordered([hose('fine', offers.fine, 1500, 2, 900), hose('drum', offers.drum, 1000, 6, 1000, true)], [t.jobId]);
    const known = new Set((await t.room()).lengths.map((l) => l.id));
    const { body } = await t.run({
      do: 'receive-order',
      id: order.id,
      version: order.version,
      place: 'rack 3',
      delivery: { on: '2026-11-26', by: 'RA', lines: ['fine', 'drum'].map((key, i) => ({ key, packs: i ? 6 : 2, checks: looked })) },
    });
    expect(body.label).toBe(`Take in 2 lines of order ${order.number}`);
    const fresh = (await t.room()).lengths.filter((l) => !known.has(l.id));
    const mine = (mm: number) => [{ jobId: t.jobId, mm }];
    expect(fresh.map((l) => [l.mm, l.kind, l.reserved, l.place])).toEqual([
      [1500, 'length', mine(1500), 'rack 3'],
      [1500, 'length', mine(1500), 'rack 3'],
      [6000, 'reel', mine(6000), 'rack 3'],
    ]);
    const told = body.put!.filter((e) => e.type === 'part');
    expect(told).toHaveLength(1);
    expect((told[0]!.row as { part: { shelf?: number } }).part.shelf).toBe(await t.shelfOf(HOSE));
    expect((await t.room()).orders.find((o) => o.id === order.id)).toMatchObject({ state: 'complete' });
  });

  it('of a kit is counted whole before its parts go to their shelves', async () => {
    const kit = { key: 'kit', offerId: offers.kit, name: 'Ring and washer', packs: 2, packMinor: 3000 };
    const order = await ordered([
      {
        ...kit,
        holds: [
          { part: RING, quantity: 2 },
          { part: WASHER, quantity: 4 },
        ],
      },
    ]);
    const receive = (checks: string[]) =>
      t.run({
        do: 'receive-order',
        id: order.id,
        version: order.version,
        delivery: { on: '2026-11-26', lines: [{ key: 'kit', packs: 1, checks: checks.map((check) => ({ check, ok: true })) }] },
      });
    const all = ['Kit complete, counted against its list', 'Compound as on the bag', 'Size measured'];
    const before = [await t.shelfOf(RING), await t.shelfOf(WASHER)];
    for (let n = 0; n < all.length; n++) {
      const { body } = await receive(all.slice(0, n));
      expect(body.message).toContain(`"${all[n]}" comes first`);
    }
    expect([await t.shelfOf(RING), await t.shelfOf(WASHER)]).toEqual(before);
    expect((await receive(all)).body.label).toBe(`Take in a line of order ${order.number}`);
    expect([await t.shelfOf(RING), await t.shelfOf(WASHER)]).toEqual([before[0]! + 2, before[1]! + 4]);
  });

  it('for a job that is gone meanwhile lies on the shelf for anybody', async () => {
    const gone = (await t.call('POST', '/api/jobs', { number: '7008', name: 'Given up' })).body;
    const order = await ordered([hose('fine', offers.fine, 1500, 3, 900)], [gone['id'] as string]);
    await t
      .db('jobs')
      .where({ id: gone['id'] as string })
      .delete();
    const known = new Set((await t.room()).lengths.map((l) => l.id));
    const delivery = { on: '2026-11-26', lines: [{ key: 'fine', packs: 3, checks: looked }] };
    expect((await t.run({ do: 'receive-order', id: order.id, version: order.version, delivery })).status).toBe(200);
    const fresh = (await t.room()).lengths.filter((l) => !known.has(l.id));
    expect(fresh.map((l) => l.jobId)).toEqual([undefined, undefined, undefined]);
  });

  it('is refused below the least its supplier takes, before anybody hears of it', async () => {
    await t.run(said({ do: 'write-order', supplierId: SUPPLIER, jobIds: [], lines: [hose('fine', offers.fine, 1500, 2, 900)] }));
    const { id, version } = (await t.room()).orders.at(-1)!;
    const { status, body } = await t.ask(stockContracts.sendOrder, { params: { id }, body: { key: randomUUID(), version } });
    expect([status, body.message]).toEqual([400, 'Hose and kits takes no order of less than € 20.00; this is one of € 18.00.']);
    expect((await t.room()).orders.at(-1)).toMatchObject({ state: 'open', version });
  });

  it('and orders that are not there are told as such', async () => {
    for (const paper of ['order.pdf', 'order.csv', 'order.xml', 'shipments']) {
      const { status, body } = await t.call('GET', `/api/orders/nobody/${paper}`);
      expect([paper, status, body['code']]).toEqual([paper, 404, 'not-found']);
    }
  });
});

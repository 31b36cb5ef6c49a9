import { shopContracts, stockContracts, type PurchaseOrder, type ShopCommand, type StockCommand } from '@gewinde/core';
import { randomUUID } from 'node:crypto';
import { startTestApp, type TestApp } from '../../test/test-app.js';

let t: TestApp;
let jobId: string;
beforeAll(async () => {
  t = await startTestApp();
  jobId = (await t.call('POST', '/api/jobs', { number: '7001', name: 'Stock' })).body['id'] as string;
});
afterAll(() => t.close());

const run = (command: ShopCommand | readonly ShopCommand[], client = 'test') =>
  t.ask(
    shopContracts.changeShop,
    { body: { key: randomUUID(), commands: (Array.isArray(command) ? command : [command]) as ShopCommand[] } },
    client,
  );
const room = async () => (await t.ask(stockContracts.readStockroom, { query: { job: jobId } })).body;
const WASHER = 'washer copper 14 × 18 × 1.5';
const HOSE = 'hose-ptfe-10';
const move = (kind: 'reserve' | 'release' | 'issue' | 'return' | 'count' | 'scrap', quantity: number, more: object = {}): StockCommand => ({
  do: 'move-stock',
  part: WASHER,
  kind,
  quantity,
  ...more,
});
const shelf = async (): Promise<number> => {
  const card = await t.ask(shopContracts.readPart, { params: { part: WASHER } });
  return card.body.row.part.shelf ?? 0;
};

describe('the shelf', () => {
  it('is moved by movements alone: counted, kept back, taken, put back, thrown away; and tells who did', async () => {
    await run(move('count', 12, { by: 'TK', note: 'drawer 2' }));
    await run(move('reserve', 5, { jobId }));
    await run(move('issue', 3, { jobId }));
    await run(move('return', 1, { jobId }));
    await run(move('scrap', 2));
    expect(await shelf()).toBe(8);
    const row = (await room()).stock.find((s) => s.part === WASHER);
    expect(row).toMatchObject({ reserved: [{ jobId, quantity: 2 }], issued: [{ jobId, quantity: 2 }] });
    const { moves } = (await t.ask(stockContracts.readMoves, { query: { part: WASHER } })).body;
    expect(moves.map((m) => [m.kind, m.quantity, m.job])).toEqual([
      ['scrap', -2, undefined],
      ['return', 1, '7001'],
      ['issue', -3, '7001'],
      ['reserve', 0, '7001'],
      ['count', 12, undefined],
    ]);
    expect(moves.at(-1)).toMatchObject({ by: 'TK', note: 'drawer 2' });
  });

  it.each([
    ['more than there is', move('issue', 99), 'not-enough', /lie on the shelf/],
    ['what is kept for another job', move('issue', 7), 'not-enough', /kept for other jobs/],
    ['more than was taken', move('return', 9, { jobId: 'JOB' }), 'not-enough', /taken for this job/],
    ['for a job that is not there', move('reserve', 1, { jobId: 'nobody' }), 'not-found', /job/],
    ['a part nobody has', { ...move('count', 1), part: 'nothing' } as StockCommand, 'not-found', /not in the catalogue/],
    ['hose by the piece', { ...move('count', 1), part: HOSE } as StockCommand, 'bad-value', /lengths/],
    ['a count of another moment', move('count', 3, { seen: 5 }), 'conflict', /by now/],
    ['less than nothing', move('count', -1), 'bad-value', /too small/],
  ])('refuses to move %s, and says why', async (_, command, code, words) => {
    const before = await shelf();
    const named = JSON.parse(JSON.stringify(command).replace('JOB', jobId)) as StockCommand;
    const { status, body } = await run(named);
    expect([status >= 400, body.code]).toEqual([true, code]);
    expect(body.message).toMatch(words);
    expect(await shelf()).toBe(before);
  });

  it('takes in what is off a car once it was looked over by somebody', async () => {
    const salvage = (more: object) => run({ ...move('count', 2, more), kind: 'salvage' } as StockCommand);
    const checks = [{ check: 'Size measured', ok: true }];
    expect((await salvage({ checks })).body.message).toMatch(/Who looked it over/);
    expect((await salvage({ by: 'MO' })).body.message).toMatch(/"Size measured" comes first/);
    expect((await salvage({ by: 'MO', checks: [{ ...checks[0], ok: false }] })).body.code).toBe('bad-value');
    const before = await shelf();
    expect((await salvage({ by: 'MO', checks, note: 'from the old cooler' })).status).toBe(200);
    expect(await shelf()).toBe(before + 2);
    const { moves } = (await t.ask(stockContracts.readMoves, { query: { part: WASHER } })).body;
    expect(moves[0]).toMatchObject({ kind: 'salvage', by: 'MO', note: 'off a car, looked over: from the old cooler' });
  });

  it('a movement is a record: undo takes back what was edited before it, never the movement', async () => {
    await run({
      do: 'keep-stock',
      part: WASHER,
      version: (await room()).stock.find((s) => s.part === WASHER)!.version,
      least: 20,
      place: 'drawer 2',
    });
    const { status, body } = await t.ask(shopContracts.undoShop, { body: { key: randomUUID() } });
    expect([status, body.code]).toEqual([409, 'nothing-to-undo']);
  });

  it('is never less than nothing, however many take at once', async () => {
    await run(move('count', 5));
    const answers = await Promise.all(Array.from({ length: 8 }, (_, i) => run(move('issue', 1), `client${i}`)));
    const free = 5 - 2; // two are kept for the job
    expect(answers.filter((a) => a.status === 200)).toHaveLength(free);
    expect(answers.filter((a) => a.body.code === 'not-enough')).toHaveLength(8 - free);
    expect(await shelf()).toBe(2);
  });
});

describe('the rack', () => {
  const put = async (mm: number, more: object = {}): Promise<string> => {
    const { body } = await run({ do: 'add-length', length: { part: HOSE, kind: 'offcut', mm, ...more } } as StockCommand);
    return (body.put!.find((e) => e.type === 'length')!.row as { id: string }).id;
  };
  const cut = (lengthId: string, lengthVersion: number, measuredMm: number, more: object = {}): StockCommand =>
    ({
      do: 'cut-piece',
      jobId,
      lineId: 'line',
      piece: 'p1',
      of: 'hose',
      ticket: '7001-L1',
      lengthId,
      lengthVersion,
      plannedMm: measuredMm,
      trimMm: 0,
      measuredMm,
      trimmedMm: 10,
      ...more,
    }) as StockCommand;
  const length = async (id: string) => (await room()).lengths.find((l) => l.id === id);

  it('a piece that is cut makes its length shorter by itself, the kerf and the trimmed end', async () => {
    const id = await put(1240);
    await run(cut(id, 1, 600));
    expect(await length(id)).toMatchObject({ mm: 1240 - 600 - 2 - 10, version: 2 });
    expect((await room()).cuts.at(-1)).toMatchObject({ ticket: '7001-L1', measuredMm: 600, state: 'cut', lengthId: id });
    // what was measured goes before what is reckoned
    await run(cut(id, 2, 100, { ticket: '7001-L2', leftMm: 520, trimmedMm: 0 }));
    expect(await length(id)).toMatchObject({ mm: 520 });
    // what is too short to keep is used up
    await run(cut(id, 3, 400, { ticket: '7001-L3', trimmedMm: 0 }));
    expect(await length(id)).toBeUndefined();
  });

  it('two who cut from one length: one gets it, the other is told how much is left', async () => {
    const id = await put(2000);
    const [one, other] = await Promise.all(['a', 'b'].map((who) => run(cut(id, 1, 900, { ticket: `7001-${who}` }), who)));
    const [got, told] = one!.status === 200 ? [one, other] : [other, one];
    expect(got!.status).toBe(200);
    expect([told!.status, told!.body.code]).toEqual([409, 'conflict']);
    expect(told!.body.message).toMatch(/1088 mm are left/);
    expect((await room()).cuts.filter((c) => c.lengthId === id)).toHaveLength(1);
  });

  it.each([
    ['longer than it is', 5000, {}, 'not-enough', /is 800 mm long/],
    ['and more left than there was', 500, { leftMm: 700 }, 'bad-value', /cannot be longer/],
  ])('refuses a piece %s', async (_, mm, more, code, words) => {
    const id = await put(800);
    const { body } = await run(cut(id, 1, mm, { ticket: '7001-L4', ...more }));
    expect(body.code).toBe(code);
    expect(body.message).toMatch(words);
    expect(await length(id)).toMatchObject({ mm: 800, version: 1 });
  });

  it('what is off a car is cut once it was looked over, what is kept for another job never', async () => {
    const salvaged = await put(900, { salvaged: true });
    expect((await run(cut(salvaged, 1, 500, { ticket: '7001-L5' }))).body.message).toMatch(/not looked over/);
    await run({ do: 'edit-length', id: salvaged, version: 1, set: { inspected: { by: 'MO', on: '2026-11-01' } } });
    expect((await run(cut(salvaged, 2, 500, { ticket: '7001-L5' }))).status).toBe(200);
    // a piece of it that is spoiled is still off a car
    const made = (await room()).cuts.find((c) => c.ticket === '7001-L5')!;
    const { body } = await run({ do: 'spoil-cut', id: made.id, version: 1, keepMm: 450 });
    const back = body.put!.find((e) => e.type === 'length' && (e.row as { from?: string }).from === salvaged)!;
    expect(back.row).toMatchObject({ mm: 450, salvaged: true, inspected: { by: 'MO' } });
    const other = (await t.call('POST', '/api/jobs', { number: '7002', name: 'Other' })).body['id'] as string;
    const kept = await put(900, { jobId: other });
    expect((await run(cut(kept, 1, 500, { ticket: '7001-L6' }))).body.message).toMatch(/kept for another job/);
  });

  it('a spoiled piece is countered: it is told, and what of it is long enough goes back', async () => {
    const id = await put(1500);
    await run(cut(id, 1, 700, { ticket: '7001-L9' }));
    const made = (await room()).cuts.find((c) => c.ticket === '7001-L9')!;
    const { body } = await run({ do: 'spoil-cut', id: made.id, version: 1, keepMm: 650 });
    expect(body.put!.find((e) => e.type === 'cut')!.row).toMatchObject({ state: 'spoiled' });
    expect((await room()).lengths.find((l) => l.from === id)).toMatchObject({ mm: 650, kind: 'offcut' });
    expect((await run({ do: 'spoil-cut', id: made.id, version: 2 })).body.message).toMatch(/already/);
  });

  it('a piece is cut once, off whichever length, until the first is told as spoiled', async () => {
    const [one, other] = [await put(900), await put(900)];
    const piece = { ticket: '7001-L10' };
    await run(cut(one, 1, 500, piece));
    const again = await run(cut(other, 1, 500, piece));
    expect([again.status, again.body.code]).toEqual([409, 'conflict']);
    expect(again.body.message).toBe(`7001-L10 is cut already, off ${one}. If that piece is no good, say it is spoiled first.`);
    expect(await length(other)).toMatchObject({ mm: 900, version: 1 });
    // the sleeve over it is another piece
    expect((await run(cut(other, 1, 100, { ...piece, of: 'sleeve' }))).status).toBe(200);
    await run({ do: 'spoil-cut', id: (await room()).cuts.find((c) => c.lengthId === one)!.id, version: 1 });
    expect((await run(cut(other, 2, 500, piece))).status).toBe(200);
  });

  it('a piece that was cut long is trimmed, and its final length recorded', async () => {
    const id = await put(1500);
    await run(cut(id, 1, 620, { ticket: '7001-L8', trimMm: 20 }));
    const made = (await room()).cuts.find((c) => c.ticket === '7001-L8')!;
    expect((await run({ do: 'trim-cut', id: made.id, version: 1, finalMm: 700 })).body.code).toBe('bad-value');
    await run({ do: 'trim-cut', id: made.id, version: 1, finalMm: 601 });
    expect((await room()).cuts.find((c) => c.id === made.id)).toMatchObject({ measuredMm: 620, finalMm: 601 });
  });

  it('a made hose goes to a job, and gives what is cut off it back to the rack', async () => {
    const made = await put(1490, { kind: 'made', ends: ['end-ptfe-10-45', 'end-ptfe-10-0'] });
    await run({ do: 'use-made', id: made, version: 1, jobId, lineId: 'line', piece: 'p1', ticket: '7001-L7', cutMm: 1080, restMm: 300 });
    const now = await room();
    expect(now.lengths.find((l) => l.id === made)).toBeUndefined();
    expect(now.lengths.find((l) => l.from === made)).toMatchObject({ mm: 300, kind: 'offcut' });
    expect(now.cuts.find((c) => c.lengthId === made)).toMatchObject({ of: 'made', measuredMm: 1080 });
  });

  it('the metres of a hose are those on its rack', async () => {
    const total = (await room()).lengths.filter((l) => l.part === HOSE && l.kind !== 'made').reduce((sum, l) => sum + l.mm, 0);
    const card = await t.ask(shopContracts.readPart, { params: { part: HOSE } });
    expect(card.body.row.part.shelf).toBe(Math.floor(total / 1000));
  });
});

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
    await run({
      do: 'add-supplier',
      id: SUPPLIER,
      supplier: { name: 'Test supplier', currency: 'GBP', euros: 1.2, carriageMinor: 1000, freeFromMinor: 100_000, leadDays: 3 },
    });
    offerId = randomUUID();
    await run({
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
    run({
      do: 'write-order',
      supplierId: SUPPLIER,
      jobIds: [jobId],
      lines: [{ ...line(packMinor, packs), offerId }],
      ...more,
    } as StockCommand);
  const newest = async (): Promise<PurchaseOrder> => (await room()).orders.at(-1)! as PurchaseOrder;

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
    const before = await shelf();
    const receive = (packs: number, ok: boolean, version: number, check = 'Size measured') =>
      run({
        do: 'receive-order',
        id: written.id,
        version,
        delivery: { on: '2026-11-26', by: 'RA', lines: [{ key: 'k480', packs, checks: [{ check, ok }] }] },
      });
    const at = (await newest()).version;
    expect((await receive(2, true, at, 'Looks fine')).body.message).toMatch(/Washer: "Size measured" comes first/);
    await receive(2, true, at);
    expect(await shelf()).toBe(before + 20);
    expect((await room()).stock.find((s) => s.part === WASHER)!.reserved).toContainEqual({ jobId, quantity: 22 });
    await receive(1, false, at + 1);
    expect(await shelf()).toBe(before + 20);
    expect((await receive(3, true, at + 2)).body.message).toMatch(/3 came, 2 are open/);
    await run({ do: 'give-up-line', id: written.id, version: at + 2, key: 'k480' });
    expect(await newest()).toMatchObject({ state: 'complete', lines: [{ receivedPacks: 2, shortPacks: 2 }] });
  });

  it('takes no answer that is about another order', async () => {
    await write();
    const { id, version } = await newest();
    await run({ do: 'send-order', id, version });
    const answer = { order: 'PO-9999', reference: 'X', lines: [] };
    const { status, body } = await run({ do: 'acknowledge-order', id, version: version + 1, answer });
    expect([status, body.code]).toEqual([409, 'wrong-order']);
    expect(body.message).toMatch(/answers order PO-9999/);
    expect(await newest()).toMatchObject({ state: 'sent' });
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
});

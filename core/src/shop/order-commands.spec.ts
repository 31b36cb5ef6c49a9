import { counts, inHouseUnits, isUnconfirmed, orderTotal, orderWords, type Acknowledgement } from '@gewinde/core';
import { refusal, sampleOffer, sampleSupplier, ShopInMemory, TODAY } from '../../testing/shop.js';

const RING = 'o-ring fkm AS568-906';
const HOSE = 'hose-ptfe-6';

let shop: ShopInMemory;
const words = (act: () => unknown) => inHouseUnits(refusal(act).message, 'metric');
const ring = (packs = 2, more: object = {}) => ({
  key: 'k1',
  offerId: 'rings',
  name: 'Ring',
  holds: [{ part: RING, quantity: 10 }],
  packs,
  packMinor: packs < 4 ? 500 : 400,
  ...more,
});
const hose = (packs: number, more: object = {}) => ({
  key: 'k2',
  offerId: 'hose',
  name: 'Hose',
  holds: [{ part: HOSE, quantity: 1000 }],
  packs,
  packMinor: 2000,
  ...more,
});
const write = (lines: object[] = [ring()], more: object = {}) =>
  shop.run({ do: 'write-order', supplierId: 's', jobIds: ['a'], lines, ...more }).label;
/** To the newest order, as it stands. */
const to = (command: string, more: object = {}) =>
  shop.run({ do: command, id: shop.order().id, version: shop.order().version, ...more }).label;
const ok = (check: string) => ({ check, ok: true });
const RING_CHECKS = [ok('Compound as on the bag'), ok('Size measured')];
const HOSE_CHECKS = [ok('Print read: kind, size, date'), ok('Bore open, clean, not kinked')];
const receive = (...lines: object[]) => to('receive-order', { delivery: { on: TODAY, by: 'RA', lines } });
const came = (packs: number, checks: object[] = RING_CHECKS, key = 'k1') => receive({ key, packs, checks });
const answer = (change: Partial<Acknowledgement> = {}) =>
  to('acknowledge-order', { answer: { order: shop.order().number, reference: 'N-1', lines: [], ...change } });

beforeEach(() => {
  shop = new ShopInMemory();
  shop.run(
    { do: 'add-supplier', id: 's', supplier: sampleSupplier },
    { do: 'add-offer', id: 'rings', offer: sampleOffer(RING) },
    { do: 'add-offer', id: 'hose', offer: { ...sampleOffer(HOSE, 1000), prices: [{ fromPacks: 1, packMinor: 2000 }] } },
  );
});

describe('an order', () => {
  it('is written at the prices of its offers, with carriage until it is free, under the next number', () => {
    expect(write()).toBe('Write order PO-0001 to North (sample)');
    expect(shop.order()).toMatchObject({
      state: 'open',
      writtenOn: TODAY,
      carriageMinor: 900,
      lines: [{ receivedPacks: 0 }],
      deliveries: [],
    });
    expect(orderTotal(shop.order())).toBe(1900);
    write([hose(10)]);
    expect(shop.order()).toMatchObject({ number: 'PO-0002', carriageMinor: 0 });
  });

  it.each([
    [
      'at a price that was',
      { packMinor: 450 },
      'price-changed',
      /Ring costs € 5\.00 now, € 4\.50 when it was planned\. Nothing was ordered/,
    ],
    ['of what is not offered', { offerId: 'gone' }, 'price-changed', /Ring is not offered any more/],
    [
      'with a share for a job that it is not for',
      { claims: [{ jobId: 'b', part: RING, quantity: 1 }] },
      'bad-value',
      /for a job that the order is not for/,
    ],
    [
      'with larger shares than it has',
      { claims: [{ jobId: 'a', part: RING, quantity: 21 }] },
      'bad-value',
      /21 are for jobs, and 20 are ordered/,
    ],
  ])('is not written %s', (_, line, code, why) => {
    expect(refusal(() => write([ring(2, line)]))).toMatchObject({ code, message: expect.stringMatching(why) });
    expect(shop.all('order')).toEqual([]);
  });

  it('is not written for packs that hold something else by now, nor sent', () => {
    write();
    shop.run({ do: 'edit-offer', id: 'rings', version: 1, offer: sampleOffer(RING, 100) });
    expect(words(() => write())).toMatch(/^Prices have changed since: a pack of Ring holds something else now\. Nothing was ordered/);
    expect(words(() => to('send-order'))).toMatch(/a pack of Ring holds something else now/);
    write([ring(2, { holds: [{ part: RING, quantity: 100 }] })]);
    to('send-order');
    // what comes is counted by what was ordered
    shop.run({ do: 'edit-offer', id: 'rings', version: 2, offer: sampleOffer(RING, 10) });
    came(1);
    expect(shop.part(RING).part.shelf).toBe(100);
  });

  it('has each line once, a supplier that is bought from, and jobs that are there', () => {
    expect(words(() => write([ring(), ring()]))).toMatch(/stands twice/);
    expect(words(() => write([ring()], { jobIds: ['gone'] }))).toMatch(/job is not there/);
    shop.run({ do: 'edit-supplier', id: 's', version: 1, supplier: { ...sampleSupplier, retired: true } });
    expect(words(() => write())).toBe('North (sample) is not bought from any more.');
  });

  it('is not written twice for one need: who comes second is told of the first', () => {
    write([ring()], { after: '' });
    expect(refusal(() => write([ring()], { after: '' }))).toMatchObject({
      code: 'conflict',
      message: expect.stringMatching(/^PO-0001 was written for this job meanwhile\. Nothing was ordered/),
    });
    write([ring()], { after: 'PO-0001' });
    to('cancel-order');
    // what was cancelled is no order
    write([ring()], { after: 'PO-0001' });
    expect(words(() => write([ring()], { jobIds: ['a', 'b'], after: '' }))).toMatch(/^PO-0001, PO-0003 were written/);
    write([ring()], { jobIds: ['b'], after: '' });
  });

  it('is changed until it is sent: packs, carriage, shares, day and note; of nothing it is none', () => {
    const claims = [
      { jobId: 'a', part: RING, quantity: 15 },
      { jobId: 'b', part: RING, quantity: 5 },
    ];
    write([ring(2, { claims }), hose(10)], { jobIds: ['a', 'b'], neededBy: '2026-12-10' });
    to('edit-order', {
      set: {
        packs: [
          { key: 'k1', packs: 1 },
          { key: 'k2', packs: 0 },
        ],
        neededBy: null,
        note: 'ring first',
      },
    });
    expect(shop.order()).toMatchObject({
      carriageMinor: 900,
      note: 'ring first',
      lines: [{ packs: 1, claims: [{ jobId: 'a', quantity: 10 }] }],
    });
    expect(shop.order().lines).toHaveLength(1);
    expect(shop.order().neededBy).toBeUndefined();
    expect(words(() => to('edit-order', { set: { packs: [{ key: 'k1', packs: 0 }] } }))).toMatch(/An order of nothing is none/);
    expect(words(() => to('edit-order', { set: { packs: [{ key: 'k9', packs: 1 }] } }))).toMatch(/has no line "k9"/);
    to('send-order');
    expect(words(() => to('edit-order', { set: { note: 'too late' } }))).toBe('PO-0001 is sent: it is not changed any more.');
    expect(words(() => to('cancel-order'))).toMatch(/not changed any more/);
  });

  it('is sent at the prices that hold that day, and for no less than its supplier takes', () => {
    write();
    shop.run({ do: 'edit-offer', id: 'rings', version: 1, offer: sampleOffer(RING, 10, 600) });
    expect(words(() => to('send-order'))).toMatch(/Ring costs € 6\.00 now, € 5\.00 when it was planned/);
    shop.run({ do: 'edit-offer', id: 'rings', version: 2, offer: sampleOffer(RING) });
    shop.run({ do: 'edit-supplier', id: 's', version: 1, supplier: { ...sampleSupplier, leastOrderMinor: 1001 } });
    expect(words(() => to('send-order'))).toBe('North (sample) takes no order of less than € 10.01; this is one of € 10.00.');
    shop.run({ do: 'edit-supplier', id: 's', version: 2, supplier: { ...sampleSupplier, leastOrderMinor: 1000 } });
    to('send-order');
    expect(shop.order()).toMatchObject({ state: 'sent', sentOn: TODAY });
  });

  it('is answered by its own number and lines; what is short, dearer or late is kept, what does not fit is not taken', () => {
    write([ring(4)]);
    expect(words(() => answer())).toBe('PO-0001 is not sent: there is nothing to confirm.');
    to('send-order');
    expect(words(() => answer({ order: 'PO-0002' }))).toMatch(/answers order PO-0002, not PO-0001/);
    const line = { key: 'k1', packs: 3, packMinor: 520, due: '2026-12-24' };
    expect(words(() => answer({ lines: [{ ...line, key: 'k9' }] }))).toMatch(/has no line "k9"/);
    expect(words(() => answer({ lines: [line, line] }))).toMatch(/has a line twice/);
    expect(words(() => answer({ lines: [{ ...line, packs: 5 }] }))).toMatch(/5 confirmed, 4 ordered/);
    expect(shop.order().state).toBe('sent');
    answer({ lines: [line] });
    expect(shop.order()).toMatchObject({
      state: 'confirmed',
      reference: 'N-1',
      lines: [{ confirmedPacks: 3, confirmedMinor: 520, due: '2026-12-24' }],
    });
  });
});

describe('an order that is not confirmed', () => {
  const unanswered = { tries: 1, at: `${TODAY}T10:00:00.000Z`, why: 'it failed: no route to host' };

  it('is called off or confirmed; one that is open or confirmed waits for no answer', () => {
    write();
    expect(words(() => to('order-unanswered', { unanswered }))).toBe('PO-0001 is not sent: no answer is waited for.');
    to('send-order');
    expect([orderWords(shop.order()), isUnconfirmed(shop.order())]).toEqual(['sent', false]);
    expect(words(() => to('cancel-order'))).toMatch(/not changed any more/);
    expect(to('order-unanswered', { unanswered })).toBe('Order PO-0001 is not confirmed');
    expect([orderWords(shop.order()), isUnconfirmed(shop.order())]).toEqual(['not confirmed', true]);
    // it may be on its way all the same: what comes of it comes in
    came(1);
    expect([shop.order().state, isUnconfirmed(shop.order())]).toEqual(['part', false]);
    write();
    to('send-order');
    to('order-unanswered', { unanswered });
    answer();
    expect([shop.order().state, shop.order().unanswered]).toEqual(['confirmed', undefined]);
    expect(words(() => to('cancel-order'))).toMatch(/not changed any more/);
  });

  it('that is called off is one no more', () => {
    write();
    to('send-order');
    to('order-unanswered', { unanswered });
    to('cancel-order');
    expect([orderWords(shop.order()), orderTotal(shop.order())]).toEqual(['cancelled', 0]);
    expect(words(() => came(1))).toMatch(/is cancelled: nothing of it can come in/);
  });
});

describe('what is kept beside it', () => {
  it('has its limits: parcels of an order, jobs of a shelf and of a length', () => {
    for (let i = 0; i < 70; i++) shop.jobs.set(`j${i}`, `25${i}`);
    shop.run({ do: 'move-stock', part: RING, kind: 'count', quantity: 100 });
    shop.run({ do: 'add-length', length: { part: HOSE, kind: 'reel', mm: 100_000 } });
    const { id } = shop.length();
    const reserve = (i: number) => shop.run({ do: 'move-stock', part: RING, kind: 'reserve', quantity: 1, jobId: `j${i}` });
    const hold = (i: number) => shop.run({ do: 'reserve-lengths', jobId: `j${i}`, lengths: [{ id, mm: 100 }] });
    for (let i = 0; i < counts.jobsOnStock; i++) {
      reserve(i);
      hold(i);
    }
    for (const more of [reserve, hold])
      expect(refusal(() => more(counts.jobsOnStock))).toMatchObject({
        code: 'too-many',
        message: expect.stringMatching(/^60 jobs have some of/),
      });
    write([ring(100)]);
    to('send-order');
    for (let i = 0; i < counts.deliveriesOfOrder; i++) came(1);
    expect(refusal(() => came(1))).toMatchObject({ code: 'too-many', message: expect.stringMatching(/has come in 60 parcels already/) });
  });
});

describe('what comes', () => {
  it('goes on the shelf once each check is answered, kept for whom it was ordered; what fails stays open', () => {
    const claims = [
      { jobId: 'a', part: RING, quantity: 15 },
      { jobId: 'b', part: RING, quantity: 20 },
    ];
    write([ring(4, { claims })], { jobIds: ['a', 'b'] });
    expect(words(() => came(1))).toBe('PO-0001 is not sent: nothing of it can come in.');
    to('send-order');
    expect(words(() => came(1, [ok('Size measured')]))).toMatch(/^Ring: "Compound as on the bag" comes first/);
    expect(words(() => came(5))).toMatch(/5 came, 4 are open/);
    expect(words(() => came(1, RING_CHECKS, 'k9'))).toMatch(/has no line "k9"/);
    expect(came(1)).toBe('Take in a line of order PO-0001');
    expect([shop.part(RING).part.shelf, shop.shelf(RING)!.reserved]).toEqual([10, [{ jobId: 'a', quantity: 10 }]]);
    expect(came(1, [ok('Size measured'), { check: 'Compound as on the bag', ok: false }])).toMatch(/1 did not pass/);
    expect([shop.part(RING).part.shelf, shop.order()]).toMatchObject([10, { state: 'part', lines: [{ receivedPacks: 1 }] }]);
    came(3);
    // what was asked for first is served first; what is over is nobody's
    expect(shop.shelf(RING)!.reserved).toEqual([
      { jobId: 'a', quantity: 15 },
      { jobId: 'b', quantity: 20 },
    ]);
    expect([shop.part(RING).part.shelf, shop.order().state, shop.order().deliveries.length]).toEqual([40, 'complete', 3]);
  });

  it('is for the job it was written for, the whole of it, and not for one that is gone by then', () => {
    write();
    to('send-order');
    came(1);
    expect(shop.shelf(RING)!.reserved).toEqual([{ jobId: 'a', quantity: 10 }]);
    shop.jobs.delete('a');
    came(1);
    expect([shop.part(RING).part.shelf, shop.shelf(RING)!.reserved]).toEqual([20, [{ jobId: 'a', quantity: 10 }]]);
  });

  it('of hose hangs on the rack: packs one by one or as one length, what is long as a reel, reserved for its jobs', () => {
    write([hose(2), hose(6, { key: 'k3', oneLength: true, claims: [{ jobId: 'a', part: HOSE, quantity: 1500 }] })]);
    to('send-order');
    receive({ key: 'k2', packs: 2, checks: HOSE_CHECKS }, { key: 'k3', packs: 6, checks: HOSE_CHECKS });
    expect(shop.all('length').map(({ id, kind, mm, reserved }) => ({ id, kind, mm, for: reserved?.map((r) => r.mm) }))).toEqual([
      { id: 'H-0001', kind: 'length', mm: 1000, for: [1000] },
      { id: 'H-0002', kind: 'length', mm: 1000, for: [1000] },
      { id: 'H-0003', kind: 'reel', mm: 6000, for: [1500] },
    ]);
    expect(shop.part(HOSE).part.shelf).toBe(8);
  });

  it('of a kit is counted against its list first', () => {
    const holds = [
      { part: RING, quantity: 4 },
      { part: 'washer copper 14 × 18 × 1.5', quantity: 2 },
    ];
    shop.run({ do: 'add-offer', id: 'kit', offer: { ...sampleOffer(RING), name: 'Kit', holds } });
    write([{ key: 'k1', offerId: 'kit', name: 'Kit', holds, packs: 1, packMinor: 500 }]);
    to('send-order');
    expect(words(() => came(1))).toMatch(/"Kit complete, counted against its list" comes first/);
    came(1, [...RING_CHECKS, ok('Kit complete, counted against its list')]);
    expect(holds.map(({ part }) => shop.part(part).part.shelf)).toEqual([4, 2]);
  });
});

describe('what is over', () => {
  it('of an order goes to whoever asks first, no more than there is', () => {
    write([ring(2, { claims: [{ jobId: 'a', part: RING, quantity: 12 }] })]);
    to('send-order');
    const claim = (quantity: number, more: object = {}) => to('claim-order', { key: 'k1', part: RING, jobId: 'b', quantity, ...more });
    expect(words(() => claim(9))).toMatch(/8 are over in PO-0001 by now: 9 cannot be taken/);
    expect(words(() => claim(1, { key: 'k9' }))).toMatch(/has no such line/);
    expect(words(() => claim(1, { jobId: 'gone' }))).toMatch(/job is not there/);
    expect(claim(5)).toBe('Take what is over of order PO-0001');
    expect(words(() => claim(4))).toMatch(/3 are over/);
    expect(shop.order()).toMatchObject({ jobIds: ['a', 'b'] });
    came(2);
    expect(shop.shelf(RING)!.reserved).toEqual([
      { jobId: 'a', quantity: 12 },
      { jobId: 'b', quantity: 5 },
    ]);
  });

  it('and will not come is given up, once, of an order that is on its way', () => {
    write();
    expect(words(() => to('give-up-line', { key: 'k1' }))).toMatch(/is not sent: nothing of it is on its way/);
    to('send-order');
    came(1);
    to('give-up-line', { key: 'k1' });
    expect(shop.order()).toMatchObject({ state: 'complete', lines: [{ receivedPacks: 1, shortPacks: 1 }] });
    expect(orderTotal(shop.order())).toBe(1400);
    expect(refusal(() => to('give-up-line', { key: 'k1' })).code).toBe('bad-value');
  });
});

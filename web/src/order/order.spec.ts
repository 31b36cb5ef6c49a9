import type { HoseLength, OfferRow, PurchaseOrder, StockCommand, SupplierRow } from '@gewinde/core';
import { answer as answerTo, openSampleJob, openStockroom, render, settle } from '../../test/open-job';
import { OrderList } from './order-list';
import { ReceiveDialog } from '../stock/receive-dialog';
import { ToOrder } from './to-order';

const supplier: SupplierRow = { id: 's', name: 'North', currency: 'EUR', euros: 1, carriageMinor: 500, leadDays: 3, version: 1 };
const RING = 'o-ring fkm AS568-906';
const offer: OfferRow = {
  id: 'o',
  supplierId: 's',
  code: 'R6',
  holds: [{ part: RING, quantity: 10 }],
  prices: [{ fromPacks: 1, packMinor: 420 }],
  version: 1,
};
const reel: HoseLength = { id: 'H-1', part: 'hose-ptfe-6', kind: 'reel', mm: 50_000, since: '2026-01-01', state: 'there', version: 1 };
const order: PurchaseOrder = {
  id: 'po',
  number: 'PO-0001',
  supplierId: 's',
  jobIds: ['job'],
  state: 'confirmed',
  neededBy: '2020-01-01',
  carriageMinor: 500,
  writtenOn: '2019-12-01',
  deliveries: [{ on: '2019-12-09', lines: [{ key: 'k', packs: 1, checks: [{ check: 'Size measured', ok: false, note: 'a size up' }] }] }],
  version: 4,
  lines: [
    {
      key: 'k',
      offerId: 'o',
      code: 'R6',
      name: 'O-ring',
      holds: [{ part: RING, quantity: 10 }],
      packs: 3,
      packMinor: 420,
      confirmedPacks: 2,
      confirmedMinor: 440,
      due: '2020-02-01',
      receivedPacks: 0,
    },
  ],
};

describe('what is to be ordered', () => {
  it('is asked for by need, offers and terms; the plan fills the columns, and is written at its prices', async () => {
    const opened = await openSampleJob();
    await openStockroom(opened, { suppliers: [supplier], offers: [offer], lengths: [reel] });
    const view = await render(ToOrder);
    expect(view.text()).toContain('Working out who is ordered what');
    expect(view.find('tr', 'O-ring FKM AS568-906').textContent).toContain('1');
    await new Promise((resolve) => setTimeout(resolve, 300));
    for (const cuts of opened.http.match('/api/plans/cuts')) cuts.flush({ code: 'x', message: 'x' }, { status: 400, statusText: 'x' });
    const request = opened.request('POST', '/api/plans/orders');
    const { problem } = request.request.body as { problem: { needs: { part: string }[]; offers: object[]; suppliers: object[] } };
    expect(problem.needs.some((n) => n.part === RING)).toBe(true);
    expect(problem.suppliers).toEqual([{ id: 's', carriageMinor: 500 }]);
    const plan = {
      orders: [
        { supplier: 's', lines: [{ offer: 'o', packs: 1, packMinor: 420, totalMinor: 420 }], goodsMinor: 420, carriageMinor: 500, days: 3 },
      ],
      totalMinor: 920,
      days: 3,
      proven: true,
      notOffered: ['sealant liquid'],
      late: [],
      left: [],
    };
    request.flush({ cost: plan, soonest: plan, fewest: plan, singles: [{ supplier: 's', plan }] });
    await settle();
    await view.stable();
    expect(view.all('.alternative').map((a) => a.textContent.replace(/\s+/g, ' '))).toEqual(
      expect.arrayContaining([expect.stringContaining('the least money'), expect.stringContaining('North alone')]),
    );
    expect(view.find('th.supplier').textContent).toContain('North');
    expect(view.find('tr', 'O-ring FKM AS568-906').textContent).toContain('1 × 10');
    await view.press('button', 'Write the order');
    const [command] = opened.shopSent().commands as StockCommand[];
    expect(command).toMatchObject({
      do: 'write-order',
      supplierId: 's',
      jobIds: ['job'],
      after: '',
      lines: [{ offerId: 'o', code: 'R6', packs: 1, packMinor: 420, holds: [{ part: RING, quantity: 10 }] }],
    });
  });
});

describe('an order of the job', () => {
  it('says what is short, dearer and late, and what did not pass', async () => {
    const opened = await openSampleJob();
    await openStockroom(opened, { suppliers: [supplier], orders: [order] });
    const list = await render(OrderList);
    const text = list.text();
    for (const words of ['2 confirmed, the rest on back order', 'was 4.20', 'late', 'did not pass “Size measured”, a size up'])
      expect(text).toContain(words);
    await list.press('button', 'Give up');
    expect(opened.shopSent().commands[0]).toMatchObject({ do: 'give-up-line', id: 'po', version: 4, key: 'k' });
  });

  it('that is not sent is changed and sent; one that is sent is asked for again', async () => {
    const opened = await openSampleJob();
    await openStockroom(opened, { suppliers: [supplier], orders: [{ ...order, state: 'open', deliveries: [] }] });
    const list = await render(OrderList);
    await list.press('button', 'Send');
    const request = opened.request('POST', '/api/orders/po/send');
    expect(request.request.body).toMatchObject({ version: 4 });
    request.flush({ code: 'price-changed', message: 'Prices have changed since: O-ring.' }, { status: 409, statusText: 'x' });
    await settle();
    await list.stable();
    expect(list.find('[role=alert]').textContent).toContain('Prices have changed since');
  });

  it('that its supplier does not confirm says why and what may be done: asked again, confirmed by hand, called off', async () => {
    const unanswered = { tries: 2, at: '2026-11-26T10:05:00.000Z', why: 'no answer came within 10 s', next: '2026-11-26T10:10:00.000Z' };
    const waiting: PurchaseOrder = { ...order, state: 'sent', deliveries: [], unanswered };
    const opened = await openSampleJob();
    await openStockroom(opened, { suppliers: [supplier], orders: [waiting] });
    const list = await render(OrderList);
    expect(list.find('.state').textContent).toBe('not confirmed');
    expect(list.find('.g-verdict').textContent.replace(/\s+/g, ' ')).toMatch(
      /was asked 2 times, the last time on 26 Nov, \d\d:05: no answer came within 10 s\. It is asked again by itself at \d\d:10/,
    );
    await list.press('button', 'It is confirmed');
    expect(list.find('[role=alert]').textContent).toContain('Say under which number they have it');
    (list.find('.by-hand input') as HTMLInputElement).value = ' by phone, Ms N. ';
    await list.press('button', 'It is confirmed');
    const answer = { order: 'PO-0001', reference: 'by phone, Ms N.', lines: [] };
    const byHand = opened.shopSent();
    expect(byHand.commands).toEqual([{ do: 'acknowledge-order', id: 'po', version: 4, answer }]);
    byHand.request.flush({ code: 'conflict', message: 'Somebody else has.', current: waiting }, { status: 409, statusText: 'stale' });
    await settle();
    await list.stable();
    await list.press('button', 'They do not have it');
    const off = opened.shopSent();
    expect(off.commands).toEqual([{ do: 'cancel-order', id: 'po', version: 4 }]);
    off.request.flush({ code: 'conflict', message: 'Somebody else has.', current: waiting }, { status: 409, statusText: 'stale' });
    await settle();
    await list.stable();
    await list.press('button', 'Ask again');
    const row = { ...waiting, version: 5, unanswered: { ...unanswered, tries: 3 } };
    opened.request('POST', '/api/orders/po/send').flush({ ...answerTo('k'), put: [{ type: 'order', row }] });
    await settle();
    await list.stable();
    expect(opened.messages.at(-1)!.text).toBe('PO-0001 is sent, and not confirmed');
    expect(list.text()).toContain('was asked 3 times');
  });

  it('of which the answer cannot be taken is not asked for again by itself', async () => {
    const unanswered = { tries: 1, at: '2026-11-26T10:05:00.000Z', why: 'This answers order PO-9999, not PO-0001.' };
    const opened = await openSampleJob();
    await openStockroom(opened, { suppliers: [supplier], orders: [{ ...order, state: 'sent', deliveries: [], unanswered }] });
    expect((await render(OrderList)).text()).toContain('It is not asked again by itself: ring them, with PO-0001.');
  });

  it('teaches while there is none', async () => {
    const opened = await openSampleJob();
    await openStockroom(opened);
    expect((await render(OrderList)).text()).toContain('Nothing is ordered for this job');
  });
});

describe('what comes in', () => {
  const opening = async () => {
    const opened = await openSampleJob();
    await openStockroom(opened, { suppliers: [supplier], orders: [order] });
    const dialog = await render(ReceiveDialog);
    dialog.fixture.componentInstance.start(order);
    opened
      .request('GET', '/api/orders/po/shipments')
      .flush({ shipments: [{ reference: 'N-1', on: '2020-01-31', lines: [{ key: 'k', packs: 2 }] }] });
    await settle();
    await dialog.stable();
    return { opened, dialog };
  };

  it('is filled in from the parcel, looked at before it is taken, and recorded with every check', async () => {
    const { opened, dialog } = await opening();
    await dialog.press('button', 'Take it in');
    expect(dialog.find('[role=alert]').textContent).toContain('Say how many packs came');
    await dialog.press('button', 'Parcel N-1');
    await dialog.press('button', 'Take it in');
    expect(dialog.find('[role=alert]').textContent).toContain('Nothing goes on the shelf unseen');
    await dialog.press('button', 'All looked at and good');
    await dialog.press('button', 'Take it in');
    expect(opened.shopSent().commands[0]).toMatchObject({
      do: 'receive-order',
      id: 'po',
      version: 4,
      delivery: {
        lines: [
          {
            key: 'k',
            packs: 2,
            checks: [
              { check: 'Compound as on the bag', ok: true },
              { check: 'Size measured', ok: true },
            ],
          },
        ],
      },
    });
  });

  it('is never more than is open', async () => {
    const { opened, dialog } = await opening();
    await dialog.type('Packs of O-ring that came', '9');
    await dialog.press('button', 'All looked at and good');
    await dialog.press('button', 'Take it in');
    expect(dialog.find('[role=alert]').textContent).toContain('3 are open, 9 cannot come');
    opened.http.expectNone('/api/shop/changes');
  });
});

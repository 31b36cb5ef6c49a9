import { TestBed } from '@angular/core/testing';
import { shelfId, type OfferPreview, type OfferRow, type PurchaseOrder, type StockCommand, type SupplierRow } from '@gewinde/core';
import { catalogue } from '../../../core/testing/sample-job';
import { openSampleJob, openStockroom, render, settle, type OpenJob } from '../../test/open-job';
import { findEntries, partByCode } from './find-entries';
import { Preferences } from '../data/preferences';
import { OfferDialog } from './offer-dialog';
import { PriceListDialog } from './price-list-dialog';
import { ShelfRoom } from './shelf';
import { SupplierOrders } from './supplier-orders';
import { SuppliersRoom } from './suppliers';
import { daysUntil, shortDay, today } from '../data/today';

const RING = 'o-ring fkm AS568-906';
const supplier: SupplierRow = { id: 's', name: 'North', currency: 'GBP', euros: 1.2, carriageMinor: 500, leadDays: 3, version: 2 };
const offer: OfferRow = {
  id: 'o',
  supplierId: 's',
  code: 'R6',
  holds: [{ part: RING, quantity: 10 }],
  prices: [{ fromPacks: 1, packMinor: 420 }],
  version: 3,
};
const sent = (opened: OpenJob): StockCommand => opened.shopSent().commands[0] as StockCommand;
const submit = async (form: HTMLElement) => {
  form.dispatchEvent(new Event('submit', { cancelable: true }));
  await settle();
};

describe('a price list', () => {
  const preview = (change: Partial<OfferPreview> = {}): OfferPreview => ({
    headings: ['code', 'price'],
    sample: [['R6', '5.00']],
    lines: 1,
    mapping: { code: 0, price: 1 },
    counts: { added: 0, changed: 1, unchanged: 0, errors: 0 },
    changes: [{ name: 'O-ring', code: 'R6', wasMinor: 420, packMinor: 500, holds: 25, held: 10, breaks: 0, breaksWere: 2 }],
    errors: [],
    ...change,
  });
  const opening = async () => {
    const opened = await openSampleJob();
    await openStockroom(opened, { suppliers: [supplier], offers: [offer] });
    const dialog = await render(PriceListDialog);
    dialog.fixture.componentInstance.supplier.set(supplier);
    await dialog.stable();
    const file = async (text: string, size = text.length) => {
      const input = dialog.find('input[type=file]') as HTMLInputElement;
      const bytes = new TextEncoder().encode(text);
      Object.defineProperty(input, 'files', { value: [{ size, arrayBuffer: async () => bytes.buffer }], configurable: true });
      input.dispatchEvent(new Event('change', { bubbles: true }));
      await settle();
      await dialog.stable();
    };
    return { opened, dialog, file };
  };
  const asked = (opened: OpenJob) => opened.request('POST', '/api/stockroom/prices/preview');

  it('shows what would change, packs and breaks too, before it is taken in whole', async () => {
    const { opened, dialog, file } = await opening();
    await file('code,price\nR6,5.00');
    const request = asked(opened);
    expect(request.request.body).toEqual({ supplierId: 's', csv: 'code,price\nR6,5.00' });
    request.flush(preview());
    await settle();
    await dialog.stable();
    const cells = dialog.all('table[aria-label=Preview] tbody td').map((td) => td.textContent.replace(/\s+/g, ' ').trim());
    expect(cells).toEqual(['R6', 'O-ring', '25, was 10', 'one price was 2', '4.20', '5.00']);
    await dialog.press('button', 'Take in 1 price');
    const take = opened.request('POST', '/api/stockroom/prices');
    expect(take.request.body).toMatchObject({ supplierId: 's', csv: 'code,price\nR6,5.00', mapping: { code: 0, price: 1 } });
    take.flush({ code: 'list-errors', message: 'Line 2: no. Nothing was taken in.' }, { status: 400, statusText: 'x' });
    await settle();
    await dialog.stable();
    expect(dialog.find('[role=alert]').textContent).toContain('Nothing was taken in');
    expect(opened.closed).toEqual([]);
  });

  it('with a fault in a line is not offered to be taken in', async () => {
    const { opened, dialog, file } = await opening();
    await file('code,price\nNOPE,5.00');
    const counts = { added: 0, changed: 0, unchanged: 0, errors: 1 };
    asked(opened).flush(
      preview({ counts, changes: [], errors: [{ line: 2, column: 'code', message: 'The catalogue has no code "NOPE".' }] }),
    );
    await settle();
    await dialog.stable();
    expect(dialog.text()).toContain('The catalogue has no code "NOPE"');
    expect(dialog.find('button', 'Take in')).toHaveProperty('disabled', true);
  });

  it('that is too large, or no list, is told, and another can be chosen', async () => {
    const { opened, dialog, file } = await opening();
    await file('x', 9_000_000);
    expect(dialog.find('[role=alert]').textContent).toContain('larger than 8 MB');
    await file('"half');
    asked(opened).flush({ code: 'list-unreadable', message: 'The list cannot be read.' }, { status: 400, statusText: 'x' });
    await settle();
    await dialog.stable();
    expect(dialog.find('[role=alert]').textContent).toContain('cannot be read');
    await file('code,price\nR6,5.00');
    asked(opened).flush(preview());
    await settle();
    await dialog.stable();
    expect(dialog.all('[role=alert]')).toEqual([]);
  });
});

describe('an offer', () => {
  const opening = async () => {
    const opened = await openSampleJob();
    await openStockroom(opened, { suppliers: [supplier], offers: [offer] });
    const dialog = await render(OfferDialog);
    return { opened, dialog };
  };

  it('that is new says which part it is, and how much', async () => {
    const { opened, dialog } = await opening();
    dialog.fixture.componentInstance.start(supplier, null);
    await dialog.stable();
    const save = () => dialog.press('button[type=submit], .filled');
    await save();
    expect(dialog.find('[role=alert]').textContent).toContain('Say which part it is');
    dialog.fixture.componentInstance['pick'](catalogueEntry(RING));
    await dialog.stable();
    await save();
    expect(dialog.find('[role=alert]').textContent).toContain('A price says from how many packs on, and how much');
    opened.http.expectNone('/api/shop/changes');
  });

  it('of hose is said in metres', async () => {
    const { dialog } = await opening();
    dialog.fixture.componentInstance.start(supplier, { ...offer, holds: [{ part: 'hose-ptfe-6', quantity: 2500 }], oneLength: true });
    await dialog.stable();
    expect(dialog.all('input').map((i) => (i as HTMLInputElement).value)).toContain('2.5');
    expect(dialog.text()).toContain('off the reel');
  });

  it('of hose is said and kept in feet where the house works in inches', async () => {
    const { opened, dialog: metric } = await opening();
    metric.fixture.destroy();
    TestBed.inject(Preferences).system.set('inch');
    const dialog = await render(OfferDialog);
    const feet = { ...offer, holds: [{ part: 'hose-ptfe-6', quantity: 3048 }], oneLength: true as const };
    dialog.fixture.componentInstance.start(supplier, feet);
    await dialog.stable();
    expect(dialog.find('li').textContent).toContain('ft of ');
    expect(dialog.field('How many of ' + dialog.find('li').textContent.split('ft of ')[1]!.split('Take out')[0]!.trim()).value).toBe('10');
    await dialog.press('button[type=submit], .filled');
    expect(sent(opened)).toMatchObject({ do: 'edit-offer', offer: { holds: [{ part: 'hose-ptfe-6', quantity: 3048 }] } });
  });

  it('is taken out with one press', async () => {
    const { opened, dialog } = await opening();
    dialog.fixture.componentInstance.start(supplier, offer);
    await dialog.stable();
    await dialog.press('button', 'No longer offered');
    expect(sent(opened)).toEqual({ do: 'delete-offer', id: 'o', version: 3 });
  });
});
const catalogueEntry = (id: string) => ({ kind: 'supply' as const, part: catalogue.supplies.find((s) => s.id === id)! });

describe('a supplier', () => {
  it('is not bought from any more once that is ticked, and stays so when something else of it is changed', async () => {
    const opened = await openSampleJob();
    await openStockroom(opened, { suppliers: [{ ...supplier, retired: true }] });
    const room = await render(SuppliersRoom, { supplier: 's' });
    expect(room.find('.name').textContent).toContain('not bought from any more');
    await room.type('Note', 'closed in spring');
    await submit(room.find('form', 'Keep it so'));
    expect(sent(opened)).toMatchObject({ do: 'edit-supplier', supplier: { retired: true, note: 'closed in spring', euros: 1.2 } });
  });

  it('that is new has a name before it is sent', async () => {
    const opened = await openSampleJob();
    await openStockroom(opened);
    const room = await render(SuppliersRoom, { supplier: 'new' });
    await submit(room.find('form', 'Add the supplier'));
    await room.stable();
    expect(room.find('[role=alert]').textContent).toContain('A supplier has a name');
    await room.type('Name', 'East');
    await room.type('Carriage', '7.9');
    await submit(room.find('form', 'Add the supplier'));
    expect(sent(opened)).toMatchObject({ do: 'add-supplier', supplier: { name: 'East', currency: 'EUR', euros: 1, carriageMinor: 790 } });
  });

  it('shows its orders that are not done, late ones as such, and asks again for an answer that did not come', async () => {
    const opened = await openSampleJob();
    const line = { key: 'k', name: 'O-ring', holds: [{ part: RING, quantity: 10 }], packs: 3, packMinor: 420, receivedPacks: 0 };
    const order: PurchaseOrder = {
      id: 'po',
      number: 'PO-0001',
      supplierId: 's',
      jobIds: [],
      state: 'sent',
      carriageMinor: 500,
      writtenOn: '2026-11-20',
      deliveries: [],
      lines: [{ ...line, due: '2020-01-01' }],
      version: 4,
    };
    await openStockroom(opened, {
      suppliers: [supplier],
      orders: [order, { ...order, id: 'done', number: 'PO-0002', state: 'complete' }, { ...order, id: 'other', supplierId: 'x' }],
    });
    const list = await render(SupplierOrders, { supplier: 's' });
    expect(list.all('.order')).toHaveLength(1);
    expect(list.find('.order').textContent.replace(/\s+/g, ' ')).toMatch(/PO-0001 ?sent, 1 line, € 17\.60, written 20 Nov ?late/);
    await list.press('button', 'Ask again');
    const request = opened.request('POST', '/api/orders/po/send');
    request.flush({ code: 'wrong-order', message: 'The supplier answers another order.' }, { status: 409, statusText: 'x' });
    await settle();
    await list.stable();
    expect(list.find('[role=alert]').textContent).toBe('The supplier answers another order.');
  });
});

describe('the shelf', () => {
  const opening = async (least: number) => {
    const opened = await openSampleJob();
    const stock = [{ id: shelfId(RING), part: RING, reserved: [], least, version: 5 }];
    await openStockroom(opened, { suppliers: [supplier], offers: [offer], stock });
    const room = await render(ShelfRoom, { part: RING });
    for (const r of opened.http.match((q) => q.url === '/api/jobs')) r.flush({ jobs: [], total: 0, behind: 0 });
    for (const r of opened.http.match((q) => q.url === '/api/stockroom/moves')) r.flush({ moves: [] });
    await settle();
    await room.stable();
    return { opened, room };
  };

  it('orders what is below its least from whoever has it, in euros', async () => {
    const { opened, room } = await opening(12);
    await room.press('button', 'Order 1 below their least');
    const request = opened.request('POST', '/api/plans/orders');
    expect(request.request.body).toMatchObject({
      problem: {
        needs: [{ part: RING, quantity: 12 }],
        offers: [{ id: 'o', prices: [{ packMinor: 504 }] }],
        suppliers: [{ id: 's', carriageMinor: 600 }],
      },
    });
    const none = { orders: [], totalMinor: 0, days: 0, proven: true, notOffered: [RING], late: [], left: [] };
    request.flush({ cost: none, soonest: none, fewest: none, singles: [] });
    await settle();
    await room.stable();
    expect(room.text()).toContain('Nobody offers what is below its least');
  });

  it('off a car is booked with what was looked at, by whom', async () => {
    const { opened, room } = await opening(0);
    await room.choose('What is done', 'put in, off a car');
    await room.type('How many', '2');
    for (const tick of room.all('input[type=checkbox]')) tick.click();
    await room.type('Who looked it over, initials', 'MO');
    await submit(room.find('form', 'Book it'));
    expect(sent(opened)).toMatchObject({
      do: 'move-stock',
      kind: 'salvage',
      quantity: 2,
      seen: 0,
      by: 'MO',
      checks: [
        { check: 'Compound as on the bag', ok: true },
        { check: 'Size measured', ok: true },
      ],
    });
  });
});

describe('what is scanned or typed', () => {
  it('is the one part of this code, id or name, however it is written; of several it is none', () => {
    const coded = { ...catalogue, supplies: catalogue.supplies.map((s) => (s.id === RING ? { ...s, code: 'K 08' } : s)) };
    expect(partByCode(coded, ' k 08 ')?.part.id).toBe(RING);
    expect(partByCode(coded, RING.toUpperCase())?.part.id).toBe(RING);
    expect(partByCode(coded, 'nothing')).toBeUndefined();
    const two = { ...coded, hoses: coded.hoses.map((h, i) => (i < 2 ? { ...h, code: 'SAME' } : h)) };
    expect(partByCode(two, 'same')).toBeUndefined();
  });

  it('by words is found in any order, retired parts left out, no more than asked for', () => {
    expect(findEntries(catalogue, 'fkm 906').map((e) => e.part.id)).toContain(RING);
    expect(findEntries(catalogue, '906 FKM').map((e) => e.part.id)).toContain(RING);
    expect(findEntries(catalogue, 'o-ring', 3)).toHaveLength(3);
    expect(findEntries(catalogue, 'o-ring', 3, (e) => e.kind === 'hose')).toEqual([]);
    const retired = { ...catalogue, supplies: catalogue.supplies.map((s) => ({ ...s, retired: true })) };
    expect(findEntries(retired, 'fkm 906')).toEqual([]);
  });
});

it('days are those of the calendar here', () => {
  expect(today(new Date(2026, 0, 5, 23, 59))).toBe('2026-01-05');
  expect([daysUntil('2026-12-01', '2026-11-26'), daysUntil('2026-11-20', '2026-11-26')]).toEqual([5, -6]);
  expect(daysUntil('2027-03-29', '2027-03-27')).toBe(2);
  expect(shortDay('2026-11-06')).toBe('6 Nov');
});

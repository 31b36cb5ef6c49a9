import { shelfId, type HoseLength, type OfferRow, type StockCommand, type SupplierRow } from '@gewinde/core';
import { readTextFile } from '../shared/read-text-file';
import { openSampleJob, openStockroom, render, settle, type OpenJob } from '../../test/open-job';
import { OfferDialog } from './offer-dialog';
import { RackRoom } from './rack';
import { ShelfRoom } from './shelf';
import { StoreRulesDialog } from './store-rules-dialog';
import { SuppliersRoom } from './suppliers';

const RING = 'o-ring fkm AS568-906';
const jobs = (opened: OpenJob): void => {
  for (const r of opened.http.match((q) => q.url === '/api/jobs'))
    r.flush({ jobs: [{ job: { id: 'job', number: '2403', name: 'Magpie' } }], total: 1, behind: 0 });
};
const sent = (opened: OpenJob): StockCommand => opened.shopSent().commands[0] as StockCommand;

describe('the shelf', () => {
  const opening = async (inputs: Record<string, unknown>) => {
    const opened = await openSampleJob();
    await openStockroom(opened, {
      stock: [{ id: shelfId(RING), part: RING, reserved: [{ jobId: 'job', quantity: 2 }], least: 9, place: 'drawer 1', version: 5 }],
    });
    const room = await render(ShelfRoom, inputs);
    jobs(opened);
    for (const r of opened.http.match((q) => q.url === '/api/stockroom/moves'))
      r.flush({ moves: [{ at: '2026-11-01T10:00:00Z', kind: 'count', quantity: 4, by: 'TK', note: 'drawer' }] });
    await settle();
    await room.stable();
    return { opened, room };
  };

  it('tells how a part is kept and was moved, and books what is done with it', async () => {
    const { opened, room } = await opening({ part: RING });
    expect(room.text()).toContain('2 kept back for 2403 Magpie');
    expect(room.find('.moves').textContent).toContain('TK');
    expect(room.text()).toContain('Order 1 below their least');
    await room.choose('What is done', 'keep back for a job');
    await room.choose('For', '2403 Magpie');
    await room.type('How many', '3');
    room.find('form', 'Book it').dispatchEvent(new Event('submit', { cancelable: true }));
    await settle();
    expect(sent(opened)).toMatchObject({ do: 'move-stock', part: RING, kind: 'reserve', quantity: 3, seen: 0, jobId: 'job' });
  });

  it('keeps a least and a place, and takes them away again', async () => {
    const { opened, room } = await opening({ part: RING });
    await room.type('At least', '');
    await room.type('Where it lies', 'drawer 7');
    room.find('form', 'Keep it so').dispatchEvent(new Event('submit', { cancelable: true }));
    await settle();
    expect(sent(opened)).toEqual(expect.objectContaining({ do: 'keep-stock', version: 5, least: null, place: 'drawer 7' }));
  });

  it('says of a code that is none', async () => {
    const { room } = await opening({});
    await room.type('Count: scan or type a code', 'what is this');
    room.find('form.scan').dispatchEvent(new Event('submit', { cancelable: true }));
    await room.stable();
    expect(room.find('[role=alert]').textContent).toContain('"what is this" is the code, id or name of no one part');
  });
});

describe('the rack', () => {
  const length = (change: Partial<HoseLength>): HoseLength => ({
    id: 'H-1',
    part: 'hose-ptfe-6',
    kind: 'offcut',
    mm: 900,
    since: '2026-01-01',
    state: 'there',
    version: 2,
    ...change,
  });
  const opening = async (lengths: HoseLength[], inputs: Record<string, unknown> = {}) => {
    const opened = await openSampleJob();
    await openStockroom(opened, { lengths });
    const room = await render(RackRoom, inputs);
    jobs(opened);
    await room.stable();
    return { opened, room };
  };

  it('shows each length by its hose, the shortest that does first where a length is looked for', async () => {
    const { room } = await opening([
      length({}),
      length({ id: 'H-2', mm: 4000, kind: 'reel' }),
      length({ id: 'H-3', mm: 600 }),
      length({ id: 'H-4', state: 'used' }),
    ]);
    expect(room.all('.row strong').map((e) => e.textContent)).toEqual(['H-2', 'H-1', 'H-3']);
    await room.type('At least so long', '700');
    expect(room.all('.row strong').map((e) => e.textContent)).toEqual(['H-1', 'H-2']);
  });

  it('measures a length, keeps it for a job, and throws it away', async () => {
    const { opened, room } = await opening([length({})], { length: 'H-1' });
    await room.type('As measured', '880');
    await room.choose('Kept for', '2403 Magpie');
    room.find('form', 'Keep it so').dispatchEvent(new Event('submit', { cancelable: true }));
    await settle();
    const change = opened.shopSent();
    expect(change.commands[0]).toMatchObject({ do: 'edit-length', id: 'H-1', version: 2, set: { mm: 880, jobId: 'job', place: null } });
    change.request.flush({ code: 'conflict', message: 'Somebody else has changed H-1.' }, { status: 409, statusText: 'x' });
    await settle();
    await room.stable();
    expect(room.find('[role=alert]').textContent).toContain('Somebody else');
    await room.press('button', 'Throw away');
    expect(sent(opened)).toMatchObject({ do: 'scrap-length', id: 'H-1' });
  });

  it('asks who looked over what is off a car', async () => {
    const { opened, room } = await opening([length({ salvaged: true })], { length: 'H-1' });
    room.find('form', 'Looked over, sound').dispatchEvent(new Event('submit', { cancelable: true }));
    await room.stable();
    expect(room.find('[role=alert]').textContent).toContain('Who looked it over');
    await room.type('Your initials', 'MO');
    room.find('form', 'Looked over, sound').dispatchEvent(new Event('submit', { cancelable: true }));
    await settle();
    expect(sent(opened)).toMatchObject({ do: 'edit-length', set: { inspected: { by: 'MO' } } });
  });
});

const supplier: SupplierRow = {
  id: 's',
  name: 'North',
  currency: 'EUR',
  euros: 1,
  carriageMinor: 790,
  freeFromMinor: 15_000,
  leadDays: 3,
  version: 2,
};
const offer: OfferRow = {
  id: 'o',
  supplierId: 's',
  code: 'R6',
  holds: [{ part: RING, quantity: 10 }],
  prices: [
    { fromPacks: 1, packMinor: 420 },
    { fromPacks: 5, packMinor: 360 },
  ],
  version: 3,
};

describe('suppliers', () => {
  it('show their terms and offers, and are kept as they are said', async () => {
    const opened = await openSampleJob();
    await openStockroom(opened, { suppliers: [supplier], offers: [offer] });
    const room = await render(SuppliersRoom, { supplier: 's' });
    expect(room.find('tr', 'R6').textContent.replace(/\s+/g, ' ')).toMatch(/10 pieces.*4\.20.*5: 3\.60.*3/);
    await room.type('None from an order of', '');
    await room.type('Takes back within days', '14');
    await room.type('and keeps, %', '20');
    room.find('form', 'Keep it so').dispatchEvent(new Event('submit', { cancelable: true }));
    await settle();
    const command = sent(opened);
    expect(command).toMatchObject({
      do: 'edit-supplier',
      id: 's',
      version: 2,
      supplier: { carriageMinor: 790, returnDays: 14, returnKeepsPercent: 20 },
    });
    expect((command as { supplier: object }).supplier).not.toHaveProperty('freeFromMinor');
  });

  it('an offer is held against the rule for offers before it is sent', async () => {
    const opened = await openSampleJob();
    await openStockroom(opened, { suppliers: [supplier], offers: [offer] });
    const dialog = await render(OfferDialog);
    dialog.fixture.componentInstance.start(supplier, offer);
    await dialog.stable();
    const from = dialog.all('input').filter((e) => e.getAttribute('formcontrolname') === 'fromPacks') as HTMLInputElement[];
    from[1]!.value = '1';
    from[1]!.dispatchEvent(new Event('input', { bubbles: true }));
    await dialog.press('button', 'Keep it so');
    expect(dialog.find('[role=alert]').textContent).toContain('Prices go from fewer packs to more');
    from[1]!.value = '4';
    from[1]!.dispatchEvent(new Event('input', { bubbles: true }));
    await dialog.press('button', 'Keep it so');
    expect(sent(opened)).toMatchObject({
      do: 'edit-offer',
      id: 'o',
      version: 3,
      offer: { prices: [{ fromPacks: 1 }, { fromPacks: 4, packMinor: 360 }] },
    });
  });
});

it('the rules of store and saw are set over what stood there; another set meanwhile is told first', async () => {
  const opened = await openSampleJob();
  await openStockroom(opened);
  const dialog = await render(StoreRulesDialog);
  await dialog.type('The saw takes', '3');
  await dialog.press('button', 'Set');
  const change = opened.shopSent();
  expect(change.commands[0]).toMatchObject({ do: 'set-store-rules', version: 0, rules: { kerfMm: 3, endTrimMm: 10 } });
  change.request.flush({ code: 'conflict', message: 'Changed meanwhile.', current: { version: 7 } }, { status: 409, statusText: 'x' });
  await settle();
  await dialog.stable();
  expect(dialog.find('[role=alert]').textContent).toContain('Set again to put yours over it');
  await dialog.press('button', 'Set');
  expect(opened.shopSent().commands[0]).toMatchObject({ version: 7 });
});

it.each([
  ['UTF-8', [0xef, 0xbb, 0xbf, 0xc3, 0xbc], 'ü'],
  ['UTF-8 without a mark', [0xc3, 0xbc], 'ü'],
  ['UTF-16, little end first', [0xff, 0xfe, 0xfc, 0x00], 'ü'],
  ['UTF-16, big end first', [0xfe, 0xff, 0x00, 0xfc], 'ü'],
  ['Windows-1252', [0xfc], 'ü'],
])('a list is read in %s', async (_, bytes, text) => {
  const file = { arrayBuffer: async () => new Uint8Array(bytes).buffer } as Blob;
  expect((await readTextFile(file)).replace('\ufeff', '')).toBe(text);
});

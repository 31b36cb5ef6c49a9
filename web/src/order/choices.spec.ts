import type { HoseLength, OfferRow, StockCommand, SupplierRow } from '@gewinde/core';
import { catalogue } from '../../../core/testing/sample-job';
import { openSampleJob, openStockroom, render, settle, type OpenJob } from '../../test/open-job';
import { EitherOrDialog } from './either-or-dialog';
import { KitsDialog } from './kits-dialog';
import { SparesDialog } from './spares-dialog';
import { SubstitutesDialog } from './substitutes-dialog';

const RING = 'o-ring fkm AS568-906';
const END = 'end-ptfe-6-45';
const supplier = (change: Partial<SupplierRow> = {}): SupplierRow => ({
  id: 's',
  name: 'North',
  currency: 'GBP',
  euros: 1.2,
  carriageMinor: 500,
  leadDays: 3,
  version: 1,
  ...change,
});
const offer = (id: string, part: string, packMinor: number, change: Partial<OfferRow> = {}): OfferRow => ({
  id,
  supplierId: 's',
  holds: [{ part, quantity: 1 }],
  prices: [{ fromPacks: 1, packMinor }],
  version: 1,
  ...change,
});
const reel: HoseLength = { id: 'H-1', part: 'hose-ptfe-6', kind: 'reel', mm: 50_000, since: '2026-01-01', state: 'there', version: 1 };

describe('while it is not certain', () => {
  const opening = async (change: Partial<SupplierRow> = {}) => {
    const opened = await openSampleJob();
    const ends = [30, 45, 60].map((deg) => offer(`e${deg}`, `end-ptfe-6-${deg}`, 1000, { leadDays: 4 }));
    await openStockroom(opened, { suppliers: [supplier({ returnDays: 14, returnKeepsPercent: 10, ...change })], offers: ends });
    const dialog = await render(EitherOrDialog);
    await dialog.choose('What may turn out otherwise', 'L1 Line 1, end B: another angle');
    return { opened, dialog };
  };
  const sums = (dialog: Awaited<ReturnType<typeof opening>>['dialog']): string[] =>
    dialog.all('.plans section').map((s) => s.textContent.replace(/\s+/g, ' ').trim());

  it('weighs what is bought now against what waiting costs, as drawn first', async () => {
    const { dialog } = await opening();
    const shares = dialog.all('.share') as HTMLInputElement[];
    expect(shares.map((s) => s.value)).toEqual(['70', '15', '15']);
    const [best, wait, all] = sums(dialog);
    // 12.00 € an end; four days at 60 € where it is waited for
    expect(wait).toContain('€ 252.00 on average');
    expect(wait).toContain('at worst 4 days standing');
    // three ends for 36.00, two of which go back less a tenth
    expect(all).toContain('€ 14.40 on average');
    expect(all).toContain('€ 36.00 now, no day lost');
    expect(best).toContain('€ 14.40 on average');
    expect(all).toContain('may go back');
  });

  it('follows how likely a case is, and what a day costs; a share that is none is left as it was', async () => {
    const { dialog } = await opening({ returnDays: undefined as never, returnKeepsPercent: undefined as never });
    await dialog.type('A day of waiting costs, €', '0');
    expect(sums(dialog)[0]).toContain('Ready for what all cases share; € 0.00 now');
    await dialog.type('A day of waiting costs, €', '5');
    const set = async (name: string, value: string) => {
      const field = dialog.field(`How likely is ${name}, %`);
      field.value = value;
      field.dispatchEvent(new Event('change', { bubbles: true }));
      await dialog.stable();
    };
    await set('45°', '100');
    await set('30°', '0');
    await set('60°', '0');
    // certain: what is bought is needed, and nothing is lost
    expect(sums(dialog)[0]).toMatch(/€ 12\.00 on average Ready for 45°/);
    await set('45°', '140');
    expect(sums(dialog)[0]).toMatch(/€ 12\.00 on average Ready for 45°/);
  });

  it('orders by the terms of the supplier, in euros, and says why on the order', async () => {
    const { opened, dialog } = await opening({ leastOrderMinor: 2000 });
    await dialog.press('.plans section.best button', 'Order this');
    const request = opened.request('POST', '/api/plans/orders');
    const { problem } = request.request.body as { problem: { suppliers: object[]; needs: { part: string; quantity: number }[] } };
    expect(problem.suppliers).toEqual([{ id: 's', carriageMinor: 600, leastOrderMinor: 2400 }]);
    expect(problem.needs.map((n) => n.quantity)).toEqual([1, 1, 1]);
    const lines = [{ offer: 'e45', packs: 1, packMinor: 1200, totalMinor: 1200 }];
    const cost = { orders: [{ supplier: 's', lines, goodsMinor: 1200, carriageMinor: 600, days: 4 }], totalMinor: 1800, days: 4 };
    const plan = { ...cost, proven: true, notOffered: [], late: [], left: [] };
    request.flush({ cost: plan, soonest: plan, fewest: plan, singles: [] });
    await settle();
    const [command] = opened.shopSent().commands as StockCommand[];
    expect(command).toMatchObject({
      do: 'write-order',
      supplierId: 's',
      note: 'Not certain yet: L1 Line 1, end B: another angle. What is not needed goes back.',
      lines: [{ offerId: 'e45', packMinor: 1200 }],
    });
  });

  it('where nothing has to be bought says so, and keeps the dialog', async () => {
    const { opened, dialog } = await opening();
    await dialog.press('.plans section.best button', 'Order this');
    const none = { orders: [], totalMinor: 0, days: 0, proven: true, notOffered: [], late: [], left: [] };
    opened.request('POST', '/api/plans/orders').flush({ cost: none, soonest: none, fewest: none, singles: [] });
    await settle();
    await dialog.stable();
    expect(dialog.find('[role=alert]').textContent).toContain('The shelf has it all');
    expect(opened.closed).toEqual([]);
  });
});

describe('a kit', () => {
  it('is held against the job in words, with what it costs singly', async () => {
    const opened = await openSampleJob();
    const kit = offer('kit', RING, 3000, {
      name: 'Feed kit',
      holds: [
        { part: RING, quantity: 3 },
        { part: 'hose-ptfe-8', quantity: 2000 },
      ],
    });
    await openStockroom(opened, { suppliers: [supplier()], offers: [kit, offer('o', RING, 100)], lengths: [reel] });
    const dialog = await render(KitsDialog);
    const text = dialog.text();
    expect(text).toContain('1 of 2 parts fit; € 36.00 against € 2.40 singly');
    expect(text).toMatch(/2 × O-ring FKM AS568-906, 1 × left over/);
    expect(text).toMatch(/2\.00 m .*size -8, not -\d+, as in/);
    expect(text).toMatch(/Missing: \d+ parts of the job are not in it/);
  });

  it('teaches what one is where nobody offers any', async () => {
    const opened = await openSampleJob();
    await openStockroom(opened);
    expect((await render(KitsDialog)).find('a', 'add one in Store').getAttribute('href')).toBe('/store/suppliers');
  });
});

describe('spares', () => {
  const asked = (opened: OpenJob) => opened.request('POST', '/api/plans/spares');
  const opening = async () => {
    const opened = await openSampleJob();
    await openStockroom(opened, { suppliers: [supplier()], offers: [offer('o', END, 900, { leadDays: 20 })] });
    const dialog = await render(SparesDialog);
    return { opened, dialog };
  };

  it('are asked for by line, hose by its length, and told with what nobody brings in time', async () => {
    const { opened, dialog } = await opening();
    expect(dialog.find('[role=status]').textContent).toContain('Working it out');
    const request = asked(opened);
    const { lines, carried } = request.request.body as {
      lines: { line: string; needs: { part: string }[] }[];
      carried: { part: string; byLength?: boolean }[];
    };
    expect(lines.map((l) => l.line)).toEqual(['L1', 'L2', 'L3']);
    expect(lines[0]!.needs.map((n) => n.part)).toEqual(expect.arrayContaining([END, RING, 'hose-ptfe-6']));
    expect(
      carried
        .filter((c) => c.byLength)
        .map((c) => c.part)
        .sort(),
    ).toEqual(['hose-fuel-10', 'hose-ptfe-10', 'hose-ptfe-6']);
    request.flush({
      proven: true,
      parts: [
        { part: END, quantity: 1, lines: ['L1'] },
        { part: 'hose-ptfe-6', quantity: 611, lines: ['L1', 'L2'] },
      ],
    });
    await settle();
    await dialog.stable();
    expect(dialog.text()).toContain('2 kinds of part, no smaller set does');
    expect(dialog.find('tr', 'carry one: nobody brings it within 7 days').textContent).toContain(
      catalogue.hoseEnds.find((e) => e.id === END)!.name,
    );
    expect(dialog.find('tr', 'L1 L2').textContent).toContain('0.61\u2009m');
  });

  it('say why there are none', async () => {
    const { opened, dialog } = await opening();
    asked(opened).flush({ code: 'server-busy', message: 'Too much at once.' }, { status: 503, statusText: 'busy' });
    await settle();
    await dialog.stable();
    expect(dialog.find('[role=alert]').textContent).toBe('Too much at once.');
    const empty = await openSampleJob({ lines: [] });
    await openStockroom(empty);
    expect((await render(SparesDialog)).text()).toContain('No line of this job is whole yet');
    empty.http.expectNone('/api/plans/spares');
  });
});

it('what mates the same way is told with what is other about it, and leads to its card', async () => {
  const end = catalogue.hoseEnds.find((e) => e.id === END)!;
  const twin = { ...end, id: 'twin', name: 'Twin end', aMm: end.aMm + 5, shelf: 4, priceMinor: 1234, leadDays: 9 };
  await openSampleJob({}, undefined, { hoseEnds: [...catalogue.hoseEnds, twin] });
  const dialog = await render(SubstitutesDialog);
  dialog.fixture.componentInstance.part.set(END);
  await dialog.stable();
  expect(dialog.find('h2').textContent).toBe(`In place of ${end.name}`);
  expect(dialog.all('tbody td').map((td) => td.textContent.trim())).toEqual(['Twin end', '5 mm longer along the hose', '4', '12.34', '9']);
  expect(dialog.find('a', 'Twin end').getAttribute('href')).toBe('/store?part=twin');
});

import { document, feed, withPiece } from '../../../core/testing/sample-job';
import { Cut } from '../cut/cut';
import { at, openSampleJob, openStockroom, render } from '../../test/open-job';
import { PartsListView } from './parts-list';

async function openCut(...given: Parameters<typeof openSampleJob>) {
  const opened = await openSampleJob(...given);
  await at({ show: 'tickets' });
  await openStockroom(opened);
  return render(Cut);
}

describe('the cut tickets', () => {
  it('carry number, cut length in both units, drawing, dial where both ends are bent, and a label for each end', async () => {
    const cut = await openCut();
    const tickets = cut.all('article');
    expect(tickets.map((t) => t.getAttribute('aria-label'))).toEqual(['Ticket 2403-L1', 'Ticket 2403-L2', 'Ticket 2403-L3']);
    expect(tickets[0]!.textContent).toMatch(/cut\s*\d+\u2009mm\s*\d+ \d+\/\d+\u2009in/);
    expect(tickets.map((t) => t.querySelectorAll('g-dial').length)).toEqual([0, 1, 0]);
    expect([...tickets[1]!.querySelectorAll('.label > div > strong')].map((e) => e.textContent)).toEqual(['2403-L2 A', '2403-L2 B']);
    expect(tickets[0]!.querySelector('svg')!.getAttribute('aria-label')).toContain('Cut length');
    // whose it is and of what day, as taped, over which adapters and to which torque
    expect(tickets[0]!.textContent).toMatch(/taped 664/);
    expect(tickets[0]!.textContent).toContain('over Adapter, m14x1.5 m washer to an6 m');
    expect(tickets[0]!.querySelector('.torque')!.textContent).toMatch(/N·m|flats/);
    expect(tickets[0]!.querySelector('img')!.getAttribute('src')).toBe('/api/codes.svg?text=%232403-L1.A');
  });

  it('list what cannot be cut yet with its reasons, and print', async () => {
    const print = jest.spyOn(window, 'print').mockImplementation(() => undefined);
    const cut = await openCut({ lines: [withPiece(feed, { length: null })] });
    expect(cut.find('.waiting').textContent).toContain('No length taped.');
    expect(cut.find('.waiting a').getAttribute('href')).toBe('/job/job/lines/line1');
    expect(cut.text()).toContain('No hose can be cut yet');
    expect(cut.find('button', 'Print')).toHaveProperty('disabled', true);
    expect(print).not.toHaveBeenCalled();
  });

  it('send the tickets to the printer', async () => {
    const print = jest.spyOn(window, 'print').mockImplementation(() => undefined);
    await (await openCut()).press('button', 'Tickets as they stand here');
    expect(print).toHaveBeenCalledTimes(1);
  });
});

describe('the parts list', () => {
  it('is grouped as it is picked, seals included, with a drawing for each part and a total', async () => {
    await openSampleJob();
    const order = await render(PartsListView);
    expect(order.all('.group').map((g) => g.textContent.trim())).toEqual(['Hose ends', 'Adapters', 'Seals', 'Hose', 'Clamps and sealant']);
    const row = order.find('tbody tr', 'PTFE hose, steel braid, -6');
    expect(row.querySelector('.number')!.textContent).toMatch(/^0\.\d{3}\u2009m$/);
    expect(order.find('tbody tr', 'O-ring FKM AS568-906').querySelectorAll('.number')[3]!.textContent).toBe('—');
    expect(order.all('td.pic svg').length).toBeGreaterThan(6);
    expect(order.find('.sum').textContent).toMatch(/without a price/);
    expect(order.find('a', 'As CSV').getAttribute('href')).toBe('/api/jobs/job/parts.csv');
    expect(order.find('a', 'As PDF').getAttribute('href')).toBe('/api/jobs/job/parts.pdf?units=metric');
    expect(order.find('.printed').textContent).toContain('2403');
  });

  it('says of hose that its price is a metre', async () => {
    await openSampleJob();
    const order = await render(PartsListView);
    const hose = order.all('tbody tr').find((row) => /PTFE hose/.test(row.textContent))!;
    expect(hose.textContent).toContain('a metre');
    expect(order.all('tbody tr').filter((row) => row.textContent.includes('a metre')).length).toBeLessThan(4);
  });

  it('links each part to the lines it is for', async () => {
    await openSampleJob();
    const order = await render(PartsListView);
    expect(order.find('tbody tr', 'Hose clamp').querySelector('a')!.getAttribute('href')).toBe('/job/job/lines/line3');
  });

  it('names the lines that are open, and teaches while there is nothing', async () => {
    await openSampleJob({ lines: [withPiece(feed, { length: null })] });
    expect((await render(PartsListView)).find('.attention').textContent).toContain('L1 is still open');
    await openSampleJob({ ...document, lines: [] });
    expect((await render(PartsListView)).text()).toContain('Nothing to order yet');
  });
});

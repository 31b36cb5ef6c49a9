import { document, feed, withPiece } from '../../../core/testing/sample-job';
import { Cut } from '../cut/cut';
import { openSampleJob, render } from '../../test/open-job';
import { Order } from './order';

describe('the cut tickets', () => {
  it('carry number, cut length in both units, drawing, dial where both ends are bent, and a label for each end', async () => {
    await openSampleJob();
    const cut = await render(Cut);
    const tickets = cut.all('article');
    expect(tickets.map((t) => t.getAttribute('aria-label'))).toEqual(['Ticket 2403-L1', 'Ticket 2403-L2', 'Ticket 2403-L3']);
    expect(tickets[0]!.textContent).toMatch(/cut\s*\d+\u2009mm\s*\d+ \d+\/\d+\u2009in/);
    expect(tickets.map((t) => t.querySelectorAll('g-dial').length)).toEqual([0, 1, 0]);
    expect([...tickets[1]!.querySelectorAll('.label strong')].map((e) => e.textContent)).toEqual(['2403-L2 A', '2403-L2 B']);
    expect(tickets[0]!.querySelector('svg')!.getAttribute('aria-label')).toContain('Cut length');
  });

  it('list what cannot be cut yet with its reasons, and print', async () => {
    await openSampleJob({ lines: [withPiece(feed, { length: null })] });
    const print = jest.spyOn(window, 'print').mockImplementation(() => undefined);
    const cut = await render(Cut);
    expect(cut.find('.waiting').textContent).toContain('No length taped.');
    expect(cut.find('.waiting a').getAttribute('href')).toBe('/job/job/lines/line1');
    expect(cut.text()).toContain('No hose can be cut yet');
    expect(cut.find('button', 'Print')).toHaveProperty('disabled', true);
    expect(print).not.toHaveBeenCalled();
  });

  it('send the tickets to the printer', async () => {
    await openSampleJob();
    const print = jest.spyOn(window, 'print').mockImplementation(() => undefined);
    await (await render(Cut)).press('button', 'Print the tickets');
    expect(print).toHaveBeenCalledTimes(1);
  });
});

describe('the parts list', () => {
  it('is grouped as it is picked, seals included, with a drawing for each part and a total', async () => {
    await openSampleJob();
    const order = await render(Order);
    expect(order.all('.group').map((g) => g.textContent.trim())).toEqual(['Hose ends', 'Adapters', 'Seals', 'Hose', 'Clamps and sealant']);
    const row = order.find('tbody tr', 'PTFE hose, steel braid, -6');
    expect(row.querySelector('.number')!.textContent).toMatch(/^0\.\d{3}\u2009m$/);
    expect(order.find('tbody tr', 'O-ring FKM AS568-906').querySelectorAll('.number')[1]!.textContent).toBe('—');
    expect(order.all('td.pic svg').length).toBeGreaterThan(6);
    expect(order.find('tfoot').textContent).toMatch(/without a price/);
    expect(order.find('a', 'As CSV').getAttribute('href')).toBe('/api/jobs/job/parts.csv');
  });

  it('says of hose that its price is a metre', async () => {
    await openSampleJob();
    const order = await render(Order);
    const hose = order.all('tbody tr').find((row) => /PTFE hose/.test(row.textContent))!;
    expect(hose.textContent).toContain('a metre');
    expect(order.all('tbody tr').filter((row) => row.textContent.includes('a metre')).length).toBeLessThan(4);
  });

  it('links each part to the lines it is for', async () => {
    await openSampleJob();
    const order = await render(Order);
    expect(order.find('tbody tr', 'Hose clamp').querySelector('a')!.getAttribute('href')).toBe('/job/job/lines/line3');
  });

  it('names the lines that are open, and teaches while there is nothing', async () => {
    await openSampleJob({ lines: [withPiece(feed, { length: null })] });
    expect((await render(Order)).find('.attention').textContent).toContain('L1 is still open');
    await openSampleJob({ ...document, lines: [] });
    expect((await render(Order)).text()).toContain('Nothing to order yet');
  });
});

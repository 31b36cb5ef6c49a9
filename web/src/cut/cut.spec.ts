import { TestBed } from '@angular/core/testing';
import { NgbModal } from '@ng-bootstrap/ng-bootstrap';
import type { HoseLength, StockCommand } from '@gewinde/core';
import { openSampleJob, openStockroom, render, settle, type OpenJob } from '../../test/open-job';
import { Preferences } from '../data/preferences';
import { Cut } from './cut';
import { MeasuredDialog } from './measured-dialog';

const reel: HoseLength = {
  id: 'H-1',
  part: 'hose-ptfe-6',
  kind: 'reel',
  mm: 5000,
  place: 'rack A',
  since: '2026-01-01',
  state: 'there',
  version: 3,
};

async function open(lengths: HoseLength[] = [reel]) {
  const opened = await openSampleJob();
  await openStockroom(opened, { lengths });
  const cut = await render(Cut);
  return { opened, cut };
}
const sent = (opened: OpenJob): StockCommand => opened.shopSent().commands[0] as StockCommand;

describe('the cut plan', () => {
  it('shows the first plan at once, and the proven one when it is there', async () => {
    const { opened, cut } = await open();
    expect(cut.find('[role=status]').textContent).toContain('being proven');
    expect(cut.find('.piece', 'L1').textContent).toContain('611');
    await new Promise((resolve) => setTimeout(resolve, 200));
    const request = opened.request('POST', '/api/plans/cuts');
    const { groups, rules } = request.request.body as { groups: { part: string; lengths: object[] }[]; rules: object };
    expect(groups.find((g) => g.part === 'hose-ptfe-6')!.lengths).toEqual([{ id: 'H-1', kind: 'reel', mm: 5000 }]);
    expect(rules).toEqual({ kerfMm: 2, endTrimMm: 10, leastOffcutMm: 250, offcutsFirst: true });
    request.flush({ code: 'server-busy', message: 'Too much at once.' }, { status: 503, statusText: 'busy' });
    await settle();
    await cut.stable();
    expect(cut.text()).toContain('Shown is the first plan, not the least');
  });

  it('is told in feet where the house works in inches: what hangs there, what is to be bought, what a spoiled piece costs', async () => {
    const { cut } = await open([{ ...reel, mm: 4877 }]);
    TestBed.inject(Preferences).system.set('inch');
    await cut.stable();
    expect(cut.text()).toContain('rack A, 16.0 ft left');
    expect(cut.text()).toMatch(/\d\.\d ft to be bought/);
    expect(cut.find('g-cut-bars').textContent).not.toMatch(/\d.?(mm|m)\b/);
  });

  it('books a piece as planned with one press, and says who', async () => {
    const { opened, cut } = await open();
    const field = cut.find('.by input') as HTMLInputElement;
    field.value = 'TK';
    field.dispatchEvent(new Event('input', { bubbles: true }));
    field.dispatchEvent(new Event('change', { bubbles: true }));
    await cut.press('button', 'Cut, 611');
    expect(sent(opened)).toMatchObject({
      do: 'cut-piece',
      ticket: '2403-L1',
      lengthId: 'H-1',
      lengthVersion: 3,
      plannedMm: 611,
      measuredMm: 611,
      trimmedMm: 10,
      of: 'hose',
      by: 'TK',
    });
  });

  it('books what was measured, with what is left', async () => {
    const { opened, cut } = await open();
    const form = { start: jest.fn() };
    jest
      .spyOn(TestBed.inject(NgbModal), 'open')
      .mockReturnValue({ componentInstance: form, result: Promise.resolve({ measuredMm: 615, trimmedMm: 12, leftMm: 4300 }) } as never);
    await cut.press('button', 'Measured');
    expect(form.start).toHaveBeenCalledWith('2403-L1', 611, 5000, 10);
    expect(sent(opened)).toMatchObject({ measuredMm: 615, trimmedMm: 12, leftMm: 4300 });
  });

  it('keeps the piece to be cut where somebody else took the length, and says so', async () => {
    const { opened, cut } = await open();
    await cut.press('button', 'Cut, 611');
    const { request } = opened.shopSent();
    request.flush({ code: 'conflict', message: 'H-1 is not on the rack any more.' }, { status: 409, statusText: 'conflict' });
    await settle();
    await cut.stable();
    expect(opened.messages.at(-1)).toMatchObject({ tone: 'error', text: 'H-1 is not on the rack any more.' });
    expect(cut.find('button', 'Cut, 611')).toHaveProperty('disabled', false);
  });

  it('tells what waits for hose that is to be bought, and shows no press for it', async () => {
    const { cut } = await open([]);
    expect(cut.find('aside .attention').textContent).toContain('waits for hose');
    expect(cut.text()).toContain('Nothing can be sawn');
    expect(cut.all('.bar.new').length).toBeGreaterThan(0);
  });

  it('draws what was cut on its bar, and tells of one that is too short by now', async () => {
    const opened = await openSampleJob();
    const made = {
      jobId: 'job',
      lineId: 'line1',
      piece: 'p1',
      of: 'hose',
      part: 'hose-ptfe-6',
      lengthId: 'H-1',
      plannedMm: 611,
      trimMm: 0,
      at: '',
      version: 1,
    } as const;
    await openStockroom(opened, { lengths: [reel], cuts: [{ ...made, id: 'c', ticket: '2403-L1', measuredMm: 600, state: 'cut' }] });
    const cut = await render(Cut);
    expect(cut.find('.piece.done').textContent).toContain('L1');
    expect(cut.find('.off').textContent).toContain('11\u2009mm too short');
    await cut.press('button', 'Spoiled');
    expect(document.querySelector('.modal, ngb-modal-window')?.textContent ?? '').toContain('have to be cut again');
  });
});

describe('what is measured at the saw', () => {
  it('starts from the plan, and says no more than was measured', async () => {
    const { closed } = await openSampleJob();
    const dialog = await render(MeasuredDialog);
    dialog.fixture.componentInstance.start('2403-L1', 611, 5000, 10);
    await dialog.stable();
    expect(dialog.find('h2').textContent).toContain('2403-L1 at the saw, off 5000 mm');
    await dialog.type('The piece, as measured', '612.5');
    await dialog.press('button', 'Cut');
    expect(closed).toEqual([{ measuredMm: 612.5, trimmedMm: 10 }]);
  });
});

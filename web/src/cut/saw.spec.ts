import { signal } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { NgbModal } from '@ng-bootstrap/ng-bootstrap';
import {
  planCutsAtOnce,
  planGroupAtOnce,
  usualStoreRules,
  type CutGroup,
  type CutMade,
  type CutPiece,
  type HoseLength,
  type StockCommand,
} from '@gewinde/core';
import fc from 'fast-check';
import { openSampleJob, openStockroom, render, settle } from '../../test/open-job';
import { sawOrder, shownGroup, type ShownBar } from './bars';
import { Cut } from './cut';
import { MeasuredDialog } from './measured-dialog';
import { SpoilDialog } from './spoil-dialog';
import { TakeBackDialog } from './take-back-dialog';

const reel: HoseLength = { id: 'H-1', part: 'hose-ptfe-6', kind: 'reel', mm: 5000, since: '2026-01-01', state: 'there', version: 3 };
const offcut: HoseLength = { ...reel, id: 'H-2', kind: 'offcut', mm: 900 };
const made = (change: Partial<CutMade> = {}): CutMade => ({
  id: 'c',
  jobId: 'job',
  lineId: 'line1',
  piece: 'p1',
  of: 'hose',
  ticket: '2403-L1',
  part: 'hose-ptfe-6',
  lengthId: 'H-1',
  plannedMm: 611,
  trimMm: 0,
  measuredMm: 611,
  state: 'cut',
  at: '',
  version: 2,
  ...change,
});
const opening = async (cuts: CutMade[], lengths = [reel]) => {
  const opened = await openSampleJob();
  await openStockroom(opened, { lengths, cuts });
  const cut = await render(Cut);
  return { opened, cut, sent: () => opened.shopSent().commands[0] as StockCommand };
};
/** A dialog that is answered at once. */
const answering = (result: unknown) => {
  const form = { start: jest.fn(), trim: jest.fn() };
  jest.spyOn(TestBed.inject(NgbModal), 'open').mockReturnValue({ componentInstance: form, result: Promise.resolve(result) } as never);
  return form;
};

describe('what was sawn', () => {
  it('longer than its ticket is trimmed at the car, and the final length recorded', async () => {
    const { cut, sent } = await opening([made({ measuredMm: 630, trimMm: 20 })]);
    expect(cut.find('.off').textContent).toContain('19\u2009mm longer than the ticket');
    const form = answering({ measuredMm: 611 });
    await cut.press('button', 'Trimmed');
    expect(form.trim).toHaveBeenCalledWith('2403-L1', 611, 630);
    expect(sent()).toEqual(expect.objectContaining({ do: 'trim-cut', id: 'c', version: 2, finalMm: 611 }));
  });

  it('that the job asks for no more is taken back: sawn, as a piece; who was later is told', async () => {
    const { opened, cut } = await opening([made({ ticket: '2403-L9', piece: 'p9', finalMm: 580 })]);
    expect(cut.find('.g-verdict', '2403-L9 is not needed any more').textContent).toContain('It was cut at 611');
    jest
      .spyOn(TestBed.inject(NgbModal), 'open')
      .mockReturnValue({ componentInstance: { cut: signal(null) }, result: Promise.resolve(true) } as never);
    await cut.press('button', 'Take it back');
    const change = opened.shopSent();
    expect(change.commands[0]).toMatchObject({ do: 'take-back-cut', id: 'c', version: 2, sawn: true });
    change.request.flush({ code: 'conflict', message: 'Somebody else has put it back.' }, { status: 409, statusText: 'conflict' });
    await settle();
    expect(opened.messages.at(-1)).toMatchObject({ tone: 'error', text: 'Somebody else has put it back.' });
  });

  it('before it is taken back, is told what becomes of the hose either way', async () => {
    await openSampleJob();
    const dialog = await render(TakeBackDialog);
    dialog.fixture.componentInstance.cut.set(made({ tookMm: 622 }));
    await dialog.stable();
    const [whole, piece] = [...dialog.root.querySelectorAll('.modal-body p')].map((p) => p.textContent.replace(/\s/g, ' '));
    expect(whole).toBe('Not sawn yet: H-1 gets its 622 mm back, the 11 mm of kerf and trim with it.');
    expect(piece).toBe('Sawn already: the piece of 611 mm goes to the rack as an offcut. 11 mm of kerf and trim are gone.');
  });

  it('of a length that others have reserved is said at it; what the plan takes is reserved by a press, and given up by one', async () => {
    const shared = { ...reel, reserved: [{ jobId: 'other', mm: 1200 }] };
    const first = await opening([], [shared]);
    expect(first.cut.find('g-cut-bars').textContent.replace(/\s/g, ' ')).toContain('1200 mm reserved for other jobs');
    await first.cut.press('button', 'Reserve');
    const asked = first.sent() as Extract<StockCommand, { do: 'reserve-lengths' }>;
    expect(asked).toMatchObject({ do: 'reserve-lengths', jobId: 'job', lengths: [{ id: 'H-1' }] });
    const { mm } = asked.lengths[0]!;
    expect(mm).toBeGreaterThan(611);
    const then = await opening([], [{ ...reel, reserved: [{ jobId: 'job', mm }] }]);
    expect(then.cut.all('button').filter((b) => b.textContent.includes('Reserve'))).toEqual([]);
    await then.cut.press('button', 'Release');
    expect(then.sent()).toMatchObject({ do: 'reserve-lengths', jobId: 'job', lengths: [] });
  });

  it('a dialog that is left says nothing', async () => {
    const { opened, cut } = await opening([]);
    jest
      .spyOn(TestBed.inject(NgbModal), 'open')
      .mockReturnValue({ componentInstance: { start: jest.fn() }, result: Promise.reject(new Error('left')) } as never);
    await cut.press('button', 'Measured');
    opened.http.expectNone('/api/shop/changes');
  });
});

describe('a piece that is spoiled', () => {
  const told = async (lengths: HoseLength[]) => {
    const { opened } = await opening([made()], lengths);
    const dialog = await render(SpoilDialog);
    const group = shownGroupOf([piece(1, 611)], lengths, [made()]);
    dialog.fixture.componentInstance.start(
      group.bars.flatMap((b) => b.pieces).find((p) => p.done)!,
      group.group,
    );
    await dialog.stable();
    return { opened, dialog };
  };

  it('says what cutting it again takes: from the rack, or new hose', async () => {
    expect((await told([reel, offcut])).dialog.find('form p').textContent).toContain(
      'it comes from H-2, 0.90\u2009m, and nothing has to be bought',
    );
    expect((await told([])).dialog.find('form p').textContent).toContain('1.00\u2009m of new hose have to be bought for it');
  });

  it('gives back what can be kept of it; a length that is none is not sent', async () => {
    const { opened, dialog } = await told([reel]);
    await dialog.type('Of it this much can be kept as an offcut', 'half');
    expect(dialog.find('button', 'It is spoiled')).toHaveProperty('disabled', true);
    await dialog.type('Of it this much can be kept as an offcut', '400');
    dialog.find('form').dispatchEvent(new Event('submit', { cancelable: true }));
    await settle();
    expect(opened.shopSent().commands).toEqual([expect.objectContaining({ do: 'spoil-cut', id: 'c', version: 2, keepMm: 400 })]);
  });
});

it('what was trimmed is asked for from the ticket, and nothing of the length beside it', async () => {
  const { closed } = await openSampleJob();
  const dialog = await render(MeasuredDialog);
  dialog.fixture.componentInstance.trim('2403-L1', 611, 630);
  await dialog.stable();
  expect(dialog.find('h2').textContent).toBe('2403-L1, trimmed from 630 mm');
  expect(dialog.all('input')).toHaveLength(1);
  await dialog.type('The piece, as measured', '');
  expect(dialog.find('button', 'Trimmed')).toHaveProperty('disabled', true);
  await dialog.type('The piece, as measured', '610');
  await dialog.press('button', 'Trimmed');
  expect(closed).toEqual([{ measuredMm: 610, trimmedMm: 0 }]);
});

const piece = (n: number, lengthMm: number): CutPiece => ({
  id: `2403-L${n}`,
  ticket: `2403-L${n}`,
  of: 'hose',
  part: 'hose-ptfe-6',
  lineId: `line${n}`,
  lineNumber: n,
  lineName: `Line ${n}`,
  service: 'turbo-feed',
  piece: 'p1',
  cutMm: lengthMm,
  trimMm: 0,
  lengthMm,
  provisional: false,
});
function shownGroupOf(pieces: CutPiece[], lengths: HoseLength[], cuts: CutMade[] = []) {
  const done = cuts.flatMap((c) => pieces.filter((p) => p.id === c.ticket).map((p) => ({ piece: p, made: c })));
  const toCut = pieces.filter((p) => !done.some((d) => d.piece === p));
  const group: CutGroup = { part: 'hose-ptfe-6', name: 'Hose', toCut, done, lengths, kept: [] };
  const problem = { part: group.part, pieces: toCut, lengths, offers: [] };
  return shownGroup(group, planGroupAtOnce(problem, usualStoreRules, planCutsAtOnce));
}
const of = ({ pieces }: ShownBar): number => pieces.reduce((sum, p) => sum + p.lengthMm, 0);

describe('bars as they are drawn', () => {
  it('hold every piece once, and are as long as what is on them and what is left', () => {
    const lengths = fc.array(fc.record({ kind: fc.constantFrom('reel', 'offcut', 'length'), mm: fc.integer({ min: 100, max: 9000 }) }), {
      maxLength: 4,
    });
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 60, max: 2500 }), { minLength: 1, maxLength: 8 }), lengths, fc.nat(8), (mm, rack, sawn) => {
        const pieces = mm.map((length, i) => piece(i + 1, length));
        const hung = rack.map((l, i): HoseLength => ({ ...reel, ...l, kind: l.kind as HoseLength['kind'], id: `H-${i}` }));
        const cuts = pieces
          .slice(0, sawn)
          .map((p, i) => made({ id: `c${i}`, ticket: p.id, measuredMm: p.lengthMm, lengthId: `H-${i % 3}` }));
        const { bars, plan } = shownGroupOf(pieces, hung, cuts);
        const drawn = bars.flatMap((b) => b.pieces.map((p) => p.piece.id));
        expect([...drawn, ...plan!.unmet].sort()).toEqual(pieces.map((p) => p.id).sort());
        expect(new Set(bars.map((b) => b.key)).size).toBe(bars.length);
        for (const bar of bars) {
          expect(bar.shownMm).toBeGreaterThanOrEqual(of(bar) - 0.01);
          expect(bar.broken).toBe(bar.shownMm < bar.bar.lengthMm + bar.pieces.reduce((sum, p) => sum + (p.done ? p.lengthMm : 0), 0));
        }
      }),
      { numRuns: 60 },
    );
  });

  it('come to the saw offcuts first, and what is bought not at all', () => {
    const order = sawOrder([shownGroupOf([piece(1, 611), piece(2, 800), piece(3, 4900), piece(4, 4950)], [reel, offcut])]);
    expect(order.map(({ shown, bar }) => [shown.piece.id, bar.bar.from])).toEqual([
      ['2403-L2', 'H-2'],
      [expect.stringMatching(/L[34]/), 'H-1'],
    ]);
  });
});

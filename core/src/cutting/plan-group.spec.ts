import fc from 'fast-check';
import { catalogue, document, jobOf, feed } from '../../testing/sample-job.js';
import { emptyStockroom, usualStoreRules, type CutMade, type HoseLength } from '../stock/index.js';
import { planCuts, planCutsAtOnce } from './plan-cuts.js';
import { cutWork, newLengthEach, planGroup, planGroupAtOnce, sleeveFor, type GroupProblem } from './index.js';

const rules = { kerfMm: 2, endTrimMm: 10, leastOffcutMm: 250, offcutsFirst: true };
const problem = (pieces: number[], lengths: [string, HoseLength['kind'], number][], offers: GroupProblem['offers'] = []): GroupProblem => ({
  part: 'hose',
  pieces: pieces.map((lengthMm, i) => ({ id: `p${i}`, lengthMm })),
  lengths: lengths.map(([id, kind, mm]) => ({ id, kind, mm })),
  offers,
});
const plan = (p: GroupProblem, change: Partial<typeof rules> = {}) => planGroup(p, { ...rules, ...change }, (one) => planCuts(one));

describe('the plan of a part', () => {
  it('takes offcuts first, then what hangs there, then buys; the longest first on a bar', async () => {
    const { bars, proven } = await plan(
      problem(
        [300, 1100, 500, 900],
        [
          ['reel', 'reel', 2000],
          ['off', 'offcut', 820],
        ],
      ),
    );
    expect(proven).toBe(true);
    expect(bars.map((b) => [b.from, b.pieces.map((p) => p.lengthMm)])).toEqual([
      ['off', [500, 300]],
      ['reel', [1100]],
      ['by the metre', [900]],
    ]);
    expect(bars[2]).toMatchObject({ kind: 'new', packs: 1, lengthMm: 1000, remainderMm: 88 });
  });

  it('opens least where the house has no rule for offcuts', async () => {
    const p = problem(
      [300, 300],
      [
        ['reel', 'reel', 700],
        ['a', 'offcut', 330],
        ['b', 'offcut', 340],
      ],
    );
    expect((await plan(p)).bars.map((b) => b.from).sort()).toEqual(['a', 'b']);
    const all = await plan(p, { offcutsFirst: false });
    expect([all.openedMm, all.bars.length]).toEqual([650, 2]);
  });

  it('uses up as much of the offcuts as it can, not as many of the pieces', async () => {
    const { bars } = await plan(problem([200, 210, 700], [['off', 'offcut', 720]]));
    expect(bars[0]).toMatchObject({ from: 'off', pieces: [{ lengthMm: 700 }] });
  });

  it('trims no end that was sawn today', async () => {
    const square = problem([700], [['off', 'offcut', 700]]);
    expect((await plan(square)).bars[0]!.from).toBe('by the metre');
    expect((await plan({ ...square, lengths: [{ ...square.lengths[0]!, square: true }] })).bars[0]).toMatchObject({
      from: 'off',
      trimMm: 0,
    });
  });

  it('buys fixed lengths by the least of them, and off the reel what none of them holds', async () => {
    const offers = [
      { id: '1m', mm: 1000 },
      { id: '2m', mm: 2000 },
      { id: 'reel', mm: 1000, oneLength: true },
    ];
    const { bars, unmet } = await plan(problem([900, 950, 2600], [], offers));
    expect(bars.map((b) => [b.from, b.packs, b.pieces.map((p) => p.lengthMm)])).toEqual([
      ['1m', 1, [950]],
      ['1m', 1, [900]],
      ['reel', 3, [2600]],
    ]);
    expect(unmet).toEqual([]);
  });

  it('never joins: what nothing holds is told', async () => {
    const { bars, unmet } = await plan(problem([1500, 400], [], [{ id: '1m', mm: 1000 }]));
    expect([bars.length, unmet]).toEqual([1, ['p0']]);
    expect((await plan(problem([60_000], []))).unmet).toEqual(['p0']);
  });

  it('cuts every piece once, never beyond a length, whatever is asked: at once and proven alike', () => {
    const given = fc.record({
      pieces: fc.array(fc.integer({ min: 20, max: 2500 }), { minLength: 1, maxLength: 9 }),
      lengths: fc.array(fc.tuple(fc.constantFrom('reel', 'offcut', 'length'), fc.integer({ min: 5, max: 6000 })), { maxLength: 5 }),
      offcutsFirst: fc.boolean(),
    });
    fc.assert(
      fc.property(given, ({ pieces, lengths, offcutsFirst }) => {
        const p = problem(
          pieces,
          lengths.map(([kind, mm], i) => [`l${i}`, kind as HoseLength['kind'], mm]),
        );
        const { bars, unmet, openedMm } = planGroupAtOnce(p, { ...rules, offcutsFirst }, planCutsAtOnce);
        expect([...bars.flatMap((b) => b.pieces.map((x) => x.id)), ...unmet].sort()).toEqual(p.pieces.map((x) => x.id).sort());
        for (const b of bars) {
          const used = b.trimMm + b.pieces.reduce((sum, x) => sum + x.lengthMm, 0) + rules.kerfMm * (b.pieces.length - 1);
          expect(used).toBeLessThanOrEqual(b.lengthMm + 0.01);
          expect(b.remainderMm).toBeCloseTo(Math.max(0, b.lengthMm - used - rules.kerfMm), 1);
        }
        expect(openedMm).toBeGreaterThanOrEqual(0);
      }),
      { numRuns: 200 },
    );
  });

  it('is held against a new length for each', () => {
    const p = problem([900, 1500], [], [{ id: '1m', mm: 1000 }]);
    expect(newLengthEach(p, rules)).toEqual([
      { from: '1m', packs: 1 },
      { from: 'by the metre', packs: 2 },
    ]);
  });
});

describe('what a job has to cut', () => {
  const today = '2026-11-26';
  const work = (change: Partial<Parameters<typeof cutWork>[1]> = {}, job = jobOf()) =>
    cutWork(job, { lengths: [], cuts: [], rules: usualStoreRules, today, ...change });
  const first = work()
    .groups.flatMap((g) => g.toCut)
    .find((p) => p.lineNumber === 1)!;
  const made = (change: Partial<CutMade> = {}): CutMade => ({
    id: 'c',
    jobId: document.job.id,
    lineId: first.lineId,
    piece: first.piece,
    of: 'hose',
    ticket: first.id,
    part: first.part,
    lengthId: 'H-1',
    plannedMm: first.cutMm,
    trimMm: 0,
    measuredMm: first.cutMm,
    state: 'cut',
    at: '',
    version: 1,
    ...change,
  });
  const group = (w: ReturnType<typeof work>) => w.groups.find((g) => g.part === first.part)!;

  it('is one piece a ticket, by the hose it is cut from, with what it is longer for the trim', () => {
    const w = work({ rules: { ...usualStoreRules, trimMm: 20 } });
    expect(group(w).toCut.find((p) => p.id === first.id)).toMatchObject({ cutMm: first.cutMm, lengthMm: first.cutMm + 20 });
    expect(w.groups.flatMap((g) => g.toCut).map((p) => p.ticket)).toEqual(w.tickets.map((t) => t.number));
  });

  it('is less what was cut; a spoiled piece is cut again; one too short or too long for what the line asks by now is told', () => {
    expect(group(work({ cuts: [made()] })).done).toMatchObject([{ made: { id: 'c' } }]);
    expect(group(work({ cuts: [made({ state: 'spoiled' })] })).toCut).toContainEqual(first);
    expect(group(work({ cuts: [made({ measuredMm: first.cutMm - 8 })] })).done[0]).toMatchObject({ shortMm: 8 });
    expect(group(work({ cuts: [made({ measuredMm: first.cutMm + 12 })] })).done[0]).toMatchObject({ longMm: 12 });
    expect(group(work({ cuts: [made({ measuredMm: first.cutMm + 12, finalMm: first.cutMm })] })).done[0]).not.toHaveProperty('longMm');
    expect(work({ cuts: [made({ ticket: 'as it was called once' })] }).over).toEqual([]);
    expect(work({ cuts: [made({ piece: 'gone' })] }).over).toHaveLength(1);
    expect(work({ cuts: [made({ state: 'back' })] }).over).toEqual([]);
    expect(work({ cuts: [made({ jobId: 'another' })] }).over).toEqual([]);
  });

  it('comes from what is free: not from what is kept for another job, old, or off a car and not looked over', () => {
    const base = { part: first.part, kind: 'offcut' as const, mm: 900, since: today, state: 'there' as const, version: 1 };
    const lengths: HoseLength[] = [
      { ...base, id: 'free' },
      { ...base, id: 'other', jobId: 'other' },
      { ...base, id: 'old', madeOn: '2010-01-01' },
      { ...base, id: 'car', salvaged: true },
      { ...base, id: 'made', kind: 'made' },
    ];
    const { lengths: free, kept } = group(work({ lengths }));
    expect([free.map((l) => l.id), kept.map((l) => l.id)]).toEqual([['free'], ['other', 'old', 'car']]);
  });

  it('has a sleeve over a hose that lies in one, and shrink over its ends, in the narrowest that goes over', () => {
    const sleeved = jobOf([{ ...feed, flow: { ...feed.flow, sleeved: true } }]);
    const w = work({}, sleeved);
    const over = w.groups.flatMap((g) => g.toCut).filter((p) => p.of === 'sleeve');
    expect(over.map((p) => [p.id, p.part, p.lengthMm])).toEqual([
      [`${first.id} sleeve`, 'sleeve 13', first.cutMm],
      [`${first.id} shrink A`, 'shrink 19', 40],
      [`${first.id} shrink B`, 'shrink 19', 40],
    ]);
    expect(work({}, { ...sleeved, catalogue: { ...catalogue, supplies: [] } }).noSleeve).toEqual([first.id]);
    expect(sleeveFor({ supplies: [] }, 12)).toEqual({});
  });

  it('an empty stockroom needs nothing of it', () => expect(work({ lengths: emptyStockroom.lengths }).over).toEqual([]));
});

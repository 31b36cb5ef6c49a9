import fc from 'fast-check';
import { catalogue, feed, jobOf, withPiece } from '../../testing/sample-job.js';
import { carryOne, sparesProblem, sparesSet } from './index.js';

describe('spares', () => {
  const carried = ['a', 'b', 'c'].map((part) => ({ part, servesAs: [part] }));

  it('restore any one line: of each part the most that any line has', async () => {
    const lines = [
      {
        line: 'L1',
        needs: [
          { part: 'a', quantity: 2 },
          { part: 'b', quantity: 1 },
        ],
      },
      {
        line: 'L2',
        needs: [
          { part: 'a', quantity: 1 },
          { part: 'c', quantity: 3 },
        ],
      },
    ];
    expect(await sparesSet(lines, carried)).toEqual({
      proven: true,
      parts: [
        { part: 'a', quantity: 2, lines: ['L1', 'L2'] },
        { part: 'b', quantity: 1, lines: ['L1'] },
        { part: 'c', quantity: 3, lines: ['L2'] },
      ],
    });
  });

  it('carry one part for two that it stands in for, and one length of hose as long as the longest', async () => {
    const lines = [
      {
        line: 'L1',
        needs: [
          { part: 'a', quantity: 1 },
          { part: 'hose', quantity: 620 },
        ],
      },
      {
        line: 'L2',
        needs: [
          { part: 'b', quantity: 1 },
          { part: 'hose', quantity: 900 },
        ],
      },
    ];
    const set = await sparesSet(lines, [
      { part: 'a', servesAs: ['a'] },
      { part: 'b', servesAs: ['b', 'a'] },
      { part: 'hose', servesAs: ['hose'], byLength: true },
    ]);
    expect(set.parts.map((p) => [p.part, p.quantity])).toEqual([
      ['b', 1],
      ['hose', 900],
    ]);
  });

  it('are no more pieces than any other set that does, by trying all small ones', async () => {
    const part = fc.constantFrom('a', 'b', 'c');
    const need = fc.uniqueArray(fc.record({ part, quantity: fc.integer({ min: 1, max: 2 }) }), {
      minLength: 1,
      maxLength: 2,
      selector: (n) => n.part,
    });
    await fc.assert(
      fc.asyncProperty(fc.array(need, { minLength: 1, maxLength: 3 }), fc.subarray(['a', 'b', 'c']), async (needs, also) => {
        const lines = needs.map((n, i) => ({ line: `L${i}`, needs: n }));
        const serves = (p: string): string[] => (p === 'a' ? [...new Set(['a', ...also])] : [p]);
        const set = await sparesSet(
          lines,
          ['a', 'b', 'c'].map((p) => ({ part: p, servesAs: serves(p) })),
        );
        const does = (x: Record<string, number>): boolean =>
          needs.every((n) => {
            const of = (p: string): number => n.find((y) => y.part === p)?.quantity ?? 0;
            const spare = x['a']! - of('a');
            const short = ['b', 'c'].map((p) => Math.max(0, of(p) - x[p]!));
            return (
              spare >= 0 && short.every((s, i) => s === 0 || also.includes(['b', 'c'][i]!)) && short.reduce((s, y) => s + y, 0) <= spare
            );
          });
        let best = Infinity;
        for (let a = 0; a <= 4; a++)
          for (let b = 0; b <= 2; b++) for (let c = 0; c <= 2; c++) if (does({ a, b, c })) best = Math.min(best, a + b + c);
        expect(set.parts.reduce((sum, p) => sum + p.quantity, 0)).toBe(best);
      }),
      { numRuns: 30 },
    );
  });

  it('name what nobody brings in time and the shelf has not', () => {
    const needs = ['a', 'b', 'c', 'd'].map((part) => ({ part, spare: part === 'd' ? 1 : 0 }));
    const offers = [
      { holds: [{ part: 'a' }], leadDays: 3 },
      { holds: [{ part: 'b' }], leadDays: 12 },
    ];
    expect(carryOne(needs, offers, (p) => (p === 'c' ? 1 : 0), 7)).toEqual(['b']);
  });
});

describe('what spares are chosen from', () => {
  const lines = [
    { ...withPiece(feed, { length: { mm: 664, as: 'taped' } }), id: 'one', number: 1 },
    { ...withPiece(feed, { length: { mm: 900, as: 'taped' } }), id: 'two', number: 2 },
  ];
  const { lines: asked, carried } = sparesProblem(jobOf(lines));

  it('is what each line takes of the catalogue, hose by its length', () => {
    expect(asked.map((l) => l.line)).toEqual(['L1', 'L2']);
    const hose = (at: number) => asked[at]!.needs.find((n) => n.part === 'hose-ptfe-6')!.quantity;
    expect(hose(1) - hose(0)).toBeGreaterThan(200);
    for (const { needs } of asked) for (const { part } of needs) expect(carried.map((c) => c.part)).toContain(part);
  });

  it('stands each part in for itself, and for what the job has of its like; never for what it has not', () => {
    const known = new Set(carried.map((c) => c.part));
    for (const { part, servesAs } of carried) {
      expect(servesAs[0]).toBe(part);
      expect(servesAs.every((other) => known.has(other))).toBe(true);
    }
    expect(carried.find((c) => c.part === 'hose-ptfe-6')?.byLength).toBe(true);
    expect(carried.filter((c) => c.byLength).every((c) => catalogue.hoses.some((h) => h.id === c.part))).toBe(true);
  });

  it('is nothing where no line is whole', () => expect(sparesProblem(jobOf([])).lines).toEqual([]));
});

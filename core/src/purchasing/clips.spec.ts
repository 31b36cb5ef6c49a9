import { catalogue, drain, feed, jobOf, withPiece } from '../../testing/sample-job.js';
import { needsOf, room } from '../../testing/stockroom.js';
import { usualStoreRules } from '../stock/index.js';
import { figureOf } from '../supplies/index.js';
import { clipOver, clipsFor } from './clips-for.js';

const clips = (clipEveryMm: number, lines = [feed, drain]) => clipsFor(jobOf(lines), { clipEveryMm });
const long = (mm: number) => withPiece(feed, { length: { mm, as: 'cut' } });

describe('clips', () => {
  it.each([
    [399, 0],
    [400, 1],
    [799, 1],
    [800, 2],
    [4000, 10],
  ])('of a hose of %d mm are one for each full spacing: %d', (mm, quantity) =>
    expect(clips(400, [long(mm)]).reduce((sum, c) => sum + c.quantity, 0)).toBe(quantity),
  );

  it('go round the hose, over its sleeve where it has one', () => {
    const { outsideMm } = jobOf([feed]).lines[0]!.pieces[0]!.hose!;
    const holds = (sleeved: boolean) => {
      const [clip] = clips(400, [{ ...long(900), flow: { ...feed.flow, ...(sleeved ? { sleeved } : {}) } }]);
      return Number(
        figureOf(
          catalogue.supplies.find((s) => s.id === clip!.part)!,
          'holdsMm',
        ),
      );
    };
    expect(holds(false)).toBeGreaterThanOrEqual(outsideMm);
    expect(holds(false)).toBeLessThanOrEqual(outsideMm + 3);
    expect(holds(true)).toBeGreaterThanOrEqual(outsideMm + 4);
  });

  it('are there for every hose of the standard catalogue, bare and in a sleeve', () => {
    const without = (more: number) =>
      catalogue.hoses.filter((h) => h.outsideMm + more <= 60 && !clipOver(catalogue, h.outsideMm + more)).map((h) => [h.id, h.outsideMm]);
    expect([without(0), without(4)]).toEqual([[], []]);
  });

  it('are none where the shop counts them at the car, and none for a hose that stays on it', () => {
    expect(clips(0, [long(4000)])).toEqual([]);
    expect(clips(400, [withPiece(long(4000), { source: 'kept', hasMm: 4000 })])).toEqual([]);
  });

  it('of a size that nobody has are named by what they have to hold, and told as unknown', () => {
    const none = { lines: jobOf([long(900)]).lines, catalogue: { ...catalogue, supplies: [] } };
    const { outsideMm } = none.lines[0]!.pieces[0]!.hose!;
    expect(clipsFor(none, usualStoreRules)).toEqual([
      { part: `clip ${outsideMm}`, name: `Clip for ${outsideMm} mm`, quantity: 2, lines: [1], unknown: true },
    ]);
    expect(clipOver(catalogue, 500)).toBeUndefined();
  });

  it('stand on the need with their spares, and those of two lines in one row', () => {
    const of = jobOf([long(900), { ...long(900), id: 'twin', number: 2 }]);
    const rows = needsOf(room(), of).filter((n) => n.part.startsWith('clip '));
    expect(rows).toEqual([expect.objectContaining({ needed: 4, spare: 1, lines: [1, 2], unit: 'pc', group: 'clamps and sealant' })]);
  });
});

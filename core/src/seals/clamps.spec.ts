import { catalogue } from '../../testing/sample-job.js';
import { constructions } from '../hose/index.js';
import { clampFor, clampSize, linedClamps, tBoltBands, wormClamps } from './index.js';

const clampedKinds = constructions.filter((c) => c.endStyle === 'clamp').map((c) => c.id);
const of = (construction: string, boreMm: number, outsideMm: number, overMm?: number) =>
  clampFor({ construction, boreMm, outsideMm }, overMm);

describe('the clamp of a hose', () => {
  it('closes on it in the middle of its span, for every hose of the catalogue that is clamped', () => {
    const hoses = catalogue.hoses.filter((h) => clampedKinds.includes(h.construction));
    expect(hoses.length).toBeGreaterThan(30);
    for (const hose of hoses) {
      const clamp = clampFor(hose);
      expect([hose.id, clamp !== undefined]).toEqual([hose.id, true]);
      expect(hose.outsideMm).toBeGreaterThanOrEqual(clamp!.fromMm);
      expect(hose.outsideMm).toBeLessThanOrEqual(clamp!.toMm);
    }
  });

  it('is of the kind that holds it: T-bolt on boost, lined on silicone, a screw band where a worm drive is too large', () => {
    const kinds = [of('coolant', 19, 27), of('silicone', 19, 27), of('charge', 63.5, 73), of('charge', 25, 35), of('vacuum', 4, 8)];
    expect(kinds.map((c) => c?.kind)).toEqual(['worm drive', 'worm drive, lined', 'T-bolt', 'worm drive, lined', 'screw band']);
    expect(of('coolant', 9.5, 17)?.torqueNm).toEqual([2, 3]);
    expect(of('coolant', 31.8, 41)?.torqueNm).toEqual([4, 5]);
    expect(of('charge', 63.5, 73)?.torqueNm).toEqual([7, 9]);
  });

  it('is wider over a barb that is wider than its bore', () =>
    expect(of('coolant', 16, 23, 25)!.toMm).toBeGreaterThan(of('coolant', 16, 23)!.toMm));

  it('is none where nothing that is made closes on it, or the hose has no wall', () => {
    expect([of('coolant', 20, 20), of('coolant', 120, 130), of('charge', 130, 140), of('silicone', 80, 95)]).toEqual(
      Array(4).fill(undefined),
    );
  });

  it('is asked for by its kind where the hose alone does not say it, and the catalogue has each', () => {
    expect(clampSize(of('charge', 63.5, 73)!)).toBe('T-bolt band 70 to 76 mm');
    expect(clampSize(of('coolant', 19, 27)!)).toBeUndefined();
    const kept = new Set(catalogue.supplies.filter((s) => s.kind === 'clamp').map((s) => s.figures['size']));
    for (const [kind, spans] of [['T-bolt', tBoltBands] as const, ['worm drive, lined', linedClamps] as const])
      for (const [fromMm, toMm] of spans) expect(kept).toContain(clampSize({ kind, fromMm, toMm }));
  });

  it('has spans that leave no gap', () => {
    for (const spans of [wormClamps, linedClamps])
      for (const [i, [from]] of spans.slice(1).entries()) expect(from).toBeLessThanOrEqual(spans[i]![1]);
  });
});

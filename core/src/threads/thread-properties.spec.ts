import fc from 'fast-check';
import { fit, metricThread, nptThread, parseThread, threadData, threadLibrary, threadLimits, threadSystem, unThread } from './index.js';

const metric = fc
  .record({ d: fc.constantFrom(8, 10, 12, 14, 16, 18, 20, 22, 24, 27, 33), p: fc.constantFrom(1, 1.25, 1.5, 2) })
  .map(({ d, p }) => metricThread(d, p));
const any = fc.constantFrom(...threadLibrary);

describe('designations', () => {
  it('read back to the same thread', () => {
    fc.assert(fc.property(any, (thread) => expect(parseThread(thread.designation)).toEqual(thread)));
  });

  it('refuse threads that cannot be', () => {
    expect(() => metricThread(0, 1)).toThrow();
    expect(() => metricThread(10, 6)).toThrow();
    expect(() => unThread('1/2', 0)).toThrow();
    expect(() => unThread('1/0', 20)).toThrow();
    expect(nptThread('5/8')).toBeUndefined();
  });
});

describe('dimensions', () => {
  it('lie in their order: minor, pitch diameter, major', () => {
    fc.assert(
      fc.property(any, (thread) => {
        const data = threadData(thread.designation);
        expect(data.minorInternalMm).toBeLessThan(data.pitchDiameterMm);
        expect(data.pitchDiameterMm).toBeLessThan(data.majorMm);
        // a taper hole is drilled for its small end
        const deep = (thread.gaugeLengthMm ?? 0) * thread.taperPerMm;
        expect(data.tapDrillMm).toBeGreaterThan(data.minorInternalMm - deep - 0.2);
        expect(data.tapDrillMm).toBeLessThan(data.pitchDiameterMm);
        expect(data.minorExternalMm).toBeLessThanOrEqual(data.minorInternalMm + 1e-9);
        if (data.smallEnd) expect(data.smallEnd.majorMm).toBeLessThan(data.majorMm);
      }),
    );
  });
});

describe('limits', () => {
  it('lie on the right side of the basic size', () => {
    fc.assert(
      fc.property(any, (thread) => {
        const { external, internal } = threadLimits(thread);
        const { majorMm, minorInternalMm } = threadData(thread.designation);
        for (const { min, max } of [external.major, external.pitch, internal.pitch, internal.minor]) expect(max).toBeGreaterThan(min);
        expect(external.major.min).toBeLessThan(majorMm);
        expect(internal.minor.max).toBeGreaterThan(minorInternalMm);
      }),
    );
  });
});

describe('fit', () => {
  it('takes a thread into its own hole, and always gives a verdict with figures', () => {
    fc.assert(
      fc.property(any, any, (a, b) => {
        if (threadSystem(a.system).sides.length === 2) expect(fit(a, a).verdict).toBe('same');
        const found = fit(a, b);
        expect(Number.isFinite(found.playMm)).toBe(true);
        if (found.verdict === 'binds') expect(found.turnsToBind).toBeGreaterThanOrEqual(1 / 3);
        expect(found.engagement).toBeGreaterThanOrEqual(0);
        expect(found.engagement).toBeLessThanOrEqual(1);
      }),
    );
  });

  it('never starts a thread in a hole of the same pitch that is a millimetre smaller', () => {
    fc.assert(
      fc.property(metric, (thread) => {
        if (thread.majorMm < 10) return;
        expect(fit(thread, metricThread(thread.majorMm - 2, thread.pitchMm)).verdict).toBe('no-entry');
        expect(['loose', 'slides-in']).toContain(fit(metricThread(thread.majorMm - 2, thread.pitchMm), thread).verdict);
      }),
    );
  });

  it('lets a pipe thread into its own size only as far as its taper goes', () => {
    const found = fit(nptThread('1/4')!, parseThread('9/16-18'));
    expect(found.playMm).toBeGreaterThan(0);
    expect(fit(nptThread('1/2')!, nptThread('1/4')!).verdict).toBe('no-entry');
  });
});

import fc from 'fast-check';
import { fitThreads, metricThread, nptSizes, nptThread, parseThread, threadData, unThread } from './index.js';

const metric = fc
  .record({ d: fc.constantFrom(8, 10, 12, 14, 16, 18, 20, 22, 24, 27, 33), p: fc.constantFrom(1, 1.25, 1.5, 2) })
  .map(({ d, p }) => metricThread(d, p));
const inch = fc
  .constantFrom(...(['5/16-24', '3/8-24', '7/16-20', '1/2-20', '9/16-18', '3/4-16', '7/8-14', '1 1/16-12', '1 5/16-12'] as const))
  .map((text) => parseThread(text));
const pipe = fc.constantFrom(...nptSizes).map((row) => nptThread(row.size)!);
const any = fc.oneof(metric, inch, pipe);

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
        expect(data.tapDrillMm).toBeGreaterThan(data.minorInternalMm - 0.2);
        expect(data.tapDrillMm).toBeLessThan(data.pitchDiameterMm);
      }),
    );
  });
});

describe('fitThreads', () => {
  it('takes a thread into its own hole, and always gives a verdict with figures', () => {
    fc.assert(
      fc.property(any, any, (a, b) => {
        expect(fitThreads(a, a).verdict).toBe('same');
        const fit = fitThreads(a, b);
        expect(Number.isFinite(fit.playMm)).toBe(true);
        if (fit.verdict === 'binds') expect(fit.turnsToBind).toBeGreaterThanOrEqual(0.5);
      }),
    );
  });

  it('never starts a thread in a hole of the same pitch that is a millimetre smaller', () => {
    fc.assert(
      fc.property(metric, (thread) => {
        if (thread.majorMm < 10) return;
        expect(fitThreads(thread, metricThread(thread.majorMm - 2, thread.pitchMm)).verdict).toBe('no-entry');
        expect(['loose', 'slides-in']).toContain(fitThreads(metricThread(thread.majorMm - 2, thread.pitchMm), thread).verdict);
      }),
    );
  });

  it('lets a pipe thread into its own size only as far as its taper goes', () => {
    const fit = fitThreads(nptThread('1/4')!, parseThread('9/16-18'));
    expect(fit.playMm).toBeGreaterThan(0);
    expect(fitThreads(nptThread('1/2')!, nptThread('1/4')!).verdict).toBe('no-entry');
  });
});

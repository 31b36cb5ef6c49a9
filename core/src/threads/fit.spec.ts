import fc from 'fast-check';
import {
  areMadeForEachOther,
  basicDiameter,
  fit,
  howToTell,
  lookAlikesOf,
  measuredSpan,
  metricThread,
  parseThread,
  pitchWords,
  taperEngagement,
  threadLibrary,
  threadSystem,
  threadSystems,
  type Side,
} from './index.js';

describe('what a hand feels', () => {
  it.each([
    // outside, inside, verdict, fewest and most turns
    ['M14×1.5', '9/16-18', 'binds', 2.5, 4.5],
    ['3/4-16', 'M20×1.5', 'binds', 6, 10],
    ['M22×1.5', '7/8-14', 'binds', 0.3, 0.8],
    ['M12×1.5', '1/2-20', 'binds', 2, 3.5],
    ['M12×1.5', 'M12×1.25', 'binds', 0.5, 1.2],
    ['M33×2', '1 5/16-12', 'binds', 1.5, 3.5],
    ['5/8-18', 'M16×1.5', 'binds', 1, 2.5],
    ['1/8-27 NPT', 'M10×1', 'binds', 0.8, 2.5],
    ['R 1/8', '1/8-27 NPT', 'binds', 4, 6.5],
    ['1/2-14 NPT', 'Rc 1/2', 'binds', 3, 6.5],
    ['R 1/4', 'G 1/4', 'binds', 4, 6.5],
    ['G 1/4', 'Rc 1/4', 'binds', 0.5, 2.5],
  ])('%s into %s %s after %d to %d turns', (outside, inside, verdict, least, most) => {
    const found = fit(outside, inside);
    expect(found.verdict).toBe(verdict);
    expect(found.turnsToBind).toBeGreaterThan(least);
    expect(found.turnsToBind).toBeLessThan(most);
  });

  it.each([
    ['M20×1.5', '3/4-16', 'no-entry'],
    ['9/16-18', 'M14×1.5', 'no-entry'],
    ['1/8-27 NPT', 'Rc 1/8', 'no-entry'],
    ['M10×1', 'M22×1.5', 'slides-in'],
    ['11/16-16', '3/4-16', 'loose'],
    ['M14×1.5', 'M14×1.5', 'same'],
    ['M10×1 keg', 'M10×1', 'same'],
    ['G 1/4', 'Rp 1/4', 'same'],
  ])('%s into %s: %s', (outside, inside, verdict) => expect(fit(outside, inside).verdict).toBe(verdict));

  it('takes names and threads alike, and remembers', () => {
    const [a, b] = [parseThread('M14×1.5'), parseThread('9/16-18')];
    expect(fit(a, b)).toBe(fit('M14×1.5', '9/16-18 UNF'));
    expect(() => fit('banana', 'M14×1.5')).toThrow(/not a thread/);
  });

  it('turns further the smaller the outside thread is, pitch for pitch', () => {
    fc.assert(
      fc.property(fc.constantFrom(1, 1.25, 1.5, 2), fc.constantFrom(1, 1.5, 2), fc.integer({ min: 16, max: 40 }), (pitch, other, d) => {
        const hole = metricThread(d, other);
        const [large, small] = [fit(metricThread(d, pitch), hole), fit(metricThread(d - 0.5, pitch), hole)];
        expect(small.playMm).toBeGreaterThan(large.playMm);
        expect(small.engagement).toBeLessThanOrEqual(large.engagement);
        if (large.turnsToBind !== undefined && small.turnsToBind !== undefined)
          expect(small.turnsToBind).toBeGreaterThan(large.turnsToBind);
      }),
    );
  });

  it('never says a thread strips that does not start, nor that made-for threads are anything but the same', () => {
    fc.assert(
      fc.property(fc.constantFrom(...threadLibrary), fc.constantFrom(...threadLibrary), (a, b) => {
        const found = fit(a, b);
        if (found.verdict === 'no-entry' || found.verdict === 'slides-in') expect(found.strips).toBe(false);
        expect(found.verdict === 'same').toBe(areMadeForEachOther(a, b));
        expect(found.turnsToBind !== undefined).toBe(found.verdict === 'binds');
      }),
      { numRuns: 1000 },
    );
  });
});

describe('every look-alike of the library', () => {
  it('has a test in words, other words for the hole than for the bolt where that matters', () => {
    for (const thread of threadLibrary)
      for (const other of lookAlikesOf(thread)) {
        for (const side of ['external', 'internal'] as const) expect(howToTell(thread, other, side)).toMatch(/\w{4,}.*\.$/);
        expect(howToTell(thread, other)).not.toMatch(/NaN|undefined/);
      }
  });

  it('ends with the fingers where no single tool is sure', () =>
    expect(howToTell(parseThread('1/2-14 NPSM'), parseThread('G 1/2'))).toMatch(/fingers/));
});

describe('a measured span', () => {
  it('holds the basic diameter, and is wider for a taper', () => {
    for (const thread of threadLibrary)
      for (const side of ['external', 'internal'] as const satisfies readonly Side[]) {
        if (!threadSystem(thread.system).sides.includes(side)) continue;
        const { min, max } = measuredSpan(thread, side);
        const basic = basicDiameter(thread, side);
        expect(min).toBeLessThanOrEqual(basic);
        expect(max).toBeGreaterThanOrEqual(basic);
        expect(max - min).toBeLessThan(2);
      }
  });

  it('reaches from the small end to the pipe size, for NPT', () => {
    const { min, max } = measuredSpan(parseThread('1/4-18 NPT'), 'external');
    expect(max).toBeCloseTo(0.54 * 25.4, 1);
    expect(min).toBeLessThan(13.3);
  });
});

describe('the systems', () => {
  it('each say where they are met, by which standard, and what their profile is', () => {
    for (const system of threadSystems) {
      expect(system.usedFor.length).toBeGreaterThan(10);
      expect(system.standard).toMatch(/ISO|ASME|DIN/);
      expect(system.sides.length).toBeGreaterThan(0);
      expect(system.flankAngleDeg === 55).toBe(['R', 'Rc', 'Rp', 'G'].includes(system.id));
    }
  });

  it('engage a taper by three to eight turns by hand', () => {
    for (const thread of threadLibrary.filter((t) => t.taperPerMm > 0)) {
      const { byHandTurns, byWrenchTurns, gaugeLengthMm, usefulLengthMm } = taperEngagement(thread.designation)!;
      expect(byHandTurns).toBeGreaterThan(2);
      expect(byHandTurns).toBeLessThan(8);
      expect(byWrenchTurns.low).toBeLessThan(byWrenchTurns.high);
      expect(usefulLengthMm).toBeGreaterThan(gaugeLengthMm);
    }
  });

  it.each([
    [1.5, '1.5 mm'],
    [25.4 / 18, '18 per inch'],
    [25.4 / 11.5, '11.5 per inch'],
    [25.4 / 27, '27 per inch'],
    [1.25, '1.25 mm'],
    [2, '2 mm'],
  ])('say a pitch of %d as %s', (pitch, words) => expect(pitchWords(pitch)).toBe(words));
});

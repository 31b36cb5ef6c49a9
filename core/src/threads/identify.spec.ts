import fc from 'fast-check';
import {
  areLookAlikes,
  basicDiameter,
  howToTell,
  identifyThread,
  lookAlikesInWords,
  lookAlikesOf,
  measurableThreads,
  measuredSpan,
  parseThread,
  plumbingPrior,
  ThreadMeasurementError,
  threadLibrary,
  type Side,
  type Thread,
  type ThreadMeasurement,
} from './index.js';
import { inHouseUnits } from '../units/index.js';

const sides: readonly Side[] = ['external', 'internal'];
const all = sides.flatMap((side) => measurableThreads(side).map((thread) => ({ side, thread })));
const perfect = (thread: Thread, side: Side): ThreadMeasurement => ({
  side,
  diameterMm: basicDiameter(thread, side),
  pitchMm: thread.pitchMm,
  taper: thread.taperPerMm > 0 ? 'tapered' : 'parallel',
});

describe('identifyThread', () => {
  it.each(sides)('names every %s thread of the library first from a perfect measurement, all being weighed alike', (side) => {
    for (const thread of measurableThreads(side)) {
      const { pitchMm, ...rest } = perfect(thread, side);
      const even = { prior: 'even' } as const;
      expect(identifyThread({ ...rest, pitchMm: pitchMm! }, even)[0]?.designation).toBe(thread.designation);
      expect(identifyThread({ ...rest, threadsPerInch: 25.4 / pitchMm! }, even)[0]?.designation).toBe(thread.designation);
    }
  });

  it.each(sides)('weighed by what plumbing meets: %s threads of plumbing first, the others first or second', (side) => {
    for (const thread of measurableThreads(side)) {
      const named = identifyThread(perfect(thread, side)).map((c) => c.designation);
      expect(named.slice(0, plumbingPrior(thread).weight >= 3 ? 1 : 2)).toContain(thread.designation);
    }
  });

  it.each([
    ['external', { diameterMm: 14.1 }, '9/16-18 UNF'],
    ['external', { diameterMm: 26.97 }, '1 1/16-12 UN'],
    ['external', { diameterMm: 9.9 }, 'M10×1'],
    ['external', { diameterMm: 9.95, pitchMm: 0.97 }, 'M10×1'],
    ['external', { diameterMm: 20.9, threadsPerInch: 14, taper: 'parallel' }, 'G 1/2'],
    ['internal', { diameterMm: 20.5 }, 'M22×1.5'],
    ['external', { diameterMm: 19.9 }, 'M20×1.5'],
  ] as const)('%s %j, as a calliper gives it: the thread of plumbing comes first, %s', (side, figures, designation) =>
    expect(identifyThread({ side, ...figures })[0]).toMatchObject({ designation, metBecause: expect.any(String) }),
  );

  it('is settled by the flanks where nothing else tells: 1/2 and 3/4 of American and British taper', () => {
    for (const [american, british] of [
      ['1/2-14 NPT', 'R 1/2'],
      ['3/4-14 NPT', 'R 3/4'],
    ] as const) {
      for (const [flankDeg, named] of [
        [60, american],
        [55, british],
      ] as const) {
        const figures = perfect(parseThread(named), 'external');
        const [first] = identifyThread({ ...figures, flankDeg });
        expect(first!.score).toBeGreaterThan(identifyThread(figures).find((c) => c.designation === named)!.score);
        expect([first!.designation, first!.ties]).toEqual([named, undefined]);
        expect(first!.score).toBeGreaterThan(0.9);
      }
    }
    expect(() => identifyThread({ side: 'external', diameterMm: 20, flankDeg: 50 as 55 })).toThrow(ThreadMeasurementError);
  });

  it('never has the rare before the common of the same size: UNEF before UNF, NPSM before G', () => {
    for (const [side, diameterMm, common, rare] of [
      ['external', 14.1, '9/16-18 UNF', '9/16-24 UNEF'],
      ['external', 20.9, 'G 1/2', '1/2-14 NPSM'],
      ['internal', 20.5, '7/8-14 UNF', '7/8-16 UN'],
    ] as const) {
      const named = identifyThread({ side, diameterMm }).map((c) => c.designation);
      expect(named.indexOf(common)).toBeGreaterThanOrEqual(0);
      expect(named.includes(rare) ? named.indexOf(rare) : Infinity).toBeGreaterThan(named.indexOf(common));
    }
  });

  it('tells a tie where nothing but the flanks settles it, with the test that does: 1/2 taper pipe of either world', () => {
    for (let d = 20.7; d <= 21.1; d += 0.05) {
      const [first, second] = identifyThread({ side: 'external', diameterMm: d, threadsPerInch: 14, taper: 'tapered' });
      expect([first!.designation, second!.designation].sort()).toEqual(['1/2-14 NPT', 'R 1/2']);
      expect(first!.ties).toEqual([{ designation: second!.designation, howToTell: expect.stringContaining('55° flanks') as string }]);
      expect(second!.ties).toBeUndefined();
    }
    expect(identifyThread({ side: 'external', diameterMm: 13.9, pitchMm: 1.5 })[0]!.ties).toBeUndefined();
  });

  it('has the right thread first or second when the calliper is out by up to a tenth', () => {
    fc.assert(
      fc.property(fc.constantFrom(...all), fc.double({ min: -0.1, max: 0.1, noNaN: true }), ({ side, thread }, off) => {
        const measured = { ...perfect(thread, side), diameterMm: basicDiameter(thread, side) + off, uncertaintyMm: 0.1 };
        const firstTwo = identifyThread(measured).slice(0, 2);
        expect(firstTwo.map((c) => c.designation)).toContain(thread.designation);
      }),
      { numRuns: 400 },
    );
  });

  it('gives a probability: scores add up to one at most, and fall', () => {
    fc.assert(
      fc.property(fc.constantFrom(...sides), fc.double({ min: 5, max: 60, noNaN: true }), (side, diameterMm) => {
        const scores = identifyThread({ side, diameterMm }).map((c) => c.score);
        expect(scores.reduce((a, b) => a + b, 0)).toBeLessThanOrEqual(1 + 1e-9);
        for (let i = 1; i < scores.length; i++) expect(scores[i]!).toBeLessThanOrEqual(scores[i - 1]! / 0.9 + 1e-9);
      }),
    );
  });

  it('knows a worn M14×1.5, with its errors and what it is taken for', () => {
    const [first] = identifyThread({ side: 'external', diameterMm: 13.8, pitchMm: 1.5 });
    expect(first).toMatchObject({ designation: 'M14×1.5', pitchErrorMm: 0 });
    expect(first!.diameterErrorMm).toBeCloseTo(-0.2);
    expect(first!.lookAlikes.map((l) => l.designation)).toEqual(expect.arrayContaining(['9/16-18 UNF', 'G 1/4', '1/4-18 NPT']));
  });

  it('names a taper thread measured anywhere along it', () => {
    const { min, max } = measuredSpan(parseThread('1/8-27 NPT'), 'external');
    expect(max).toBeCloseTo(10.29, 1);
    for (let d = min + 0.02; d < max; d += 0.05)
      expect(identifyThread({ side: 'external', diameterMm: d, threadsPerInch: 27, taper: 'tapered' })[0]).toMatchObject({
        designation: '1/8-27 NPT',
        diameterErrorMm: 0,
        alsoCalled: '1/8-27 NPTF',
      });
  });

  it('lists what has a pitch when only the pitch is known, and what has a diameter when only that is', () => {
    const byPitch = identifyThread({ side: 'external', threadsPerInch: 27 });
    expect(
      byPitch
        .slice(0, 4)
        .map((c) => c.designation)
        .sort(),
    ).toEqual(['1/16-27 NPSM', '1/16-27 NPT', '1/8-27 NPSM', '1/8-27 NPT']);
    const byDiameter = identifyThread({ side: 'external', diameterMm: 13.9 }).map((c) => c.designation);
    expect(byDiameter).toEqual(expect.arrayContaining(['M14×1.5', 'M14×1.25', 'M14×2']));
  });

  it('scores low throughout where nothing fits', () =>
    expect(identifyThread({ side: 'external', diameterMm: 15.05, pitchMm: 1.5 })).toEqual([]));

  it.each([
    [{}, 'diameterMm', /Nothing measured/],
    [{ diameterMm: -14 }, 'diameterMm', /more than zero/],
    [{ diameterMm: 0 }, 'diameterMm', /more than zero/],
    [{ diameterMm: NaN }, 'diameterMm', /not a number/],
    [{ diameterMm: '14' as unknown as number }, 'diameterMm', /not a number/],
    [{ diameterMm: Infinity }, 'diameterMm', /more than zero/],
    [{ diameterMm: 140 }, 'diameterMm', /No thread of the library measures 140/],
    [{ diameterMm: 14, pitchMm: -1.5 }, 'pitchMm', /more than zero/],
    [{ diameterMm: 14, pitchMm: 1.66 }, 'pitchMm', /No thread has a pitch of 1.66 mm/],
    [{ diameterMm: 14, threadsPerInch: 22 }, 'threadsPerInch', /No thread has a pitch/],
    [{ diameterMm: 6, pitchMm: 5 }, 'pitchMm', /does not go on 6 mm/],
    [{ diameterMm: 14, pitchMm: 1.5, threadsPerInch: 18 }, 'threadsPerInch', /disagree/],
    [{ diameterMm: 14, uncertaintyMm: -1 }, 'uncertaintyMm', /between 0 and 2/],
    [{ diameterMm: 14, taper: 'conical' as 'tapered' }, 'taper', /not a taper/],
    [{ diameterMm: 14, side: 'sideways' as 'external' }, 'side', /Outside or inside/],
  ])('refuses %j with a word for the field', (figures, field, message) => {
    try {
      identifyThread({ side: 'external', ...figures });
      throw new Error('it was accepted');
    } catch (error) {
      expect(error).toBeInstanceOf(ThreadMeasurementError);
      expect((error as ThreadMeasurementError).field).toBe(field);
      expect(inHouseUnits((error as ThreadMeasurementError).message, 'metric')).toMatch(message);
      expect((error as ThreadMeasurementError).hint.length).toBeGreaterThan(10);
    }
  });

  it('takes pitch and count that agree', () =>
    expect(identifyThread({ side: 'external', diameterMm: 14.2, pitchMm: 1.41, threadsPerInch: 18 })[0]?.designation).toBe('9/16-18 UNF'));
});

describe('look-alikes', () => {
  it('are mutual, never a thread with itself, and each comes with a bench test', () => {
    for (const thread of threadLibrary)
      for (const other of lookAlikesOf(thread)) {
        expect(other.designation).not.toBe(thread.designation);
        expect(areLookAlikes(other, thread)).toBe(true);
      }
    for (const { howToTell: words } of lookAlikesInWords(parseThread('M14×1.5'))) expect(words).toMatch(/gauge|[Cc]alliper|fingers/);
  });

  it.each([
    ['M14×1.5', '9/16-18', 'external', /^Pitch gauge over 8 threads: 1.5 mm against 18 per inch, 0.7\smm out/],
    ['M22×1.5', '7/8-14', 'external', /Pitch gauge/],
    ['M18×1.5', '11/16-16', 'external', /Calliper over the crests: 18\smm against 17.5\smm/],
    ['R 1/8', 'G 1/8', 'external', /two places 8\smm apart: R 1\/8 differs by 0.5\smm/],
    ['1/2-14 NPT', 'R 1/2', 'external', /55° flanks/],
    ['M18×1.5', '11/16-16', 'internal', /across the hole/],
    ['1/2-14 NPSM', 'G 1/2', 'external', /55° flanks.*fingers|fingers/],
  ] as const)('%s and %s are told apart (%s)', (a, b, side, words) =>
    expect(howToTell(parseThread(a), parseThread(b), side)).toMatch(words),
  );

  it('are told apart in the units of the house', () =>
    expect(howToTell(parseThread('M18×1.5'), parseThread('11/16-16'), 'external', 'inch')).toMatch(/0.709\sin against 0.688\sin/));
});

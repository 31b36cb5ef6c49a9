import { bossRings, flare45Threads, inchStraightThreads, mate, metricPitches, nptSizes, parseConnector, threadData } from '../src/index.js';

/** Values are from memory of the sources named, rounded as they print them. */
describe('ISO 724: basic dimensions of metric threads, mm (from memory)', () => {
  it.each([
    ['M10×1', 10, 9.35, 8.917],
    ['M12×1.5', 12, 11.026, 10.376],
    ['M14×1.5', 14, 13.026, 12.376],
    ['M18×1.5', 18, 17.026, 16.376],
    ['M20×1.5', 20, 19.026, 18.376],
    ['M22×1.5', 22, 21.026, 20.376],
    ['M27×2', 27, 25.701, 24.835],
    ['M33×2', 33, 31.701, 30.835],
    ['M5×0.8', 5, 4.48, 4.134],
    ['M6×1', 6, 5.35, 4.917],
    ['M8×1.25', 8, 7.188, 6.647],
    ['M8×1', 8, 7.35, 6.917],
    ['M10×1.5', 10, 9.026, 8.376],
    ['M10×1.25', 10, 9.188, 8.647],
    ['M12×1.75', 12, 10.863, 10.106],
    ['M12×1.25', 12, 11.188, 10.647],
    ['M16×2', 16, 14.701, 13.835],
    ['M16×1.5', 16, 15.026, 14.376],
    ['M20×2.5', 20, 18.376, 17.294],
    ['M24×3', 24, 22.051, 20.752],
    ['M24×1.5', 24, 23.026, 22.376],
    ['M30×3.5', 30, 27.727, 26.211],
    ['M36×4', 36, 33.402, 31.67],
    ['M42×4.5', 42, 39.077, 37.129],
    ['M48×5', 48, 44.752, 42.587],
  ])('%s', (designation, major, pitchDiameter, minor) => {
    const data = threadData(designation);
    expect(data.majorMm).toBeCloseTo(major, 3);
    expect(data.pitchDiameterMm).toBeCloseTo(pitchDiameter, 3);
    expect(data.minorInternalMm).toBeCloseTo(minor, 3);
  });
});

describe('ISO 261: pitches by diameter, mm (from memory)', () => {
  it.each([
    [8, [1.25, 1, 0.75]],
    [10, [1.5, 1.25, 1, 0.75]],
    [12, [1.75, 1.5, 1.25, 1]],
    [14, [2, 1.5, 1.25, 1]],
    [20, [2.5, 2, 1.5, 1]],
    [27, [3, 2, 1.5]],
  ])('M%d', (diameter, pitches) => expect(metricPitches[diameter]).toEqual(expect.arrayContaining(pitches)));
});

describe('ASME B1.1: basic dimensions of unified threads, inch (from memory)', () => {
  it.each([
    ['7/16-20 UNF', 0.4375, 0.405, 0.3834],
    ['9/16-18 UNF', 0.5625, 0.5264, 0.5024],
    ['3/4-16 UNF', 0.75, 0.7094, 0.6823],
    ['7/8-14 UNF', 0.875, 0.8286, 0.7977],
    ['1/4-20 UNC', 0.25, 0.2175, 0.1959],
    ['1/4-28 UNF', 0.25, 0.2268, 0.2113],
    ['3/8-24 UNF', 0.375, 0.3479, 0.3299],
    ['1/2-13 UNC', 0.5, 0.45, 0.4167],
    ['1/2-20 UNF', 0.5, 0.4675, 0.4459],
    ['5/8-18 UNF', 0.625, 0.5889, 0.5649],
    ['13/16-16 UN', 0.8125, 0.7719, 0.7448],
    ['1-8 UNC', 1, 0.9188, 0.8647],
    ['1-12 UNF', 1, 0.9459, 0.9098],
    ['#10-32 UNF', 0.19, 0.1697, 0.1562],
    ['1 1/16-12 UN', 1.0625, 1.0084, 0.9723],
    ['1 5/16-12 UN', 1.3125, 1.2584, 1.2223],
  ])('%s', (designation, major, pitchDiameter, minor) => {
    const data = threadData(designation);
    expect(data.majorMm / 25.4).toBeCloseTo(major, 4);
    expect(data.pitchDiameterMm / 25.4).toBeCloseTo(pitchDiameter, 4);
    expect(data.minorInternalMm / 25.4).toBeCloseTo(minor, 4);
  });
});

describe('ASME B1.20.1: pitch diameter at the hand-tight plane E1, inch (from memory)', () => {
  it.each([
    ['1/16', 0.28118],
    ['1/8', 0.3736],
    ['1/4', 0.49163],
    ['3/8', 0.62701],
    ['1/2', 0.77843],
    ['3/4', 0.98887],
    ['1', 1.23863],
    ['1 1/4', 1.58338],
    ['1 1/2', 1.82234],
    ['2', 2.29627],
  ])('NPT %s', (size, e1) => expect(threadData(`NPT ${size}`).pitchDiameterMm / 25.4).toBeCloseTo(e1, 4));

  it('has 27, 18, 14 and 11 1/2 threads per inch', () => expect([...new Set(nptSizes.map((s) => s.tpi))]).toEqual([27, 18, 14, 11.5]));
});

describe('SAE J514 and SAE J1926-1: one thread for flare and boss of each dash size', () => {
  it.each([
    ['4', '7/16-20'],
    ['6', '9/16-18'],
    ['8', '3/4-16'],
    ['10', '7/8-14'],
    ['12', '1 1/16-12'],
    ['16', '1 5/16-12'],
  ])('-%s is %s', (dash, thread) => expect(`${inchStraightThreads[dash]!.diameter}-${inchStraightThreads[dash]!.tpi}`).toBe(thread));

  it('so that a flare screws into a boss of its size and does not seal (common practice)', () => {
    for (const dash of Object.keys(inchStraightThreads))
      expect(mate(parseConnector(`an${dash} m`), parseConnector(`orb${dash} f`)).outcome).toBe('leaks');
  });
});

describe('SAE J512: threads of the 45° flare, and where they part from the 37° (from memory)', () => {
  it('shares -2 -3 -4 -5 -8 -10 with it, and neither -6 nor -12', () => {
    const shared = Object.keys(flare45Threads).filter(
      (dash) => JSON.stringify(flare45Threads[dash]) === JSON.stringify(inchStraightThreads[dash]),
    );
    expect(shared).toEqual(['2', '3', '4', '5', '8', '10']);
    expect(threadData(`${flare45Threads['6']!.diameter}-18`).majorMm).toBeCloseTo(15.875);
    expect(flare45Threads['12']!.tpi).toBe(14);
  });
});

describe('AS568 900 series: boss rings, inch (from memory)', () => {
  it.each([
    ['2', 0.239, 0.064],
    ['3', 0.301, 0.064],
    ['5', 0.414, 0.072],
    ['14', 1.047, 0.116],
    ['20', 1.475, 0.118],
    ['24', 1.72, 0.118],
    ['32', 2.337, 0.118],
    ['1', 0.185, 0.056],
    ['7', 0.53, 0.082],
    ['9', 0.706, 0.097],
    ['11', 0.863, 0.116],
    ['13', 0.986, 0.116],
    ['18', 1.355, 0.116],
    ['28', 2.09, 0.118],
    ['4', 0.351, 0.072],
    ['6', 0.468, 0.078],
    ['8', 0.644, 0.087],
    ['10', 0.755, 0.097],
    ['12', 0.924, 0.116],
    ['16', 1.171, 0.116],
  ])('-9%s', (dash, inside, section) => {
    expect(bossRings[dash]!.insideMm / 25.4).toBeCloseTo(inside, 4);
    expect(bossRings[dash]!.sectionMm / 25.4).toBeCloseTo(section, 4);
  });

  it('go over their thread: a ring is smaller than the thread it seals, by no more than a fifth', () => {
    for (const [dash, { insideMm }] of Object.entries(bossRings)) {
      if (!inchStraightThreads[dash]) continue;
      const major = threadData(`${inchStraightThreads[dash].diameter}-${inchStraightThreads[dash].tpi}`).majorMm;
      expect(insideMm).toBeLessThan(major);
      expect(insideMm).toBeGreaterThan(major * 0.75);
    }
  });
});

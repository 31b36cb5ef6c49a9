import { bossRings, inchStraightThreads, parseConnector, mate, threadData, nptSizes } from '../src/index.js';

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
  ])('%s', (designation, major, pitchDiameter, minor) => {
    const data = threadData(designation);
    expect(data.majorMm).toBeCloseTo(major, 3);
    expect(data.pitchDiameterMm).toBeCloseTo(pitchDiameter, 3);
    expect(data.minorInternalMm).toBeCloseTo(minor, 3);
  });
});

describe('ASME B1.1: basic dimensions of unified threads, inch (from memory)', () => {
  it.each([
    ['7/16-20 UNF', 0.4375, 0.405, 0.3834],
    ['9/16-18 UNF', 0.5625, 0.5264, 0.5024],
    ['3/4-16 UNF', 0.75, 0.7094, 0.6823],
    ['7/8-14 UNF', 0.875, 0.8286, 0.7977],
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

describe('AS568 900 series: boss rings, inch (from memory)', () => {
  it.each([
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
      const major = threadData(`${inchStraightThreads[dash]!.diameter}-${inchStraightThreads[dash]!.tpi}`).majorMm;
      expect(insideMm).toBeLessThan(major);
      expect(insideMm).toBeGreaterThan(major * 0.75);
    }
  });
});

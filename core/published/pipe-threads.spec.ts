import { basicDiameter, parseThread, taperEngagement, threadData, threadLibrary, threadLimits } from '../src/index.js';

/** Values are from memory of the sources named, rounded as they print them. */
describe('ISO 228-1 and ISO 7-1: major, pitch and minor diameter, mm (from memory)', () => {
  it.each([
    ['1/16', 0.907, 7.723, 7.142, 6.561],
    ['1/8', 0.907, 9.728, 9.147, 8.566],
    ['1/4', 1.337, 13.157, 12.301, 11.445],
    ['3/8', 1.337, 16.662, 15.806, 14.95],
    ['1/2', 1.814, 20.955, 19.793, 18.631],
    ['3/4', 1.814, 26.441, 25.279, 24.117],
    ['1', 2.309, 33.249, 31.77, 30.291],
    ['1 1/4', 2.309, 41.91, 40.431, 38.952],
    ['1 1/2', 2.309, 47.803, 46.324, 44.845],
    ['2', 2.309, 59.614, 58.135, 56.656],
  ])('%s', (size, pitch, major, pitchDiameter, minor) => {
    for (const system of ['G', 'R', 'Rc', 'Rp']) {
      const data = threadData(`${system} ${size}`);
      expect(data.pitchMm).toBeCloseTo(pitch, 3);
      expect(data.majorMm).toBeCloseTo(major, 3);
      expect(data.pitchDiameterMm).toBeCloseTo(pitchDiameter, 2);
      expect(data.minorInternalMm).toBeCloseTo(minor, 2);
    }
  });

  it('has sizes of its own for the parallel thread', () => {
    expect(threadData('G 5/8').majorMm).toBeCloseTo(22.911, 3);
    expect(threadData('G 7/8').majorMm).toBeCloseTo(30.201, 3);
    expect(() => threadData('R 5/8')).toThrow();
  });

  it('tapers 1 in 16 with flanks of 55°', () => {
    expect(threadData('R 1/8')).toMatchObject({ taperPerMm: 1 / 16, flankAngleDeg: 55 });
    expect(threadData('G 1/8')).toMatchObject({ taperPerMm: 0, flankAngleDeg: 55 });
  });
});

describe('ASME B1.20.1: pitch diameter at the small end E0 and hand-tight length L1, inch (from memory)', () => {
  it.each([
    ['1/16', 0.27118, 0.16],
    ['1/8', 0.36351, 0.1615],
    ['1/4', 0.47739, 0.2278],
    ['3/8', 0.61201, 0.24],
    ['1/2', 0.75843, 0.32],
    ['3/4', 0.96768, 0.339],
    ['1', 1.21363, 0.4],
    ['1 1/4', 1.55713, 0.42],
    ['1 1/2', 1.79609, 0.42],
    ['2', 2.26902, 0.436],
  ])('NPT %s', (size, e0, l1) => {
    const data = threadData(`NPT ${size}`);
    expect(data.smallEnd!.pitchDiameterMm / 25.4).toBeCloseTo(e0, 4);
    expect(taperEngagement(`NPT ${size}`)!.gaugeLengthMm / 25.4).toBeCloseTo(l1, 4);
  });
});

describe('ASME B1.20.1: NPSM, largest major diameter outside, inch, within its allowance (from memory)', () => {
  it.each([
    ['1/8', 0.397],
    ['1/4', 0.526],
    ['3/8', 0.662],
    ['1/2', 0.823],
    ['3/4', 1.034],
  ])('%s', (size, largest) =>
    expect(
      Math.abs(basicDiameter(parseThread(`${size} NPSM`.replace(/^(.*) NPSM$/, 'NPSM $1')), 'external') / 25.4 - largest),
    ).toBeLessThan(0.003),
  );
});

describe('tap drills a shop buys, mm (tap-maker tables for ISO 228-1, ISO 7-1, ASME B1.20.1, from memory; metric: common practice)', () => {
  it.each([
    ['M10×1', 9, undefined],
    ['M12×1.25', 10.75, undefined],
    ['M14×1.5', 12.5, undefined],
    ['M20×1.5', 18.5, undefined],
    ['G 1/8', 8.8, undefined],
    ['G 1/4', 11.8, undefined],
    ['G 3/8', 15.25, undefined],
    ['G 1/2', 19, undefined],
    ['G 3/4', 24.5, undefined],
    ['G 1', 30.75, undefined],
    ['Rp 1/4', 11.8, undefined],
    ['Rc 1/8', 8.4, undefined],
    ['Rc 1/4', 11.2, undefined],
    ['Rc 3/8', 14.75, undefined],
    ['Rc 1/2', 18.25, undefined],
    ['Rc 3/4', 23.75, undefined],
    ['Rc 1', 30, undefined],
    ['NPT 1/8', 8.6, 8.4],
    ['NPT 1/4', 11.1, 10.7],
    ['NPT 3/8', 14.7, 14.3],
    ['NPT 1/2', 18.3, 17.9],
    ['NPT 3/4', 23.4, 23],
    ['NPT 1', 29.4, 28.6],
  ])('%s: %d', (designation, drill, reamed) =>
    expect([threadData(designation).tapDrillMm, threadData(designation).reamedDrillMm]).toEqual([drill, reamed]),
  );

  it('leaves every parallel hole of plumbing a minor diameter within its limits (ISO 228-1, ISO 965-1, ASME B1.1)', () => {
    const off = threadLibrary
      .filter(({ system, taperPerMm }) => taperPerMm === 0 && system !== 'NPSM')
      .filter((thread) => {
        const { min, max } = threadLimits(thread).internal.minor;
        const drill = threadData(thread.designation).tapDrillMm;
        return drill < min - 0.03 || drill > max + 0.03;
      });
    expect(off.map((thread) => thread.designation)).toEqual([]);
  });

  it('leaves a taper hole less than its minor diameter at the gauge plane, so that a reamer or the tap has something to take', () => {
    for (const thread of threadLibrary.filter(({ system }) => ['NPT', 'Rc'].includes(system))) {
      const { tapDrillMm, reamedDrillMm, minorInternalMm } = threadData(thread.designation);
      expect(tapDrillMm).toBeLessThan(minorInternalMm);
      if (thread.system === 'NPT') expect(reamedDrillMm).toBeLessThan(tapDrillMm);
    }
  });
});

describe('the two pipe worlds side by side (ASME B1.20.1, ISO 7-1)', () => {
  it.each([
    ['1/8', 27, 28],
    ['1/4', 18, 19],
    ['3/8', 18, 19],
    ['1/2', 14, 14],
    ['3/4', 14, 14],
    ['1', 11.5, 11],
  ])('%s: %d threads per inch against %d', (size, american, british) => {
    expect(25.4 / threadData(`NPT ${size}`).pitchMm).toBeCloseTo(american, 6);
    expect(25.4 / threadData(`R ${size}`).pitchMm).toBeCloseTo(british, 6);
  });
});

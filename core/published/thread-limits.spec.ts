import { parseThread, threadLimits } from '../src/index.js';

/** Values are from memory of the sources named, rounded as they print them. */
describe('ISO 965-1: tolerances of 6g and 6H, µm (from memory), within 1 µm of position and a step of its number series', () => {
  it.each([
    // es, Td, Td2, TD2, TD1
    ['M6×1', 26, 180, 112, 150, 236],
    ['M8×1.25', 28, 212, 118, 160, 265],
    ['M10×1.5', 32, 236, 132, 180, 300],
    ['M12×1.5', 32, 236, 140, 190, 300],
    ['M14×1.5', 32, 236, 140, 190, 300],
    ['M16×2', 38, 280, 160, 212, 375],
    ['M20×2.5', 42, 335, 170, 224, 450],
    ['M24×3', 48, 375, 200, 265, 500],
  ])('%s', (designation, es, td, td2, TD2, TD1) => {
    const thread = parseThread(designation);
    const { external, internal, classes } = threadLimits(thread);
    expect(classes).toBe('6g/6H');
    expect(Math.abs((thread.majorMm - external.major.max) * 1000 - es)).toBeLessThan(1.1);
    for (const [{ min, max }, published] of [
      [external.major, td],
      [external.pitch, td2],
      [internal.pitch, TD2],
      [internal.minor, TD1],
    ] as const)
      expect(Math.abs(((max - min) * 1000) / published - 1)).toBeLessThan(0.07);
  });
});

describe('ASME B1.1: pitch diameter limits of 2A and 2B, inch (from memory)', () => {
  it.each([
    ['1/4-20 UNC', 0.2164, 0.2127, 0.2175, 0.2224],
    ['7/16-20 UNF', 0.4037, 0.3995, 0.405, 0.4104],
    ['1/2-20 UNF', 0.4662, 0.4619, 0.4675, 0.4731],
    ['9/16-18 UNF', 0.525, 0.5205, 0.5264, 0.5323],
    ['3/4-16 UNF', 0.7079, 0.7029, 0.7094, 0.7159],
    ['7/8-14 UNF', 0.827, 0.8216, 0.8286, 0.8356],
  ])('%s', (designation, outMax, outMin, inMin, inMax) => {
    const { external, internal } = threadLimits(parseThread(designation));
    expect(external.pitch.max / 25.4).toBeCloseTo(outMax, 3);
    expect(external.pitch.min / 25.4).toBeCloseTo(outMin, 3);
    expect(internal.pitch.min / 25.4).toBeCloseTo(inMin, 3);
    expect(internal.pitch.max / 25.4).toBeCloseTo(inMax, 3);
  });
});

describe('an independent data set: the general-purpose OpenSCAD library MCAD (Debian package openscad-mcad, nuts_and_bolts.scad)', () => {
  it.each([
    [5, 0.8, 4.976],
    [6, 1, 5.974],
    [8, 1.25, 7.972],
    [10, 1.5, 9.968],
    [12, 1.75, 11.966],
    [16, 2, 15.962],
    [20, 2.5, 19.958],
    [24, 3, 23.952],
    [30, 3.5, 29.947],
    [36, 4, 35.94],
  ])('largest outside diameter of coarse M%d×%d', (diameter, pitch, largest) =>
    expect(Math.abs(threadLimits(parseThread(`M${diameter}×${pitch}`)).external.major.max - largest)).toBeLessThan(0.0011),
  );
});

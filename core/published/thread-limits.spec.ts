import { parseThread, threadLibrary, threadLimits } from '../src/index.js';

/** es, Td, Td2, TD2 and TD1 of a thread, µm. */
const micrometresOf = (designation: string) => {
  const thread = parseThread(designation);
  const { external, internal, classes } = threadLimits(thread);
  const micrometres = (mm: number): number => Math.round(mm * 1e4) / 10;
  const wide = ({ min, max }: { min: number; max: number }): number => micrometres(max - min);
  const es = micrometres(thread.majorMm - external.major.max);
  return { classes, figures: [es, wide(external.major), wide(external.pitch), wide(internal.pitch), wide(internal.minor)] };
};

/** Values are from memory of the sources named, rounded as they print them. */
describe('ISO 965-1: tolerances of 6g and 6H, µm, as printed (from memory)', () => {
  it.each([
    // es, Td, Td2, TD2, TD1
    ['M5×0.8', 24, 150, 95, 125, 200],
    ['M6×1', 26, 180, 112, 150, 236],
    ['M6×0.75', 22, 140, 100, 132, 190],
    ['M8×1.25', 28, 212, 118, 160, 265],
    ['M8×1', 26, 180, 112, 150, 236],
    ['M10×1', 26, 180, 112, 150, 236],
    ['M10×1.25', 28, 212, 118, 160, 265],
    ['M10×1.5', 32, 236, 132, 180, 300],
    ['M12×1', 26, 180, 118, 160, 236],
    ['M12×1.25', 28, 212, 132, 180, 265],
    ['M12×1.5', 32, 236, 140, 190, 300],
    ['M12×1.75', 34, 265, 150, 200, 335],
    ['M14×1.5', 32, 236, 140, 190, 300],
    ['M16×1.5', 32, 236, 140, 190, 300],
    ['M16×2', 38, 280, 160, 212, 375],
    ['M18×1.5', 32, 236, 140, 190, 300],
    ['M20×1.5', 32, 236, 140, 190, 300],
    ['M20×2.5', 42, 335, 170, 224, 450],
    ['M22×1.5', 32, 236, 140, 190, 300],
    ['M24×1', 26, 180, 125, 170, 236],
    ['M24×1.5', 32, 236, 150, 200, 300],
    ['M24×2', 38, 280, 170, 224, 375],
    ['M24×3', 48, 375, 200, 265, 500],
    ['M27×2', 38, 280, 170, 224, 375],
    ['M30×3.5', 53, 425, 212, 280, 560],
    ['M33×2', 38, 280, 170, 224, 375],
    ['M36×4', 60, 475, 224, 300, 600],
    ['M42×4.5', 63, 500, 236, 315, 670],
    ['M48×2', 38, 280, 180, 236, 375],
    ['M48×5', 71, 530, 250, 335, 710],
    ['M52×5', 71, 530, 250, 335, 710],
  ])('%s', (designation, ...printed) => {
    const { classes, figures } = micrometresOf(designation);
    expect(classes).toBe('6g/6H');
    expect(figures).toEqual(printed);
  });

  it.each([
    // formulas of the standard, rounded to R40: Td = 180 P^(2/3) − 3.15/√P, TD2 = 1.32 · 90 P^0.4 · d^0.1, d the mean of its step
    ['M100×6', 81, 600, 300, 400, 800],
    ['M20×3', 48, 375, 180, 236, 500],
  ])('%s, which the tables do not print, by its formulas, and says so', (designation, ...reckoned) => {
    const { classes, figures } = micrometresOf(designation);
    expect(classes).toBe('6g/6H by formula');
    expect(figures).toEqual(reckoned);
  });

  it('are there for every metric thread of the library: none is reckoned by formula', () =>
    expect(
      threadLibrary
        .filter(({ system }) => system === 'metric')
        .filter((thread) => threadLimits(thread).classes !== '6g/6H')
        .map((thread) => thread.designation),
    ).toEqual([]));
});

describe('ASME B1.1: pitch diameter limits of 2A and 2B, inch, to the fourth decimal the standard rounds to (from memory)', () => {
  it.each([
    ['1/4-20 UNC', 0.2164, 0.2127, 0.2175, 0.2224],
    ['7/16-20 UNF', 0.4037, 0.3995, 0.405, 0.4104],
    ['1/2-20 UNF', 0.4662, 0.4619, 0.4675, 0.4731],
    ['9/16-18 UNF', 0.525, 0.5205, 0.5264, 0.5323],
    ['3/4-16 UNF', 0.7079, 0.7029, 0.7094, 0.7159],
    ['7/8-14 UNF', 0.827, 0.8216, 0.8286, 0.8356],
  ])('%s', (designation, outMax, outMin, inMin, inMax) => {
    const { external, internal } = threadLimits(parseThread(designation));
    expect(Math.abs(external.pitch.max / 25.4 - outMax)).toBeLessThan(0.00011);
    expect(Math.abs(external.pitch.min / 25.4 - outMin)).toBeLessThan(0.00011);
    expect(Math.abs(internal.pitch.min / 25.4 - inMin)).toBeLessThan(0.00011);
    expect(Math.abs(internal.pitch.max / 25.4 - inMax)).toBeLessThan(0.00011);
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
    expect(Math.abs(threadLimits(parseThread(`M${diameter}×${pitch}`)).external.major.max - largest)).toBeLessThan(0.0001),
  );
});

import {
  boreSizeMm,
  constructionById,
  formatConnector,
  hoseEndProblem,
  hoseSize,
  mate,
  parseConnector,
  standardHoseEnds,
  standardHoses,
  tubeMetals,
  tubePressure,
} from '../src/index.js';

const hoses = standardHoses();
const ends = standardHoseEnds();
const hose = (id: string) => hoses.find((h) => h.id === id)!;

describe('SAE J517 (from memory): working pressure in psi and least bend radius in inches', () => {
  it.each([
    ['hose-ptfe-6', 1500, 4],
    ['hose-ptfe-10', 800, 6.5],
    ['hose-truck-6', 2250, 4],
    ['hose-truck-10', 1750, 5.5],
    ['hose-crimped-4', 3000, 2],
    ['hose-crimped-6', 3000, 2.5],
    ['hose-crimped-8', 3000, 3.5],
    ['hose-crimped-12', 3000, 4.75],
    ['hose-crimped-16', 3000, 6],
    ['hose-crimped-ptfe-6', 1500, 4],
  ])('%s', (id, psi, inches) => {
    // tables are rounded to whole bar and millimetres, 100R17 to 21.0 MPa
    expect(Math.abs(hose(id).workingBar - psi / 14.5038)).toBeLessThan(3.5);
    expect(Math.abs(hose(id).bendRadiusMm - inches * 25.4)).toBeLessThanOrEqual(1);
  });
});

describe('tubes of hard lines: Barlow, P = 2·S·t/D, at a quarter of the tensile strength', () => {
  it.each([
    // 2 × 77.5 MPa × 0.889 / 9.525 = 14.47 MPa
    [310, 9.525, 0.889, 144],
    // 2 × 43 × 0.889 / 12.7 = 6.02
    [172, 12.7, 0.889, 60],
    // 2 × 65.5 × 0.711 / 4.7625 = 19.56
    [262, 4.7625, 0.711, 195],
  ])('%d MPa, %d × %d mm: %d bar', (strength, outside, wall, bar) => expect(tubePressure(strength, outside, wall)).toBe(bar));

  it('burst at four times that, weigh what their metal weighs, and are thinner than their bend', () => {
    for (const { construction, walls, densityKgDm3 } of tubeMetals)
      for (const [dash, wall] of walls) {
        const tube = hose(`hose-${construction}-${dash}`);
        expect(tube.burstBar).toBe(tube.workingBar * 4);
        const area = (Math.PI / 4) * (tube.outsideMm ** 2 - tube.boreMm ** 2);
        expect(Math.abs(tube.massGPerM! - area * densityKgDm3)).toBeLessThanOrEqual(1);
        expect(tube.boreMm).toBeCloseTo(tube.outsideMm - 2 * wall, 1);
        expect(constructionById(construction).endStyle).toBe('formed');
      }
  });

  it.each([
    ['steel-tube', 'alcohol fuel'],
    ['aluminium-tube', 'alcohol fuel'],
    ['steel-tube', 'coolant'],
    ['copper-nickel-tube', 'brake fluid'],
  ])('%s is not for %s (common practice)', (construction, fluid) =>
    expect(constructionById(construction).fluids as readonly string[]).not.toContain(fluid),
  );
});

describe('hose of a metric bore (common practice)', () => {
  const metric = hoses.filter((h) => h.metricMm !== undefined);

  it('is called by its bore, and its own cut end goes on it and on no inch hose', () => {
    expect(metric.length).toBeGreaterThan(40);
    for (const h of metric) {
      expect(hoseSize(h)).toBe(`${h.metricMm} mm`);
      const own = ends.filter((e) => hoseEndProblem(e, h) === undefined);
      expect(own.map((e) => formatConnector(e.connector))).toEqual([`hose ${h.metricMm}mm`]);
      expect(boreSizeMm(own[0]!.connector.size)).toBe(h.boreMm);
    }
    const inch = hose('hose-coolant-10');
    expect(
      hoseEndProblem(
        ends.find((e) => e.id === 'end-coolant-16mm-0')!,
        inch,
      ),
    ).toBe('This end is 16 mm, and the hose is -10.');
  });

  it.each([
    ['end-coolant-16mm-0', 'barb 5/8', 'seals'],
    ['end-coolant-19mm-0', 'bead 3/4', 'seals'],
    ['end-fuel-10mm-0', 'barb 3/8', 'seals'],
    ['end-fuel-6mm-0', 'barb 1/4', 'does-not-join'],
    ['end-vacuum-4mm-0', 'barb 4mm', 'seals'],
  ])('%s on %s: %s', (id, barb, outcome) =>
    expect(mate(ends.find((e) => e.id === id)!.connector, parseConnector(barb)).outcome).toBe(outcome),
  );
});

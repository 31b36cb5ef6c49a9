import fc from 'fast-check';
import {
  airPressure,
  balance,
  bendTwoK,
  dischargeCoefficient,
  drainCapacity,
  FlowFigureError,
  fluidProperties,
  fromTable,
  frictionFactor,
  gradeLimits,
  hotGrade,
  kinematicViscosity,
  lossCoefficient,
  oilDensity,
  oils,
  pressureLoss,
  restrictorFlow,
  stepCoefficient,
  twoK,
  viscosityIndex,
  water,
} from '../src/index.js';

describe('viscosity index: the worked examples of ASTM D2270 (from memory)', () => {
  it.each([
    [73.3, 8.86, 92],
    [22.83, 5.05, 156],
    [53.47, 7.8, 111],
  ])('%d cSt at 40 °C and %d at 100 °C: %d', (v40, v100, index) => expect(Math.round(viscosityIndex({ v40, v100 }))).toBe(index));

  it.each([
    // Y, L and H of the table of the standard: at U = L the index is 0, at U = H it is 100
    [2, 7.994, 6.394],
    [5, 40.23, 28.49],
    [10, 147.7, 82.87],
    [20, 493.2, 229.5],
    [50, 2618, 919.6],
  ])('with %d cSt at 100 °C it is 0 at %d cSt and 100 at %d', (v100, low, high) => {
    expect(Math.abs(viscosityIndex({ v40: low, v100 }))).toBeLessThan(0.15);
    expect(Math.abs(viscosityIndex({ v40: high, v100 }) - 100)).toBeLessThan(0.15);
  });

  it('has no index below 2 cSt, and no fluid thickens with heat', () => {
    expect(() => viscosityIndex({ v40: 3, v100: 1.5 })).toThrow(FlowFigureError);
    expect(() => viscosityIndex({ v40: 10, v100: 14 })).toThrow(/Viscosity falls|no fluid/);
  });
});

describe('viscosity by temperature: ASTM D341', () => {
  it('goes through both of its points, and falls all the way', () => {
    fc.assert(
      fc.property(fc.double({ min: 2, max: 40, noNaN: true }), fc.double({ min: 1.5, max: 14, noNaN: true }), (v100, ratio) => {
        const oil = { v40: v100 * ratio, v100 };
        expect(kinematicViscosity(oil, 40) / oil.v40).toBeCloseTo(1, 3);
        expect(kinematicViscosity(oil, 100) / oil.v100).toBeCloseTo(1, 3);
        const falling = [-20, 0, 40, 80, 100, 120, 150].map((t) => kinematicViscosity(oil, t));
        expect(falling).toEqual([...falling].sort((a, b) => b - a));
      }),
    );
  });

  it('is a straight line in log log (ν + 0.7) over log T, worked by hand for 100 and 11 cSt', () => {
    // log log 100.7 = 0.301695, log log 11.7 = 0.028648; log T 2.495752 and 2.571884 K; slope 3.586490
    // at 120 °C log T = 2.594558: log log Z = −0.052671, Z = 7.687
    expect(kinematicViscosity({ v40: 100, v100: 11 }, 120)).toBeCloseTo(7.0, 1);
  });

  it('is refused outside its line', () => {
    expect(() => kinematicViscosity({ v40: 100, v100: 11 }, 400)).toThrow(FlowFigureError);
    expect(() => kinematicViscosity({ v40: 100, v100: 11 }, Number.NaN)).toThrow(FlowFigureError);
  });
});

describe('oils by grade: SAE J300, viscosity at 100 °C (from memory)', () => {
  it.each(oils.map((oil) => [oil.name, oil] as const))('%s', (_, oil) => {
    const [from, below] = gradeLimits[hotGrade(oil)]!;
    expect(oil.v100).toBeGreaterThanOrEqual(from);
    expect(oil.v100).toBeLessThan(below);
    expect(viscosityIndex(oil)).toBeGreaterThan(90);
    expect(oilDensity(oil, 100)).toBeCloseTo(oil.density15 - 55.25, 6);
  });
});

describe('friction factor (Darcy)', () => {
  it.each([
    // Moody's chart by Colebrook's equation, as handbooks print it
    [1e5, 0, 0.018],
    [1e6, 0, 0.0116],
    [1e5, 0.001, 0.0222],
    [1e6, 0.0001, 0.0134],
    [1e6, 0.01, 0.038],
    [1e7, 0.05, 0.0716],
  ])('at Re %d and ε/d %d it is %d', (reynolds, roughness, factor) => expect(frictionFactor(reynolds, roughness)).toBeCloseTo(factor, 4));

  it('is 64/Re where the flow is laminar, and has no step anywhere', () => {
    for (const reynolds of [1, 64, 500, 2000]) expect(frictionFactor(reynolds, 0.001)).toBe(64 / reynolds);
    for (const at of [2000, 4000])
      for (const roughness of [0, 1e-4, 0.01])
        expect(frictionFactor(at * 1.0001, roughness) / frictionFactor(at * 0.9999, roughness)).toBeCloseTo(1, 2);
  });

  it('satisfies the equation of Colebrook', () =>
    fc.assert(
      fc.property(fc.double({ min: 4000, max: 1e8, noNaN: true }), fc.double({ min: 0, max: 0.05, noNaN: true }), (reynolds, roughness) => {
        const root = Math.sqrt(frictionFactor(reynolds, roughness));
        expect(1 / root).toBeCloseTo(-2 * Math.log10(roughness / 3.7 + 2.51 / (reynolds * root)), 6);
      }),
    ));

  it.each([
    [0, 0],
    [-5, 0],
    [Number.NaN, 0],
    [1000, -1],
    [1000, 0.5],
  ])('is refused for Re %d and ε/d %d', (reynolds, roughness) => expect(() => frictionFactor(reynolds, roughness)).toThrow(RangeError));
});

describe('loss of a straight pipe', () => {
  it('is that of Hagen and Poiseuille where it is laminar: Δp = 128·μ·L·Q/(π·d⁴)', () =>
    fc.assert(
      fc.property(
        fc.record({
          flowLpm: fc.double({ min: 0.1, max: 5, noNaN: true }),
          boreMm: fc.double({ min: 5, max: 25, noNaN: true }),
          lengthM: fc.double({ min: 0.1, max: 5, noNaN: true }),
          viscosityCst: fc.double({ min: 60, max: 500, noNaN: true }),
        }),
        (pipe) => {
          const density = 850;
          const found = pressureLoss({ ...pipe, densityKgM3: density });
          const mu = pipe.viscosityCst * 1e-6 * density;
          const exact = (128 * mu * pipe.lengthM * (pipe.flowLpm / 60_000)) / (Math.PI * (pipe.boreMm / 1000) ** 4) / 1e5;
          expect(found.regime).toBe('laminar');
          expect(found.lossBar / exact).toBeCloseTo(1, 9);
        },
      ),
    ));

  it('is worked by hand where it is turbulent: 60 L/min of water through 10 m of 20 mm', () => {
    // v = 1e-3/(π/4·0.02²) = 3.1831 m/s; Re = 63,662; smooth f = 0.0198; Δp = f·500·½·1000·v² = 0.50 bar
    const { velocityMs, reynolds, regime, lossBar } = pressureLoss({
      flowLpm: 60,
      boreMm: 20,
      lengthM: 10,
      viscosityCst: 1,
      densityKgM3: 1000,
      roughnessMm: 0,
    });
    expect(velocityMs).toBeCloseTo(3.1831, 4);
    expect(reynolds).toBeCloseTo(63_662, 0);
    expect(regime).toBe('turbulent');
    expect(lossBar).toBeCloseTo(0.5, 2);
  });

  it('is nothing without flow, and refused for figures that no pipe has', () => {
    const pipe = { flowLpm: 10, boreMm: 10, lengthM: 1, viscosityCst: 10, densityKgM3: 850 };
    expect(pressureLoss({ ...pipe, flowLpm: 0 }).lossBar).toBe(0);
    for (const bad of [{ flowLpm: -1 }, { boreMm: 0 }, { lengthM: Number.NaN }, { viscosityCst: 0 }, { densityKgM3: -3 }])
      expect(() => pressureLoss({ ...pipe, ...bad })).toThrow(FlowFigureError);
  });
});

describe('a drain by gravity', () => {
  it('that runs full and laminar carries what Hagen and Poiseuille say: Q = π·d⁴·g·h/(128·ν·L)', () => {
    const { oilLpm, laminar } = drainCapacity({
      boreMm: 12.7,
      fallMm: 100,
      lengthMm: 500,
      viscosityCst: 200,
      densityKgM3: 850,
      filling: 1,
      froth: 1,
      k: 0,
    });
    // π·0.0127⁴·9.80665·0.1/(128·2e-4·0.5) = 6.261e-6 m³/s
    expect(laminar).toBe(true);
    expect(oilLpm).toBeCloseTo(6.261e-6 * 60_000, 2);
  });
});

describe('bends, branches and mouths: the two constants of Hooper 1981 (from memory)', () => {
  it('a screwed 90° elbow of 1 inch at Re 1000 has K = 800/1000 + 0.4·2', () =>
    expect(lossCoefficient(twoK['elbow 90, screwed'], 1000, 25.4)).toBeCloseTo(1.6, 9));
  it('an entrance has its half whatever the size', () => expect(lossCoefficient(twoK.entrance, 1e6, 5)).toBeCloseTo(0.50016, 5));

  it('a bend lies between its neighbours, and turns more the more it costs', () => {
    expect(bendTwoK(0, true)).toEqual({ k1: 0, kInf: 0 });
    expect(bendTwoK(90, true)).toEqual({ k1: 800, kInf: 0.4 });
    const costs = [0, 30, 45, 60, 90, 120, 150, 180].map((deg) => bendTwoK(deg, false).kInf);
    expect(costs).toEqual([...costs].sort((a, b) => a - b));
  });

  it('a step outwards loses (1 − β²)², inwards half of 1 − β²', () => {
    expect(stepCoefficient(10, 20)).toBeCloseTo(0.5625, 9);
    expect(stepCoefficient(20, 10)).toBeCloseTo(0.375, 9);
    expect(stepCoefficient(12, 12)).toBe(0);
  });
});

describe('water: IAPWS, as handbooks print it (from memory)', () => {
  it.each([
    // °C, kinematic viscosity cSt, density kg/m³
    [20, 1.0038, 998.2],
    [40, 0.6581, 992.2],
    [80, 0.3648, 971.8],
  ])('at %d °C: %d cSt, %d kg/m³', (tempC, cst, density) => {
    const found = fromTable(water, tempC);
    expect(found.viscosityCst).toBeCloseTo(cst, 3);
    expect(found.densityKgM3).toBe(density);
  });

  it('50 m of 25 mm smooth pipe at 1 L/s by Darcy: worked by hand', () => {
    // v = 1e-3/(π/4·0.025²) = 2.0372 m/s; Re = 50 740; smooth Colebrook f = 0.02083; Δp = f·2000·½·998.2·v² = 0.863 bar
    const found = pressureLoss({ flowLpm: 60, boreMm: 25, lengthM: 50, viscosityCst: 1.0038, densityKgM3: 998.2, roughnessMm: 0 });
    expect(found.velocityMs).toBeCloseTo(2.0372, 4);
    expect(found.reynolds).toBeCloseTo(50_737, -2);
    expect(found.lossBar).toBeCloseTo(0.863, 2);
  });
});

describe('air: ideal gas and Sutherland (US Standard Atmosphere 1976, from memory)', () => {
  it('at 15 °C and one atmosphere has 1.225 kg/m³ and 14.6 cSt', () => {
    const { densityKgM3, viscosityCst } = fluidProperties('air', { tempC: 15 });
    expect(densityKgM3).toBeCloseTo(1.225, 3);
    expect(viscosityCst).toBeCloseTo(14.61, 1);
  });
});

describe('half glycol, half water: ASHRAE Handbook, Fundamentals (from memory)', () => {
  it.each([
    [20, 3.94, 1073],
    [80, 1.06, 1037],
  ])('at %d °C: %d mPa·s, %d kg/m³', (tempC, mPas, density) => {
    const { viscosityCst, densityKgM3 } = fluidProperties('coolant', { tempC });
    expect((viscosityCst * densityKgM3) / 1000).toBeCloseTo(mPas, 6);
    expect(densityKgM3).toBe(density);
  });
});

describe('diesel: EN 590 (from memory)', () => {
  it('lies within 2.0 to 4.5 cSt at 40 °C and 820 to 845 kg/m³ at 15 °C', () => {
    expect(fluidProperties('diesel', { tempC: 40 }).viscosityCst).toBeCloseTo(2.9, 1);
    expect(fluidProperties('diesel', { tempC: 15 }).densityKgM3).toBe(835);
  });
});

describe('a pipe that is part full', () => {
  it('half full and turbulent runs as Manning says, with n = 0.009 of smooth plastic (Chow 1959, from memory), within a tenth', () => {
    // v = 1/n·R^(2/3)·√S, R = d/4; 50 mm pipe, 1 % of slope: 1/0.009·0.0125^(2/3)·0.1 = 0.598 m/s
    const { velocityMs, laminar } = drainCapacity({
      boreMm: 50,
      fallMm: 1000,
      lengthMm: 100_000,
      viscosityCst: 1,
      densityKgM3: 1000,
      filling: 0.5,
      froth: 1,
      k: 0,
    });
    expect(laminar).toBe(false);
    expect(velocityMs / 0.598).toBeGreaterThan(0.9);
    expect(velocityMs / 0.598).toBeLessThan(1.1);
  });
});

describe('a network with a known balance', () => {
  it('laminar pipes side by side share the flow by d⁴/L (Hagen and Poiseuille)', () => {
    const pipe = (id: string, boreMm: number, lengthM: number) => ({
      id,
      from: 'in',
      to: 'out',
      loss: (flowLpm: number) => pressureLoss({ flowLpm, boreMm, lengthM, viscosityCst: 300, densityKgM3: 870 }).lossBar,
    });
    const { flowLpm } = balance(
      [
        { id: 'in', fedLpm: 6 },
        { id: 'out', heldBar: 0 },
      ],
      [pipe('wide', 12, 1), pipe('narrow', 8, 0.5)],
    );
    // 12⁴/1 : 8⁴/0.5 = 20736 : 8192
    expect(flowLpm['wide']).toBeCloseTo((6 * 20_736) / 28_928, 4);
    expect(flowLpm['narrow']).toBeCloseTo((6 * 8192) / 28_928, 4);
  });

  it('a bridge whose arms are in proportion carries nothing (Wheatstone)', () => {
    const arm = (id: string, from: string, to: string, k: number) => ({ id, from, to, loss: (q: number) => k * q });
    const { still } = balance(
      [{ id: 'in', heldBar: 3 }, { id: 'a' }, { id: 'b' }, { id: 'out', heldBar: 0 }],
      [arm('1', 'in', 'a', 1), arm('2', 'a', 'out', 2), arm('3', 'in', 'b', 3), arm('4', 'b', 'out', 6), arm('bridge', 'a', 'b', 0.5)],
    );
    expect(still).toEqual(['bridge']);
  });
});

describe('a sharp hole', () => {
  it('turbulent passes about 0.7·A·√(2Δp/ρ) when it is some diameters long (Lichtarowicz 1965: 0.7 to 0.8; from memory)', () => {
    const flow = restrictorFlow({ boreMm: 5, dropBar: 10, viscosityCst: 1, densityKgM3: 1000 });
    const ideal = (Math.PI / 4) * 0.005 ** 2 * Math.sqrt((2 * 10e5) / 1000) * 60_000;
    expect(flow / ideal).toBeGreaterThan(0.68);
    expect(flow / ideal).toBeLessThan(0.8);
  });
});

describe('the air by height (ISO 2533)', () => {
  it.each([
    [0, 1.013],
    [1000, 0.899],
    [2500, 0.747],
  ])('%d m: %d bar', (metres, bar) => expect(airPressure(metres)).toBeCloseTo(bar, 2));
});

describe('the drilled hole (Sampson; Hagen and Poiseuille)', () => {
  it('creeps by its depth when the oil is thick, and keeps to 0.7 when it is thin', () => {
    expect(dischargeCoefficient(1e6)).toBeCloseTo(0.7, 3);
    // 1/C² → (12π + 64·2)/Re
    expect(dischargeCoefficient(0.1)).toBeCloseTo(Math.sqrt(0.1 / (12 * Math.PI + 128)), 3);
    expect(dischargeCoefficient(10, 5)).toBeLessThan(dischargeCoefficient(10, 1));
  });
});

import type { JobOil } from '../job/index.js';
import { fluidProperties, oilOf } from './fluid-properties.js';
import { drainCapacity } from './gravity-drain.js';
import { dischargeCoefficient, restrictorFlow } from './orifice.js';
import { pressureLoss, reynoldsNumber, velocity } from './pressure-loss.js';
import type { Working } from './working.js';
import { quantity, taped } from '../units/index.js';

/** One answer at one temperature, with its working. */
export interface OneAnswer {
  readonly tempC: number;
  readonly value: number;
  readonly unit: 'L/min' | 'bar';
  readonly note: string;
  readonly working: Working;
}

const n = (value: number, decimals: number): string => value.toFixed(decimals).replace('-', '−');
const VISCOSITY = 'Viscosity: ASTM D341; density falls 0.65 kg/m³ a K';

function fluidAt(oil: JobOil, tempC: number) {
  const known = oilOf(oil);
  const fluid = fluidProperties('engine oil', { tempC, oil: known });
  const steps = [
    { what: 'viscosity', formula: `${known.name} at ${quantity(tempC, '°C')}`, result: `${n(fluid.viscosityCst, 1)} cSt` },
    { what: 'density', formula: `at ${quantity(tempC, '°C')}`, result: `${n(fluid.densityKgM3, 0)} kg/m³` },
  ];
  return { fluid, steps, sources: [VISCOSITY, ...(fluid.beyond ? [fluid.beyond] : [])] };
}

/** How much passes a drilled hole at a pressure. @throws {FlowFigureError} */
export function throughHole(q: { boreMm: number; dropBar: number; oil: JobOil }, tempC: number): OneAnswer {
  const { fluid, steps, sources } = fluidAt(q.oil, tempC);
  const value = restrictorFlow({ ...q, ...fluid });
  const reynolds = reynoldsNumber(velocity(value, q.boreMm), q.boreMm, fluid.viscosityCst);
  const c = dischargeCoefficient(reynolds);
  return {
    tempC,
    value,
    unit: 'L/min',
    note: `C ${n(c, 2)} at Re ${n(reynolds, 0)}`,
    working: {
      title: `Ø ${quantity(q.boreMm, 'mm')} at ${quantity(q.dropBar, 'bar')}, ${quantity(tempC, '°C')}`,
      steps: [
        ...steps,
        {
          what: 'ideal speed',
          formula: '√(2 · Δp / ρ)',
          result: `${quantity(n(Math.sqrt((2e5 * q.dropBar) / fluid.densityKgM3), 1), 'm/s')}`,
        },
        { what: 'coefficient', formula: `1/√(1/0.7² + (12π + 64 · depth/d)/Re), drilled 2 d deep, Re ${n(reynolds, 0)}`, result: n(c, 3) },
        { what: 'flow', formula: 'C · π/4 · d² · √(2 · Δp / ρ)', result: `${quantity(n(value, 3), 'L/min')}` },
      ],
      sources: [...sources, 'Coefficient of a drilled hole: 0.7 by common practice; creeping flow by Sampson and Poiseuille'],
    },
  };
}

/** How much a drain carries by its fall. @throws {FlowFigureError} */
export function downDrain(
  q: { boreMm: number; fallMm: number; lengthMm: number; oil: JobOil; filling: number; froth: number },
  tempC: number,
): OneAnswer {
  const { fluid, steps, sources } = fluidAt(q.oil, tempC);
  const { oilLpm, velocityMs, reynolds, laminar } = drainCapacity({ ...q, ...fluid });
  const full = drainCapacity({ ...q, ...fluid, filling: 1 }).oilLpm;
  return {
    tempC,
    value: oilLpm,
    unit: 'L/min',
    note: `${n(full, 1)} running full, ${n((Math.asin(Math.min(1, q.fallMm / q.lengthMm)) * 180) / Math.PI, 0)}° of fall`,
    working: {
      title: `Ø ${quantity(q.boreMm, 'mm')}, ${quantity(q.fallMm, 'mm')} of fall over ${quantity(q.lengthMm, 'mm')}, ${quantity(tempC, '°C')}`,
      steps: [
        ...steps,
        {
          what: 'filled',
          formula: `${Math.round(q.filling * 100)} % of the height; hydraulic diameter four times area over wetted edge`,
          result: '',
        },
        { what: 'speed', formula: 'g · h = v²/2 · (f · L/D + 1.5)', result: `${quantity(n(velocityMs, 2), 'm/s')}` },
        { what: 'Reynolds number', formula: 'v · D / ν', result: `${n(reynolds, 0)}, ${laminar ? 'laminar' : 'not laminar'}` },
        { what: 'oil', formula: `area · v / ${q.froth} for its froth`, result: `${quantity(n(oilLpm, 2), 'L/min')}` },
        { what: 'running full', formula: 'the same with the whole bore', result: `${quantity(n(full, 2), 'L/min')}` },
      ],
      sources: [
        ...sources,
        'Friction: 64/Re, Colebrook, Churchill between; one and a half velocity heads for mouths and a bend: common practice',
      ],
    },
  };
}

/** What a straight hose takes. @throws {FlowFigureError} */
export function alongHose(q: { boreMm: number; lengthMm: number; flowLpm: number; oil: JobOil }, tempC: number): OneAnswer {
  const { fluid, steps, sources } = fluidAt(q.oil, tempC);
  const { lossBar, velocityMs, reynolds, regime } = pressureLoss({
    ...fluid,
    boreMm: q.boreMm,
    flowLpm: q.flowLpm,
    lengthM: q.lengthMm / 1000,
  });
  return {
    tempC,
    value: lossBar,
    unit: 'bar',
    note: `${quantity(n(velocityMs, 1), 'm/s')}, Re ${n(reynolds, 0)}, ${regime}`,
    working: {
      title: `${taped(q.lengthMm)} of Ø ${quantity(q.boreMm, 'mm')} at ${quantity(q.flowLpm, 'L/min')}, ${quantity(tempC, '°C')}`,
      steps: [
        ...steps,
        { what: 'speed', formula: 'Q / (π/4 · d²)', result: `${quantity(n(velocityMs, 2), 'm/s')}` },
        { what: 'Reynolds number', formula: 'v · d / ν', result: `${n(reynolds, 0)}, ${regime}` },
        { what: 'loss', formula: 'f · L/d · ρ/2 · v²', result: `${quantity(n(lossBar, 3), 'bar')}` },
      ],
      sources: [...sources, 'Friction: 64/Re, Colebrook, Churchill between; ends and fittings are not in it'],
    },
  };
}

import { ordinary, type SetUp, type SetUpLine } from './set-up.js';

const journals: SetUpLine = {
  service: 'turbo-feed',
  from: 'block an4 m',
  to: 'turbo an4 m',
  hose: 'ptfe-4',
  mm: 800,
  flow: { bearing: 'journal' },
};
const between = (service: SetUpLine['service'], dash: number, hose: string, mm: number, more: Partial<SetUpLine> = {}): SetUpLine => ({
  service,
  from: `block an${dash} m`,
  to: `cooler an${dash} m`,
  hose,
  mm,
  ...more,
});
const drain = (fallMm: number, hose = 'ptfe-10', port = 'an10 m'): SetUpLine => ({
  service: 'turbo-drain',
  from: `turbo ${port}`,
  to: `pan ${port}`,
  hose,
  mm: 320,
  flow: { fallMm },
});

/** Set-ups that fail in practice. Common practice, each of them. */
export const fails: readonly SetUp[] = [
  {
    name: 'cooler in half of -10',
    why: 'starves',
    lines: [between('cooler', 5, 'ptfe-5', 1000, { flow: { flowLpm: 35 }, angles: [90, 90] })],
  },
  { name: 'cooler in -4 on a V8', why: 'starves', lines: [between('cooler', 4, 'ptfe-4', 1000, { flow: { flowLpm: 45 } })] },
  { name: 'pressure line in half of -10', why: 'starves', lines: [between('pressure', 5, 'ptfe-5', 800)] },
  {
    name: 'heater in half of 5/8',
    why: 'starves',
    lines: [{ service: 'heater', from: 'engine barb 5/16', to: 'other barb 5/16', hose: 'coolant-8mm', mm: 1200, flow: { flowLpm: 12 } }],
  },
  {
    name: 'radiator hose of half the size',
    why: 'boils',
    lines: [{ service: 'coolant', from: 'engine bead 3/4', to: 'other bead 3/4', hose: 'coolant-12', mm: 500, flow: { flowLpm: 120 } }],
  },
  {
    name: 'turbo water in half of -6',
    why: 'boils',
    lines: [{ service: 'coolant', from: 'turbo an3 m', to: 'block an3 m', hose: 'ptfe-3', mm: 700 }],
  },
  {
    name: '350 kW of petrol in -3',
    why: 'starves',
    running: { ...ordinary, powerKw: 350 },
    lines: [{ service: 'fuel', from: 'tank an3 m', to: 'rail an3 m', hose: 'ptfe-fuel-3', mm: 3000 }],
  },
  {
    name: 'petrol lifted to a pump at the engine',
    why: 'boils before the pump',
    running: { ...ordinary, powerKw: 300 },
    lines: [{ service: 'fuel', from: 'tank an6 m', to: 'pump an6 m', hose: 'ptfe-fuel-6', mm: 4000, flow: { fallMm: -600, hottestC: 50 } }],
  },
  {
    name: '300 kW of methanol in -6',
    why: 'runs lean',
    running: { ...ordinary, powerKw: 300 },
    lines: [{ service: 'fuel', fluid: 'methanol', from: 'tank an6 m', to: 'rail an6 m', hose: 'ptfe-fuel-6', mm: 3000 }],
  },
  {
    name: 'dry sump stage in -6',
    why: 'floods the pan',
    lines: [{ service: 'scavenge', from: 'pan an6 m', to: 'pump an6 m', hose: 'rubber-6', mm: 700 }],
  },
  {
    name: 'pump inlet in -8',
    why: 'cavitates',
    lines: [{ service: 'suction', from: 'tank an8 m', to: 'pump an8 m', hose: 'rubber-8', mm: 600 }],
  },
  {
    name: 'breather -6 on a boosted engine',
    why: 'pushes seals out',
    lines: [{ service: 'breather', from: 'block an6 m', to: 'tank an6 m', hose: 'rubber-6', mm: 800, flow: { flowLpm: 150 } }],
  },
  {
    name: 'brake booster on half the size',
    why: 'the brakes answer late',
    lines: [{ service: 'brake-booster', from: 'engine barb 5mm', to: 'other barb 5mm', hose: 'vacuum-5mm', mm: 900 }],
  },
  {
    name: 'brake booster on silicone',
    why: 'fuel vapour softens it',
    lines: [{ service: 'brake-booster', from: 'valve barb 3/8', to: 'engine barb 3/8', hose: 'vacuum-6', mm: 900 }],
  },
  {
    name: 'coolant at 125 °C under a cap of 0.3 bar',
    why: 'boils',
    lines: [
      {
        service: 'heater',
        from: 'engine bead 5/8',
        to: 'other bead 5/8',
        hose: 'silicone-10',
        mm: 1200,
        flow: { hottestC: 125, pressureBar: 0.3 },
      },
    ],
  },
  { name: 'a drain that lies flat', why: 'the turbo smokes', lines: [journals, drain(0)] },
  { name: 'a drain that rises', why: 'the turbo smokes', lines: [journals, drain(-40)] },
  { name: 'a drain of half of -10 for journals', why: 'the turbo smokes', lines: [journals, drain(200, 'ptfe-5', 'an5 m')] },
  { name: 'a drain of 8 mm for journals', why: 'the turbo smokes', lines: [journals, drain(200, 'ptfe-6', 'an6 m')] },
  {
    name: 'two restrictors in one feed',
    why: 'less than either lets through',
    lines: [{ ...journals, flow: { bearing: 'ball', restrictorMm: 1 }, through: [{ id: 'an4fswivel+an4m~1', inEnd: 0, outEnd: 1 }] }],
  },
  { name: 'a journal feed behind 0.8 mm', why: 'runs dry', lines: [{ ...journals, flow: { bearing: 'journal', restrictorMm: 0.8 } }] },
  {
    name: 'a restrictor in a drain',
    why: 'the turbo smokes',
    lines: [journals, { ...drain(200), flow: { fallMm: 200, restrictorMm: 2 } }],
  },
  {
    name: 'a restrictor in a return',
    why: 'backs up',
    lines: [
      { service: 'return', from: 'block an12 m', to: 'tank an12 m', hose: 'rubber-12', mm: 600, flow: { restrictorMm: 3, flowLpm: 25 } },
    ],
  },
  {
    name: 'a restrictor in a suction',
    why: 'cavitates',
    lines: [{ service: 'suction', from: 'tank an16 m', to: 'pump an16 m', hose: 'rubber-16', mm: 600, flow: { restrictorMm: 8 } }],
  },
  {
    name: 'suction of 2 m in -10 at 40 L/min, cold',
    why: 'cavitates',
    lines: [{ service: 'suction', from: 'tank an10 m', to: 'pump an10 m', hose: 'rubber-10', mm: 2000 }],
  },
  {
    name: 'suction through a hose without vacuum rating',
    why: 'collapses',
    lines: [{ service: 'suction', from: 'tank barb 1 1/2', to: 'pump barb 1 1/2', hose: 'oil-24', mm: 300, flow: { fallMm: 200 } }],
  },
  { name: 'silicone in an oil drain', why: 'softens', lines: [journals, { ...drain(200, 'silicone-10', 'barb 5/8') }] },
  {
    name: 'coolant rubber for oil',
    why: 'swells',
    lines: [{ service: 'return', from: 'block barb 3/4', to: 'tank barb 3/4', hose: 'coolant-12', mm: 600, flow: { flowLpm: 25 } }],
  },
  {
    name: 'plain PTFE core for fuel',
    why: 'pinholes',
    running: { ...ordinary, powerKw: 200 },
    lines: [{ service: 'fuel', from: 'tank an6 m', to: 'rail an6 m', hose: 'ptfe-6', mm: 3000 }],
  },
  {
    name: 'push-on 100R6 at 130 °C',
    why: 'hardens',
    running: { ...ordinary, hottestC: 130 },
    lines: [
      { service: 'return', from: 'block an12 m', to: 'tank an12 m', hose: 'pushon-12', mm: 600, flow: { flowLpm: 25, hottestC: 165 } },
    ],
  },
  {
    name: 'a hose over a barb with a clamp at 8 bar of oil',
    why: 'blows off',
    lines: [
      { service: 'pressure', from: 'pump barb 1/2', to: 'block barb 1/2', hose: 'oil-8', mm: 500, flow: { flowLpm: 20, pressureBar: 12 } },
    ],
  },
  {
    name: 'braided hose bent under its radius',
    why: 'kinks',
    lines: [between('cooler', 10, 'ptfe-10', 1000, { flow: { flowLpm: 30, bendMm: 80 } })],
  },
  {
    name: '20W-50 at −30 °C',
    why: 'does not pump',
    running: { ...ordinary, oil: { grade: '20w50' }, coldC: -30 },
    lines: [{ service: 'suction', from: 'tank an16 m', to: 'pump an16 m', hose: 'ptfe-16', mm: 400, flow: { fallMm: 300 } }],
  },
  {
    name: 'a bought hose shorter than what was taped',
    why: 'pulled tight',
    lines: [between('cooler', 10, 'ptfe-10', 1000, { flow: { flowLpm: 30 }, piece: { source: 'bought', hasMm: 985 } })],
  },
];

import { ordinary, type SetUp, type SetUpLine } from './set-up.js';

const feed = (hose: string, mm: number, flow: SetUpLine['flow'], turbo = `an${hose.split('-')[1]} m`): SetUpLine => ({
  service: 'turbo-feed',
  from: `block an${hose.split('-')[1]} m`,
  to: `turbo ${turbo}`,
  hose,
  mm,
  ...(flow ? { flow } : {}),
});
const drain = (hose: string, fallMm: number, mm: number, more: Partial<SetUpLine> = {}): SetUpLine => ({
  service: 'turbo-drain',
  from: 'turbo an10 m',
  to: 'pan an10 m',
  hose,
  mm,
  angles: [0, 45],
  ...more,
  flow: { fallMm, ...more.flow },
});
const cooler = (hose: string, lpm: number, more: Partial<SetUpLine> = {}): SetUpLine => {
  const port = `an${hose.split('-')[1]} m`;
  return {
    service: 'cooler',
    from: `plate ${port}`,
    to: `cooler ${port}`,
    hose,
    mm: 1000,
    angles: [90, 90],
    flow: { flowLpm: lpm },
    ...more,
  };
};
const bypassFeed: SetUpLine = { service: 'bypass-feed', from: 'block an4 m', to: 'filter an4 m', hose: 'ptfe-4', mm: 1200 };
const bypassBack = (hose: string, fallMm: number, more: SetUpLine['flow'] = {}): SetUpLine => {
  const dash = hose.split('-')[1];
  return { service: 'bypass-return', from: `filter an${dash} m`, to: `pan an${dash} m`, hose, mm: 800, flow: { fallMm, ...more } };
};
const clamped = (service: SetUpLine['service'], port: string, hose: string, mm: number, more: Partial<SetUpLine> = {}): SetUpLine => ({
  service,
  from: `engine ${port}`,
  to: `other ${port}`,
  hose,
  mm,
  ...more,
});
const fuel = (fluid: SetUpLine['fluid'], hose: string, service: SetUpLine['service'] = 'fuel'): SetUpLine => {
  const port = `an${hose.split('-').at(-1)} m`;
  return { service, ...(fluid ? { fluid } : {}), from: `tank ${port}`, to: `rail ${port}`, hose, mm: 3000 };
};
const power = (powerKw: number) => ({ ...ordinary, powerKw });

/** Set-ups that practice has proved. Common practice, each of them. */
export const works: readonly SetUp[] = [
  ...[600, 1200].flatMap((mm): SetUp[] => [
    {
      name: `turbo feed -4, ${mm} mm, ball bearings behind 1.0 mm`,
      why: '0.5 to 1.5 L/min',
      lines: [feed('ptfe-4', mm, { bearing: 'ball', restrictorMm: 1 })],
    },
    { name: `turbo feed -4, ${mm} mm, journal bearings, open`, why: '2 to 4 L/min', lines: [feed('ptfe-4', mm, { bearing: 'journal' })] },
    {
      name: `turbo feed -4, ${mm} mm, journal bearings behind 1.5 mm`,
      why: '2 to 4 L/min',
      lines: [feed('ptfe-4', mm, { bearing: 'journal', restrictorMm: 1.5 })],
    },
  ]),
  {
    name: 'turbo feed -3, 500 mm, ball bearings',
    why: 'enough for a ball-bearing centre',
    lines: [feed('ptfe-3', 500, { bearing: 'ball', restrictorMm: 0.9 })],
  },
  ...[150, 250].flatMap((fall): SetUp[] => [
    {
      name: `drain -10 PTFE, ${fall} mm of fall, journals`,
      why: 'what everybody runs',
      lines: [feed('ptfe-4', 800, { bearing: 'journal' }), drain('ptfe-10', fall, fall * 1.6)],
    },
    {
      name: `drain -10 PTFE, ${fall} mm of fall, balls`,
      why: 'what everybody runs',
      lines: [feed('ptfe-4', 800, { bearing: 'ball', restrictorMm: 1 }), drain('ptfe-10', fall, fall * 1.6)],
    },
    {
      name: `drain -10 AN rubber, ${fall} mm of fall, journals`,
      why: 'what everybody runs',
      lines: [feed('ptfe-4', 800, { bearing: 'journal' }), drain('rubber-10', fall, fall * 1.6)],
    },
  ]),
  {
    name: 'drain in push-on -10',
    why: "the push-on end's own bore is no step",
    lines: [feed('ptfe-4', 800, { bearing: 'journal' }), drain('pushon-10', 200, 320)],
  },
  {
    name: 'drain in oil hose 5/8 over barbs',
    why: 'same fall',
    lines: [
      feed('ptfe-4', 800, { bearing: 'journal' }),
      drain('oil-10', 200, 320, { from: 'turbo barb 5/8', to: 'pan barb 5/8', angles: [0, 0], flow: { hottestC: 125 } }),
    ],
  },
  {
    name: 'drain in oil hose 3/4 over barbs',
    why: 'same fall',
    lines: [
      feed('ptfe-4', 800, { bearing: 'journal' }),
      drain('oil-12', 200, 320, { from: 'turbo barb 3/4', to: 'pan barb 3/4', angles: [0, 0], flow: { hottestC: 125 } }),
    ],
  },
  ...['rubber-8', 'rubber-10'].map((hose): SetUp => {
    const dash = hose.split('-')[1];
    return {
      name: `low turbo scavenged by its own pump through ${hose}`,
      why: 'a few L/min of oil and air',
      lines: [
        feed('ptfe-4', 800, { bearing: 'journal' }),
        { service: 'turbo-drain', from: `turbo an${dash} m`, to: `pump an${dash} m`, hose, mm: 600 },
      ],
    };
  }),
  {
    name: 'its pump to the pan in -6',
    why: 'pushed',
    lines: [
      feed('ptfe-4', 800, { bearing: 'journal' }),
      { service: 'turbo-drain', from: 'turbo an10 m', to: 'pump an10 m', hose: 'rubber-10', mm: 600 },
      { service: 'turbo-drain', from: 'pump an6 m', to: 'pan an6 m', hose: 'ptfe-6', mm: 800 },
    ],
  },
  {
    name: 'dry sump: a stage in braided -12',
    why: '1.2 to 2 × the pump, oil and air',
    lines: [{ service: 'scavenge', from: 'pan an12 m', to: 'pump an12 m', hose: 'rubber-12', mm: 700 }],
  },
  {
    name: 'dry sump: pump inlet -16, tank close',
    why: 'short and under a head of oil',
    lines: [{ service: 'suction', from: 'tank an16 m', to: 'pump an16 m', hose: 'rubber-16', mm: 600, flow: { fallMm: 200 } }],
  },
  ...['ptfe-10', 'rubber-12'].map((hose): SetUp => {
    const port = `an${hose.split('-')[1]} m`;
    return {
      name: `dry sump: pressure line in ${hose}`,
      why: 'the whole pump',
      lines: [{ service: 'pressure', from: `pump ${port}`, to: `block ${port}`, hose, mm: 800 }],
    };
  }),
  ...[25, 35, 45].flatMap((lpm): SetUp[] => [
    { name: `cooler -10 PTFE, ${lpm} L/min, 1 m, two 90° ends`, why: 'about 1 bar warm in all', lines: [cooler('ptfe-10', lpm)] },
    { name: `cooler -10 AN rubber, ${lpm} L/min, 1 m, two 90° ends`, why: 'about 1 bar warm in all', lines: [cooler('rubber-10', lpm)] },
  ]),
  ...[15, 25].map((lpm): SetUp => ({ name: `cooler -8 on a small four, ${lpm} L/min`, why: 'proved', lines: [cooler('ptfe-8', lpm)] })),
  { name: 'bypass feed -4 to a canister', why: 'its orifice holds 1 to 2 L/min hot; little when cold is no fault', lines: [bypassFeed] },
  {
    name: 'bypass return -6, uphill to the filler cap',
    why: 'pushed through the orifice',
    lines: [bypassFeed, { ...bypassBack('ptfe-6', -300, { comesBack: 'filler cap' }), piece: { slackPercent: 5 } }],
  },
  ...['rubber-8', 'rubber-10'].map((hose): SetUp => ({
    name: `bypass return by gravity in ${hose}`,
    why: 'into the pan above the level',
    lines: [bypassFeed, bypassBack(hose, 300, { comesBack: 'gravity' })],
  })),
  {
    name: 'turbo water -6',
    why: '2 to 4 L/min',
    lines: [{ service: 'coolant', from: 'turbo an6 m', to: 'block an6 m', hose: 'ptfe-6', mm: 700 }],
  },
  {
    name: 'turbo water 3/8 hose',
    why: '2 to 4 L/min',
    lines: [{ service: 'coolant', from: 'turbo barb 3/8', to: 'block barb 3/8', hose: 'coolant-6', mm: 700 }],
  },
  { name: 'heater 5/8', why: '8 to 15 L/min', lines: [clamped('heater', 'bead 5/8', 'coolant-10', 1200)] },
  { name: 'heater 16 mm', why: '8 to 15 L/min', lines: [clamped('heater', 'bead 16mm', 'coolant-16mm', 1200)] },
  ...(['20', '24'] as const).map((dash): SetUp => ({
    name: `radiator hose -${dash}`,
    why: '60 to 150 L/min',
    lines: [clamped('coolant', `bead ${dash === '20' ? '1 1/4' : '1 1/2'}`, `coolant-${dash}`, 500)],
  })),
  { name: 'petrol to 350 kW in -6', why: 'proved', running: power(350), lines: [fuel('petrol with alcohol', 'ptfe-fuel-6')] },
  {
    name: 'petrol to a pump beside the tank, and under it',
    why: 'short, wide and falling: a pump pushes well and sucks badly',
    running: power(300),
    lines: [{ service: 'fuel', from: 'tank an8 m', to: 'pump an8 m', hose: 'ptfe-fuel-8', mm: 500, flow: { fallMm: 150 } }],
  },
  { name: 'its return one size down', why: 'proved', running: power(350), lines: [fuel('petrol', 'ptfe-fuel-5', 'fuel-return')] },
  { name: 'ethanol to 280 kW in -6', why: 'proved', running: power(280), lines: [fuel('ethanol', 'ptfe-fuel-6')] },
  { name: 'ethanol above that in -8', why: 'proved', running: power(380), lines: [fuel('ethanol', 'ptfe-fuel-8')] },
  { name: 'methanol to 350 kW in -8', why: 'proved', running: power(350), lines: [fuel('methanol', 'ptfe-fuel-8')] },
  ...['6', '8'].map((dash): SetUp => ({
    name: `brake booster in reinforced -${dash}`,
    why: '3/8 to 1/2 in, its valve towards the manifold',
    lines: [
      {
        service: 'brake-booster',
        from: `valve barb ${dash === '6' ? '3/8' : '1/2'}`,
        to: `engine barb ${dash === '6' ? '3/8' : '1/2'}`,
        hose: `booster-${dash}`,
        mm: 900,
      },
    ],
  })),
  { name: 'boost reference in 4 mm silicone', why: 'no flow', lines: [clamped('boost', 'barb 4mm', 'vacuum-4mm', 500)] },
  { name: 'vacuum signal in 5 mm silicone', why: 'no flow', lines: [clamped('vacuum', 'barb 5mm', 'vacuum-5mm', 500)] },
  ...['10', '12'].map((dash): SetUp => ({
    name: `breather -${dash} from each head, unboosted`,
    why: 'half of the blow-by each',
    lines: [
      { service: 'breather', from: `block an${dash} m`, to: `tank an${dash} m`, hose: `rubber-${dash}`, mm: 800, flow: { flowLpm: 75 } },
    ],
  })),
  ...['12', '16'].map((dash): SetUp => ({
    name: `breather -${dash}, boosted, ${dash === '12' ? 'one of two' : 'alone'}`,
    why: '1 L/min for each kW',
    lines: [
      {
        service: 'breather',
        from: `block an${dash} m`,
        to: `tank an${dash} m`,
        hose: `rubber-${dash}`,
        mm: 800,
        flow: { flowLpm: dash === '12' ? 150 : 300 },
      },
    ],
  })),
  ...['3', '4'].map((dash): SetUp => ({
    name: `gauge line -${dash}, 3 m`,
    why: 'nothing flows',
    lines: [{ service: 'gauge', from: `block an${dash} m`, to: `sensor an${dash} m`, hose: `ptfe-${dash}`, mm: 3000 }],
  })),
  {
    name: 'AN rubber at oil of 130 °C',
    why: 'the hose of this trade',
    running: { ...ordinary, hottestC: 130 },
    lines: [{ ...cooler('rubber-10', 35) }],
  },
  {
    name: 'push-on of its own heat class at 130 °C',
    why: 'returns and drains',
    running: { ...ordinary, hottestC: 130 },
    lines: [{ service: 'return', from: 'block an12 m', to: 'tank an12 m', hose: 'pushon-12', mm: 600, flow: { flowLpm: 25 } }],
  },
  ...[0, 1, 2].map((percent): SetUp => ({
    name: `a bought hose ${percent} % over what was taped`,
    why: 'less slack than the shop gives, that is all',
    lines: [{ ...cooler('ptfe-10', 30), piece: { source: 'bought', hasMm: 1000 * (1 + percent / 100) } }],
  })),
];

import { Type, type Static } from 'typebox';
import { oilIds } from '../fluids/index.js';
import { type Frozen, letters, OneOf, Words } from '../schema/index.js';
import { quantity } from '../units/index.js';

const strict = { additionalProperties: false } as const;
const Celsius = Type.Number({ minimum: -60, maximum: 250 });
const Bar = Type.Number({ minimum: 0, maximum: 400 });
const Litres = Type.Number({ exclusiveMinimum: 0, maximum: 1000 });
const Lpm = Type.Number({ exclusiveMinimum: 0, maximum: 100_000 });
const Kilowatt = Type.Number({ exclusiveMinimum: 0, maximum: 5000 });
const Revs = Type.Number({ exclusiveMinimum: 0, maximum: 30_000 });
const Centistokes = Type.Number({ minimum: 0.3, maximum: 5000 });

/** The oil of a job: by its grade, or by its data sheet (cSt at 40 and 100 °C, kg/m³ at 15 °C). */
export const JobOilSchema = Type.Union([
  Type.Object({ grade: OneOf(oilIds) }, strict),
  Type.Object(
    { name: Words(letters.name), v40: Centistokes, v100: Centistokes, density15: Type.Number({ minimum: 600, maximum: 1300 }) },
    strict,
  ),
]);

/** What runs in the engine of a job. What is left out is not known, and is said to be missing where it is needed. */
export const RunningSchema = Type.Object(
  {
    oil: Type.Optional(JobOilSchema),
    /** The oil at a cold start, and at its hottest, °C. */
    coldC: Type.Optional(Celsius),
    hottestC: Type.Optional(Celsius),
    /** In the gallery: hot at idle, and at most revs; bar. */
    idleBar: Type.Optional(Bar),
    fullBar: Type.Optional(Bar),
    idleRevs: Type.Optional(Revs),
    mostRevs: Type.Optional(Revs),
    /** What the pressure pump gives at most revs, L/min. */
    pumpLpm: Type.Optional(Lpm),
    powerKw: Type.Optional(Kilowatt),
    /** What the engine is to give later, and to which revs. */
    plannedKw: Type.Optional(Kilowatt),
    plannedRevs: Type.Optional(Revs),
    /** Of the engine as it stands, with its filter, L. */
    sumpL: Type.Optional(Litres),
    /** The can the oil is sold in, L. */
    canL: Type.Optional(Litres),
    /** The air that meets the cooler, °C. */
    airC: Type.Optional(Celsius),
    /** Where it is driven, above the sea, m: the air pushes less into a pump there. */
    altitudeM: Type.Optional(Type.Number({ minimum: -500, maximum: 6000 })),
    /** In the charge pipes at most, bar above the air around. */
    boostBar: Type.Optional(Type.Number({ minimum: 0, maximum: 10 })),
    /** In the crankcase at most revs, bar above the air around: it stands against every drain. */
    crankcaseBar: Type.Optional(Type.Number({ minimum: -0.5, maximum: 1 })),
  },
  { ...strict, title: 'Running' },
);

/** How a return comes back. */
export const returnWays = ['gravity', 'pump', 'filler cap'] as const;

/** What runs in a line, where it is known better than by its service. */
export const LineFlowSchema = Type.Object(
  {
    /** Warm, at most revs, L/min. */
    flowLpm: Type.Optional(Lpm),
    /** Highest that may stand in it, bar. */
    pressureBar: Type.Optional(Bar),
    hottestC: Type.Optional(Celsius),
    /** What is around it, °C, and that it lies in a heat sleeve there. */
    aroundC: Type.Optional(Type.Number({ minimum: -60, maximum: 1000 })),
    sleeved: Type.Optional(Type.Literal(true)),
    /** How much lower port B lies than port A, mm; negative where it rises. */
    fallMm: Type.Optional(Type.Number({ minimum: -5000, maximum: 5000 })),
    /** A drilled restrictor in it, mm. */
    restrictorMm: Type.Optional(Type.Number({ exclusiveMinimum: 0, maximum: 20 })),
    bearing: Type.Optional(OneOf(['ball', 'journal'])),
    comesBack: Type.Optional(OneOf(returnWays)),
    /** Tightest bend of its route to the centreline, mm. */
    bendMm: Type.Optional(Type.Number({ exclusiveMinimum: 0, maximum: 5000 })),
    /** Length to reckon with while nothing is taped, mm. */
    reckonMm: Type.Optional(Type.Number({ exclusiveMinimum: 0, maximum: 30_000 })),
  },
  { ...strict, title: 'LineFlow' },
);

/** What a component does to what runs through it, by its maker. */
export const ComponentFlowSchema = Type.Object(
  {
    /** Oil it holds, L. */
    holdsL: Type.Optional(Litres),
    /** What it takes of the pressure when warm, bar, at a flow, L/min. */
    takesBar: Type.Optional(Bar),
    atLpm: Type.Optional(Lpm),
    /** Heat a cooler passes on for each K between oil and air, W/K. */
    coolsWPerK: Type.Optional(Type.Number({ exclusiveMinimum: 0, maximum: 100_000 })),
  },
  { ...strict, title: 'ComponentFlow' },
);

/** What the shop reckons with where schools differ. */
export const FlowRulesSchema = Type.Object(
  {
    /** Share of an engine's power that goes into its oil, %. */
    heatToOilPercent: Type.Number({ minimum: 1, maximum: 40 }),
    /** Share of the height of its bore to which a drain may fill, %. */
    drainFillPercent: Type.Number({ minimum: 10, maximum: 100 }),
    /** How many times its own volume oil takes with its froth. */
    froth: Type.Number({ minimum: 1, maximum: 5 }),
    /** The construction that is taken first where several would do. */
    hoseSchool: OneOf(['ptfe', 'rubber']),
    /** How much a heat sleeve takes off what is around it, K. */
    sleeveK: Type.Number({ minimum: 0, maximum: 300 }),
    thermostat: OneOf(['thermostat', 'none']),
    /** Usual bore of a drain by gravity and up, and under which froth stands in it, mm. */
    drainBoreMm: Type.Number({ minimum: 6, maximum: 25 }),
    drainFailsMm: Type.Number({ minimum: 5, maximum: 20 }),
    /** Most that a whole cooler circuit may take of the pump, hot, bar. */
    coolerSpareBar: Type.Number({ minimum: 0.1, maximum: 5 }),
  },
  { ...strict, title: 'FlowRules' },
);

export type JobOil = Frozen<Static<typeof JobOilSchema>>;
export type Running = Frozen<Static<typeof RunningSchema>>;
export type LineFlow = Frozen<Static<typeof LineFlowSchema>>;
export type ComponentFlow = Frozen<Static<typeof ComponentFlowSchema>>;
export type FlowRules = Frozen<Static<typeof FlowRulesSchema>>;

/** Common practice, each on the safe side of the schools. */
export const usualFlowRules: FlowRules = {
  // the middle of road engines is about 8; boosted, with piston jets or on a track it is 10 to 15 and more: the cooler errs to too large
  heatToOilPercent: 12,
  drainFillPercent: 50,
  // at its full bore: half full and twice the volume would count the air twice, and refuse what everybody runs
  froth: 1.5,
  hoseSchool: 'ptfe',
  sleeveK: 100,
  thermostat: 'thermostat',
  // what the ends of a -10 hose pass; 8 mm fails, -10 does
  drainBoreMm: 11,
  drainFailsMm: 9.5,
  coolerSpareBar: 1,
};

/** Something in what was said of flow that cannot be. */
export interface FlowProblem {
  readonly field: string;
  readonly message: string;
}

/** What a schema cannot say of a job's figures: the one check of every door. */
export function runningProblem({ oil, coldC, hottestC, idleBar, fullBar, idleRevs, mostRevs }: Running): FlowProblem | undefined {
  if (oil && 'v40' in oil && oil.v40 <= oil.v100)
    return {
      field: 'oil',
      message: `Oil thins with heat: ${oil.v40} cSt at 40 °C cannot be less than ${oil.v100} cSt at 100 °C. The two may be crossed.`,
    };
  if (coldC !== undefined && hottestC !== undefined && coldC >= hottestC)
    return {
      field: 'coldC',
      message: `A cold start at ${quantity(coldC, '°C')} is no colder than the hottest, ${quantity(hottestC, '°C')}.`,
    };
  if (idleBar !== undefined && fullBar !== undefined && idleBar > fullBar)
    return { field: 'idleBar', message: `${quantity(idleBar, 'bar')} at idle are more than ${quantity(fullBar, 'bar')} at most revs.` };
  if (idleRevs !== undefined && mostRevs !== undefined && idleRevs >= mostRevs)
    return { field: 'idleRevs', message: `Idle at ${idleRevs} is no slower than ${mostRevs} revs.` };
  return undefined;
}

/** The same of a component's figures. */
export function componentFlowProblem({ takesBar, atLpm }: ComponentFlow): FlowProblem | undefined {
  if ((takesBar === undefined) === (atLpm === undefined)) return undefined;
  return { field: takesBar === undefined ? 'takesBar' : 'atLpm', message: 'What it takes belongs to a flow: say both, bar and L/min.' };
}

import type { ServiceId } from '../job/index.js';
import { quantity } from '../units/index.js';

/**
 * What drives the flow: a `pressure` that is held (and the flow follows), a pump that gives so much (`flow`), a pump that sucks it
 * (`suction`), its `fall` alone; `still` where nothing runs.
 */
export type Drive = 'pressure' | 'flow' | 'suction' | 'fall' | 'still';

/** What a line of a service usually carries, and what it may cost. */
export interface ServiceFigures {
  readonly service: ServiceId;
  readonly drive: Drive;
  /** Usual flow when warm, L/min; absent where nothing runs, or nobody can say without the car. */
  readonly flowLpm?: number;
  /** Where the flow follows from the engine: its oil pump, its power. */
  readonly flowFrom?: 'oil pump' | 'power, fuel' | 'power, air' | 'power, blow-by' | 'port';
  /** Highest pressure in it, bar above the air around. */
  readonly pressureBar: number;
  /** How far below the air around it may be sucked, bar. */
  readonly suckedBar?: number;
  /** Least absolute pressure at the pump it leads to: warm, and at a cold start; bar. */
  readonly minAbsBar?: readonly [warm: number, cold: number];
  /** The hottest that runs in it, °C. */
  readonly hottestC: number;
  /** How many times the volume of its oil runs in it: the rest is air. */
  readonly airTimes?: number;
  /** Fastest that it should run, m/s. */
  readonly maxMs?: number;
  /** Most that the line should take, warm, bar; and at a cold start. */
  readonly maxLossBar?: number;
  readonly maxColdBar?: number;
  /** Constructions that will not do though they bear the fluid, with the reason. */
  readonly never?: Readonly<Record<string, string>>;
  /** Constructions that are usual, the first choice first. */
  readonly usual: readonly string[];
  /** Dash sizes that are usual. */
  readonly dashes: readonly [min: number, max: number];
  readonly source: string;
}

const OIL = ['ptfe', 'rubber', 'crimped-ptfe', 'crimped'];
const WIDE = ['rubber', 'ptfe', 'pushon', 'oil'];
const PUMP = `common practice: pressure lines ${quantity(3, 'm/s', 6)}; cold, ${quantity(3, 'bar')} leave the relief valve its half`;
const WATER = `common practice: ${quantity(1, 'm/s', 3)}; the pressure is that of the cap, ${quantity('1.1', 'bar', '1.4')}`;
const SUCKED = `common practice: ${quantity('1.2', 'm/s')} where it lifts or is long, ${quantity(2, 'm/s')} close to its tank; ${quantity('0.8', 'bar')} absolute at the pump when warm, ${quantity('0.6', 'bar')} for a short while when cold`;
const AIR = 'common practice';

/** Figures by service. Common practice unless a row says otherwise: the maker's figures of engine, turbo and pump go first. */
export const serviceFigures: readonly ServiceFigures[] = [
  {
    service: 'turbo-feed',
    drive: 'pressure',
    flowLpm: 2,
    pressureBar: 6,
    hottestC: 140,
    maxMs: 6,
    maxLossBar: 1,
    usual: ['ptfe', 'crimped-ptfe', 'steel-tube'],
    dashes: [4, 6],
    source: `common practice: ${quantity('0.5', 'L/min', 1)} for ball bearings, ${quantity('1.5', 'L/min', 4)} for journals`,
  },
  {
    service: 'turbo-drain',
    drive: 'fall',
    flowLpm: 2,
    pressureBar: 0.2,
    hottestC: 150,
    usual: ['ptfe', 'oil', 'pushon'],
    dashes: [10, 16],
    source: 'common practice: what the feed brings runs away by its fall',
  },
  {
    service: 'scavenge',
    drive: 'suction',
    flowLpm: 40,
    flowFrom: 'oil pump',
    pressureBar: 0.5,
    suckedBar: 0.4,
    minAbsBar: [0.6, 0.5],
    hottestC: 130,
    airTimes: 1.6,
    maxMs: 8,
    usual: WIDE,
    dashes: [10, 16],
    source: `common practice: oil and air together, 1.2 to 2 × what the pressure pump gives, reckoned with 1.6; ${quantity('0.6', 'bar')} absolute`,
  },
  {
    service: 'suction',
    drive: 'suction',
    flowLpm: 45,
    flowFrom: 'oil pump',
    pressureBar: 0.5,
    suckedBar: 0.4,
    minAbsBar: [0.8, 0.6],
    hottestC: 130,
    maxMs: 2,
    usual: ['rubber', 'ptfe', 'oil'],
    dashes: [12, 20],
    source: SUCKED,
  },
  oilByPump('pressure', 0.7, [8, 16], PUMP),
  oilByPump('cooler', 0.7, [8, 12], PUMP),
  oilByPump('cooler-back', 0.7, [8, 12], PUMP),
  oilByPump('filter', 0.5, [8, 16], PUMP),
  {
    service: 'bypass-feed',
    drive: 'pressure',
    flowLpm: 2,
    pressureBar: 8,
    hottestC: 130,
    maxMs: 6,
    maxLossBar: 1,
    usual: ['ptfe', 'rubber', 'crimped-ptfe'],
    dashes: [4, 6],
    source: `common practice: ${quantity(1, 'L/min', 4)}, set by the orifice of the filter`,
  },
  {
    service: 'bypass-return',
    drive: 'flow',
    flowLpm: 1.5,
    pressureBar: 1,
    hottestC: 130,
    maxMs: 3,
    maxLossBar: 0.5,
    maxColdBar: 2,
    usual: ['rubber', 'pushon', 'ptfe', 'oil'],
    dashes: [4, 8],
    source: 'common practice: a sealed canister is pushed empty through its orifice, uphill as well',
  },
  {
    service: 'return',
    drive: 'flow',
    flowLpm: 45,
    flowFrom: 'oil pump',
    pressureBar: 2,
    hottestC: 130,
    maxMs: 3,
    maxLossBar: 0.3,
    maxColdBar: 1,
    usual: ['rubber', 'pushon', 'ptfe', 'oil'],
    dashes: [10, 16],
    source: `common practice: returns ${quantity(1, 'm/s', 3)}`,
  },
  {
    service: 'tank',
    drive: 'flow',
    flowLpm: 45,
    flowFrom: 'oil pump',
    pressureBar: 2,
    hottestC: 130,
    maxMs: 3,
    maxLossBar: 0.3,
    maxColdBar: 1,
    usual: ['rubber', 'pushon', 'ptfe', 'oil'],
    dashes: [10, 16],
    source: `common practice: as a return, ${quantity(1, 'm/s', 3)}`,
  },
  {
    service: 'breather',
    drive: 'flow',
    flowFrom: 'power, blow-by',
    pressureBar: 0.2,
    suckedBar: 0.2,
    hottestC: 120,
    maxMs: 15,
    maxLossBar: 0.01,
    usual: ['oil', 'pushon', 'rubber'],
    dashes: [10, 16],
    source: `common practice: ${quantity('0.5', 'L/min')} of blow-by for each kW of power, and no more than ${quantity(10, 'mbar')} in the crankcase`,
  },
  {
    service: 'gauge',
    drive: 'still',
    pressureBar: 8,
    hottestC: 130,
    usual: ['ptfe', 'crimped-ptfe', 'copper-nickel-tube'],
    dashes: [3, 4],
    source: 'common practice',
  },
  {
    service: 'sample',
    drive: 'still',
    pressureBar: 8,
    hottestC: 130,
    usual: ['ptfe', 'crimped-ptfe'],
    dashes: [3, 4],
    source: 'common practice: opened for a cup at a time',
  },
  water('coolant', [4, 24]),
  water('coolant-return', [4, 24]),
  water('heater', [8, 12]),
  {
    service: 'fuel',
    drive: 'flow',
    flowFrom: 'power, fuel',
    pressureBar: 6,
    hottestC: 80,
    maxMs: 2.5,
    maxLossBar: 0.2,
    maxColdBar: 0.3,
    usual: ['ptfe', 'crimped-ptfe', 'fuel', 'steel-tube'],
    dashes: [5, 8],
    source: 'common practice: injection by rail, the pump gives about twice what full power burns',
  },
  {
    service: 'fuel-return',
    drive: 'flow',
    flowFrom: 'power, fuel',
    pressureBar: 1,
    hottestC: 90,
    maxMs: 3,
    maxLossBar: 0.3,
    maxColdBar: 0.4,
    usual: ['ptfe', 'fuel', 'steel-tube'],
    dashes: [5, 8],
    source: 'common practice: at idle nearly all comes back, and lifts the pressure of the rail by what the line takes',
  },
  {
    service: 'fuel-vapour',
    drive: 'still',
    pressureBar: 0.3,
    suckedBar: 0.1,
    hottestC: 80,
    usual: ['fuel', 'ptfe'],
    dashes: [4, 8],
    source: AIR,
  },
  { service: 'vacuum', drive: 'still', pressureBar: 1.5, suckedBar: 0.8, hottestC: 110, usual: ['vacuum'], dashes: [2, 6], source: AIR },
  { service: 'boost', drive: 'still', pressureBar: 2.5, suckedBar: 0.8, hottestC: 120, usual: ['vacuum'], dashes: [2, 4], source: AIR },
  {
    service: 'brake-booster',
    drive: 'still',
    pressureBar: 0.5,
    suckedBar: 0.95,
    hottestC: 110,
    usual: ['booster'],
    never: { vacuum: 'fuel vapour from the manifold softens silicone, and the brakes hang on it' },
    dashes: [6, 8],
    source: 'common practice: reinforced hose by SAE J1403, 3/8 to 1/2 in, never narrower than booster and valve',
  },
  {
    service: 'charge-air',
    drive: 'flow',
    flowFrom: 'power, air',
    pressureBar: 2,
    hottestC: 180,
    maxMs: 100,
    maxLossBar: 0.03,
    usual: ['charge', 'silicone'],
    dashes: [24, 64],
    source: `common practice: under ${quantity(100, 'm/s')}; hot before the cooler, ${quantity(60, '°C')} behind it`,
  },
  {
    service: 'other',
    drive: 'still',
    pressureBar: 8,
    hottestC: 130,
    usual: ['ptfe', 'rubber'],
    dashes: [3, 16],
    source: 'common practice',
  },
];

function oilByPump(service: ServiceId, maxLossBar: number, dashes: readonly [number, number], source: string): ServiceFigures {
  return {
    service,
    drive: 'flow',
    flowLpm: 40,
    flowFrom: 'oil pump',
    pressureBar: 8,
    hottestC: 140,
    maxMs: 6,
    maxLossBar,
    maxColdBar: 3,
    usual: OIL,
    dashes,
    source,
  };
}

function water(service: ServiceId, dashes: readonly [number, number]): ServiceFigures {
  return {
    service,
    drive: 'flow',
    flowFrom: 'port',
    pressureBar: 1.5,
    hottestC: 115,
    maxMs: 3,
    maxLossBar: 0.2,
    maxColdBar: 0.4,
    usual: ['coolant', 'silicone', 'rubber', 'ptfe'],
    dashes,
    source: WATER,
  };
}

/** The figures of a service. @throws {RangeError} */
export function figuresOf(service: ServiceId): ServiceFigures {
  const found = serviceFigures.find((f) => f.service === service);
  if (!found) throw new RangeError(`No figures for the service "${service}"`);
  return found;
}

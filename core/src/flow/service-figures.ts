import type { ServiceId } from '../job/index.js';

/** What a line of a service usually carries, and what it may cost. */
export interface ServiceFigures {
  readonly service: ServiceId;
  /** Usual flow when warm, L/min; absent where nothing runs, or nobody can say without the car. */
  readonly flowLpm?: number;
  /** Highest pressure in it, bar above the air around. */
  readonly pressureBar: number;
  /** How far below the air around it may be sucked, bar. */
  readonly suckedBar?: number;
  /** The hottest that runs in it, °C. */
  readonly hottestC: number;
  /** Fastest that it should run, m/s. */
  readonly mostMs?: number;
  /** Most that the line should take, warm, bar. */
  readonly mostLossBar?: number;
  /** Constructions that are usual, the first choice first. */
  readonly usual: readonly string[];
  /** Dash sizes that are usual. */
  readonly dashes: readonly [least: number, most: number];
  readonly source: string;
}

/** Figures by service. Common practice unless a row says otherwise: the maker's figures of engine, turbo and pump go first. */
export const serviceFigures: readonly ServiceFigures[] = [
  {
    service: 'turbo-feed',
    flowLpm: 2,
    pressureBar: 6,
    hottestC: 140,
    mostMs: 6,
    mostLossBar: 1,
    usual: ['ptfe', 'crimped-ptfe', 'steel-tube'],
    dashes: [3, 6],
    source: 'common practice: 0.5 to 1 L/min for ball bearings, 1.5 to 4 for journals',
  },
  {
    service: 'turbo-drain',
    flowLpm: 2,
    pressureBar: 0.2,
    hottestC: 150,
    usual: ['ptfe', 'oil', 'pushon'],
    dashes: [10, 16],
    source: 'common practice: what the feed brings runs away by its fall',
  },
  {
    service: 'cooler',
    flowLpm: 40,
    pressureBar: 8,
    hottestC: 140,
    mostMs: 6,
    mostLossBar: 0.7,
    usual: ['ptfe', 'rubber', 'crimped-ptfe'],
    dashes: [8, 12],
    source: 'common practice: pressure lines 3 to 6 m/s',
  },
  {
    service: 'suction',
    flowLpm: 45,
    pressureBar: 0.5,
    suckedBar: 0.4,
    hottestC: 130,
    mostMs: 1.2,
    mostLossBar: 0.15,
    usual: ['rubber', 'ptfe'],
    dashes: [12, 20],
    source: 'common practice: suction under 1.2 m/s',
  },
  {
    service: 'return',
    flowLpm: 45,
    pressureBar: 2,
    hottestC: 130,
    mostMs: 3,
    mostLossBar: 0.3,
    usual: ['rubber', 'pushon', 'ptfe'],
    dashes: [10, 16],
    source: 'common practice: returns 1 to 3 m/s',
  },
  {
    service: 'breather',
    pressureBar: 0.2,
    suckedBar: 0.2,
    hottestC: 120,
    usual: ['oil', 'pushon', 'rubber'],
    dashes: [10, 16],
    source: 'common practice',
  },
  {
    service: 'coolant',
    flowLpm: 8,
    pressureBar: 1.8,
    hottestC: 115,
    mostMs: 3,
    mostLossBar: 0.2,
    usual: ['coolant', 'silicone', 'ptfe'],
    dashes: [6, 20],
    source: 'common practice, a turbo on the heater circuit; the pressure is that of the cap and the pump',
  },
  {
    service: 'fuel',
    flowLpm: 4,
    pressureBar: 6,
    hottestC: 80,
    mostMs: 2.5,
    mostLossBar: 0.2,
    usual: ['ptfe', 'fuel', 'steel-tube'],
    dashes: [5, 8],
    source: 'common practice, injection by rail',
  },
  {
    service: 'vacuum',
    pressureBar: 1.5,
    suckedBar: 0.8,
    hottestC: 110,
    usual: ['vacuum', 'fuel'],
    dashes: [2, 6],
    source: 'common practice',
  },
  { service: 'other', pressureBar: 8, hottestC: 130, usual: ['ptfe', 'rubber'], dashes: [3, 16], source: 'common practice' },
];

/** The figures of a service. @throws {RangeError} */
export function figuresOf(service: ServiceId): ServiceFigures {
  const found = serviceFigures.find((f) => f.service === service);
  if (!found) throw new RangeError(`No figures for the service "${service}"`);
  return found;
}

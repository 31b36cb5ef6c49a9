import { bareConnector, boreSizeMm, connectorThread, familyById, formatConnector, type Connector } from '../connectors/index.js';
import { metalOf, type Metal } from '../seals/index.js';
import { fractionToNumber } from '../units/index.js';
import type { FittingKindId } from './fitting-kinds.js';
import type { Fitting } from './fitting-schema.js';

/** What a joint or a part bears, and what says so. */
export interface Rating {
  readonly maxBar: number;
  readonly minTempC: number;
  readonly maxTempC: number;
  /** What limits the pressure: `37° flare -6 in aluminium`. */
  readonly barBy: string;
  /** What limits the heat. */
  readonly heatBy: string;
}

type ByDash = Readonly<Record<string, number>>;
type ByDiameter = readonly (readonly [upToMm: number, bar: number])[];

/** Working pressure of 37° flares in steel, bar. Source: SAE J514, ISO 8434-2, from memory. */
const FLARE: ByDash = {
  '2': 345,
  '3': 345,
  '4': 345,
  '5': 345,
  '6': 345,
  '8': 310,
  '10': 241,
  '12': 241,
  '14': 207,
  '16': 207,
  '20': 172,
  '24': 138,
  '32': 103,
};
/** Of O-ring bosses in steel, bar. Source: SAE J1926-3 light duty, from memory. */
const BOSS: ByDash = {
  '2': 315,
  '3': 315,
  '4': 315,
  '5': 315,
  '6': 315,
  '8': 315,
  '10': 250,
  '12': 241,
  '14': 200,
  '16': 200,
  '20': 160,
  '24': 125,
  '32': 100,
};
/** Of 45° flares, bar. Source: SAE J512 in brass, from memory, on the safe side. */
const FLARE45: ByDash = { '2': 138, '3': 138, '4': 120, '5': 100, '6': 80, '7': 70, '8': 60, '10': 50, '12': 40 };
/** Of taper pipe in steel by its size, bar. Source: SAE J514 pipe ends, from memory, on the safe side. */
const PIPE: ByDash = {
  '1/16': 276,
  '1/8': 276,
  '1/4': 276,
  '3/8': 207,
  '1/2': 207,
  '3/4': 172,
  '1': 138,
  '1 1/4': 79,
  '1 1/2': 69,
  '2': 69,
};
/** Of studs on a washer or ring in steel, by diameter, bar. Source: ISO 9974-2, ISO 6149-3, ISO 1179-2 light series, from memory. */
const STUD: ByDiameter = [
  [22.5, 250],
  [33.5, 160],
  [42.5, 100],
  [Infinity, 63],
];
/** Of hollow bolts with two copper washers, by diameter, bar. Common practice. */
const BANJO: ByDiameter = [
  [14.5, 100],
  [Infinity, 60],
];
/** Of a hose over a barb under its clamp, by bore, bar. Source: SAE J20 and J1231, from memory; common practice. */
const CLAMPED: ByDiameter = [
  [13, 10],
  [20, 6],
  [Infinity, 4],
];
/** Of 24° cones, light series, by tube, bar. Source: ISO 8434-1, from memory. */
const CONE24: ByDiameter = [
  [15, 250],
  [22, 160],
  [Infinity, 100],
];

/** How much of the steel figure a metal bears. Common practice. */
const BEARS: Readonly<Record<Metal, number>> = { steel: 1, brass: 0.5, aluminium: 0.4, plastic: 0.05 };
/** Heat that a metal bears without losing its strength, °C. Common practice. */
const HEAT: Readonly<Record<Metal, readonly [min: number, max: number]>> = {
  steel: [-40, 260],
  brass: [-54, 200],
  aluminium: [-54, 150],
  plastic: [-30, 100],
};

/** What an end made up with its partner bears in a metal. The maker's figures go first. */
export function endRating(end: Connector, material: string | undefined): Rating {
  let known = ratings.get(end);
  if (!known) ratings.set(end, (known = new Map<string, Rating>()));
  let rating = known.get(material ?? '');
  if (!rating) known.set(material ?? '', (rating = rate(end, material)));
  return rating;
}

/** Down, never up: whole bar, tenths under one. */
function rounded(bar: number): number {
  return bar < 1 ? Math.floor(bar * 10 + 1e-9) / 10 : Math.floor(bar);
}

/** What was worked out of an end, by the material it is made of. */
const ratings = new WeakMap<Connector, Map<string, Rating>>();

function rate(end: Connector, material: string | undefined): Rating {
  const c = bareConnector(end);
  const metal = metalOf(material);
  const [bar, soft] = barOf(c);
  const [minTempC, maxTempC, seal] = heatOf(c, metal);
  const welded = familyById(end.family).carries ? 0.6 : 1;
  const named = `${familyById(c.family).name} ${formatConnector(c).replace(/ (?:m|f)\b.*$/, '')}`;
  return {
    maxBar: rounded(bar * (soft ? 1 : BEARS[metal]) * welded),
    minTempC,
    maxTempC,
    barBy: soft ? named : `${named} in ${material ?? metal}`,
    heatBy: seal ?? material ?? metal,
  };
}

/** Bodies that give way before their joints do, bar. Common practice: the maker's figure goes first. */
const BODIES: Readonly<Partial<Record<FittingKindId, readonly [bar: number, by: string]>>> = {
  cooler: [10, 'the core of the cooler'],
  'heat exchanger': [10, 'the core of the cooler'],
  'spin-on filter': [14, 'the can of the filter'],
  canister: [10, 'its lid and its ring'],
  tank: [0.5, 'its thin walls; a tank is vented'],
  'filler cap': [0.5, 'the neck it sits on, which holds no pressure'],
};
/** Moulded parts bear what they are made of: heat by their rubber, pressure by their plies and clamps. Common practice. */
const MOULDED: Readonly<Record<string, readonly [min: number, max: number]>> = { silicone: [-55, 175], rubber: [-40, 125] };

/** A blank of rubber over a barb, bar: it is for what is closed off, not for a line under pressure. Common practice. */
const RUBBER_BLANK = 2;

/** What a part bears: what the weakest of its ends does, or its body. */
export function partRating({ ends, material, kind }: Pick<Fitting, 'ends' | 'material' | 'kind'>): Rating {
  const body = kind && BODIES[kind];
  const moulded = MOULDED[material ?? ''];
  const all = ends.map((end): Rating => {
    const rated = endRating(end, material);
    return moulded ? { ...rated, minTempC: moulded[0], maxTempC: moulded[1], heatBy: material! } : rated;
  });
  if (material === 'rubber' && ends.length === 1) all.push({ ...all[0]!, maxBar: RUBBER_BLANK, barBy: 'a blank of rubber' });
  if (body) all.push({ ...all[0]!, maxBar: body[0], barBy: body[1] });
  const weakest = all.reduce((a, b) => (b.maxBar < a.maxBar ? b : a));
  const coolest = all.reduce((a, b) => (b.maxTempC < a.maxTempC ? b : a));
  return {
    maxBar: weakest.maxBar,
    barBy: weakest.barBy,
    minTempC: Math.max(...all.map((r) => r.minTempC)),
    maxTempC: coolest.maxTempC,
    heatBy: coolest.heatBy,
  };
}

/** Bar in steel; or of the joint itself, whatever the metal. */
function barOf(c: Connector): readonly [bar: number, soft: boolean] {
  const major = connectorThread(c)?.majorMm ?? 0;
  switch (c.family) {
    case 'flare37':
    case 'bulkhead':
      return [FLARE[c.size]!, false];
    case 'orb':
      return [BOSS[c.size]! * (c.seat === 'adjustable' ? 0.8 : 1), false];
    case 'orfs':
      return [207, false];
    case 'flare45':
    case 'inverted':
      return [FLARE45[c.size] ?? FLARE45[String(Math.round(fractionToNumber(c.size) * 16))] ?? 40, true];
    case 'npt':
    case 'nptf':
    case 'r':
      return [PIPE[c.size]!, false];
    case 'npsm':
    case 'rp':
      return [PIPE[c.size]! * 0.6, false];
    case 'keg':
      return [100, false];
    case 'cone24':
      return [below(CONE24, Number(/^\d+/.exec(c.seat ?? '')?.[0] ?? major * 0.65)), false];
    case 'banjo':
      return [below(BANJO, major), true];
    case 'post':
      return [20, true];
    case 'face':
      return [25, true];
    case 'flange':
      return [10, true];
    case 'barb':
      return [below(CLAMPED, boreSizeMm(c.size)), true];
    case 'bead':
      return [below(CLAMPED, boreSizeMm(c.size)) * 0.6, true];
    case 'qc':
      return [7, true];
    // an olive holds what is steady; a stub is held by a bracket, and a grommet by itself alone
    case 'compression':
      return [10, true];
    case 'stub':
      return [c.seat === 'grommet' ? 0.3 : 3, true];
    case 'cone60':
      return [below(STUD, major), false];
    case 'drybreak':
      return [15, true];
    default:
      return [below(STUD, major), false];
  }
}

/** °C, and the seal that says so where it is not the metal. */
function heatOf(c: Connector, metal: Metal): readonly [min: number, max: number, seal?: string] {
  const [min, max] = HEAT[metal];
  const by = (low: number, high: number, seal: string): readonly [number, number, string?] =>
    high < max ? [Math.max(min, low), high, seal] : [Math.max(min, low), max];
  switch (c.family) {
    case 'barb':
    case 'bead':
      return by(-40, 125, 'the rubber of its hose');
    case 'qc':
    case 'drybreak':
      return by(-40, 115, 'its own seals');
    case 'stub':
      return c.seat === 'grommet' ? by(-40, 125, 'its rubber grommet') : by(-20, 200, 'an FKM ring');
    case 'post':
      return by(-30, 140, 'the gasket of the filter');
    case 'flange':
      return by(-40, 200, 'its gasket');
    default:
      return c.family === 'orb' || c.family === 'face' || c.seat === 'oring' || c.seat === 'captive'
        ? by(-20, 200, 'an FKM ring')
        : [min, max];
  }
}

function below(table: ByDiameter, mm: number): number {
  return table.find(([upTo]) => mm <= upTo)![1];
}

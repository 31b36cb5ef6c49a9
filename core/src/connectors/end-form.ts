import { dashToMm } from '../units/index.js';
import { bareConnector } from './bare-connector.js';
import { connectorThread } from './describe-connector.js';
import { familyById, type EndShape } from './family.js';
import { landOf } from './land.js';
import type { Connector } from './connector.js';
import { boreSizeMm, flangeFigures } from './sizes-that-meet.js';

/** The metal of one connector end, enough to draw it to scale and to add up a stack. All in mm. */
export interface EndForm {
  /** From the body's hex face out to the tip. */
  readonly lengthMm: number;
  /** From the hex face to the plane where it meets its partner: the nose of a flare, the shoulder of a boss, the face of the port. */
  readonly reachMm: number;
  readonly boreMm: number;
  /** Across flats of the hex that belongs to this end. */
  readonly hexMm: number;
  /** Largest diameter of the end's own metal (thread crests, shoulder, ridges). */
  readonly outsideMm: number;
}

/**
 * Inch fittings by dash size: flare thread length from hex to nose, boss stud length, bore, body hex, nut hex (in inches as the
 * standard gives them). Source: SAE J514, SAE J1926-3, from memory.
 */
const INCH_ENDS: Readonly<Record<string, readonly [flare: number, boss: number, bore: number, hex: number, nut: number]>> = {
  '2': [0.45, 0.3, 0.0625, 0.4375, 0.375],
  '3': [0.48, 0.3, 0.125, 0.4375, 0.5],
  '4': [0.55, 0.36, 0.172, 0.5, 0.5625],
  '5': [0.55, 0.36, 0.234, 0.5625, 0.625],
  '6': [0.556, 0.39, 0.297, 0.625, 0.6875],
  '8': [0.657, 0.44, 0.391, 0.8125, 0.875],
  '10': [0.758, 0.5, 0.484, 0.9375, 1],
  '12': [0.864, 0.59, 0.609, 1.125, 1.25],
  '14': [0.89, 0.59, 0.719, 1.25, 1.375],
  '16': [0.911, 0.59, 0.844, 1.375, 1.5],
  '20': [0.958, 0.59, 1.078, 1.6875, 2],
  '24': [1.083, 0.59, 1.312, 2, 2.25],
  '32': [1.333, 0.59, 1.781, 2.75, 2.875],
};

/** Pipe ends: thread length and bore in mm, hex across flats. Source: SAE J514 pipe ends, from memory. */
const PIPE_ENDS: Readonly<Record<string, readonly [length: number, bore: number, hex: number]>> = {
  '1/16': [9.7, 4, 9.5],
  '1/8': [9.7, 5.6, 11.1],
  '1/4': [14.2, 7.1, 14.3],
  '3/8': [14.2, 10.3, 17.5],
  '1/2': [19, 13.5, 22.2],
  '3/4': [19, 18.3, 28.6],
  '1': [23.9, 23.8, 34.9],
  '1 1/4': [24.6, 30.2, 44.5],
  '1 1/2': [25.4, 36.5, 50.8],
  '2': [26.2, 47.6, 63.5],
};

/** Metric studs by diameter: stud length, shoulder diameter, bore. Source: DIN 3852-1 form A, from memory. */
const METRIC_STUDS: readonly (readonly [diameter: number, length: number, shoulder: number, bore: number])[] = [
  [8, 8, 12, 3],
  [10, 8, 14, 4.5],
  [12, 12, 17, 6],
  [14, 12, 19, 7],
  [16, 12, 21, 9],
  [18, 12, 23, 11],
  [20, 14, 25, 12],
  [22, 14, 27, 14],
  [24, 14, 29, 15],
  [26, 16, 31, 18],
  [27, 16, 32, 18],
  [30, 16, 36, 20],
  [33, 18, 39, 23],
  [36, 18, 42, 26],
  [42, 20, 49, 30],
  [48, 22, 55, 36],
];

/** Part of a taper thread that stays outside after make-up: the rest of its length is engaged (about L1 and two to three turns). */
const PIPE_OUTSIDE_SHARE = 0.35;

/**
 * Dimensions of a connector end, to draw it and to add up a stack. What no table above gives (flanges, couplings, spigots, cones by
 * thread) is in common proportions, not by a maker's drawing. Ends without a body of their own (a cut hose, a port) still tell bore and outside.
 */
export function endForm(given: Connector): EndForm {
  const c = bareConnector(given);
  let form = forms.get(c);
  if (!form) forms.set(c, (form = formOf(c)));
  return form;
}

/** A connector is the same as long as it is; the standard parts share theirs. */
const forms = new WeakMap<Connector, EndForm>();

function formOf(c: Connector): EndForm {
  const major = connectorThread(c)?.majorMm ?? 0;
  switch (shapeOf(c)) {
    case 'flare': {
      const [flare, , bore, hex, nut] = flareRow(c, major);
      return c.gender === 'male'
        ? { lengthMm: flare, reachMm: flare, boreMm: bore, hexMm: hex, outsideMm: major }
        : { lengthMm: nut * 0.95, reachMm: nut * 0.42, boreMm: bore, hexMm: nut, outsideMm: nut };
    }
    case 'boss': {
      const [, boss, bore, hex, nut] = inchRow(c.size);
      return stud(c, boss, bore, Math.max(hex, nut), 1.6);
    }
    case 'taper': {
      const [length, bore, hex] = taperRow(c, major);
      return c.gender === 'male'
        ? { lengthMm: length, reachMm: length * PIPE_OUTSIDE_SHARE, boreMm: bore, hexMm: Math.max(hex, major), outsideMm: major }
        : { lengthMm: length, reachMm: length, boreMm: bore, hexMm: major * 1.28, outsideMm: major * 1.28 };
    }
    case 'stud':
    case 'post': {
      const [, length, shoulder, bore] = studRow(major);
      return stud(c, length, bore, Math.max(shoulder, major * 1.15), 1.3);
    }
    case 'banjo': {
      const [, length, shoulder, bore] = studRow(major);
      const eye = major * 1.05;
      return { lengthMm: length, reachMm: eye / 2, boreMm: bore * 0.75, hexMm: shoulder, outsideMm: shoulder * 1.12 };
    }
    case 'flange': {
      const { apartMm, boreMm } = flangeFigures(c.size);
      return { lengthMm: 8, reachMm: 0, boreMm, hexMm: boreMm * 1.4, outsideMm: apartMm + 14 };
    }
    case 'face': {
      const { insideMm, outsideMm } = landOf(c)!;
      return { lengthMm: 10, reachMm: 0, boreMm: insideMm * 0.7, hexMm: outsideMm, outsideMm: outsideMm + 12 };
    }
    case 'coupling':
    case 'hole': {
      const tube = dashToMm(Number(c.size));
      return { lengthMm: 14 + tube, reachMm: 4 + tube * 0.4, boreMm: tube * 0.8, hexMm: tube * 2, outsideMm: tube * 2 };
    }
    case 'ridged':
    case 'beaded':
    case 'spigot':
    case 'inner': {
      const bore = boreSizeMm(c.size);
      // a hose is as wide as it is called; what goes into it is narrower
      const passes = c.family === 'barb' && c.gender === 'female' ? bore : bore * 0.72;
      return { lengthMm: 12 + bore * 1.2, reachMm: 0, boreMm: passes, hexMm: bore * 1.3, outsideMm: bore * 1.12 };
    }
  }
}

/** How the end looks: a swivelling nut looks like a flare nut, a drilled hole is only a hole. */
export function shapeOf(given: Connector): EndShape {
  const c = bareConnector(given);
  if (c.swivel && c.gender === 'female') return 'flare';
  const { shape, femaleShape = shape } = familyById(c.family);
  return c.gender === 'female' ? femaleShape : shape;
}

function stud(c: Connector, length: number, bore: number, shoulder: number, depth: number): EndForm {
  const inside = length * depth;
  return c.gender === 'male'
    ? { lengthMm: length, reachMm: 0, boreMm: bore, hexMm: shoulder, outsideMm: shoulder }
    : { lengthMm: inside, reachMm: inside, boreMm: bore, hexMm: shoulder, outsideMm: shoulder };
}

function flareRow(c: Connector, major: number): readonly [number, number, number, number, number] {
  if (familyById(c.family).sizeKind === 'dash') return inchRow(c.size);
  return [major * 0.55 + 6, 0, major * 0.5, major * 1.15, major * 1.32];
}

/** American sizes as tabled; British and metric tapers by their useful thread, in the same proportions. */
function taperRow(c: Connector, major: number): readonly [number, number, number] {
  const row = familyById(c.family).americanEnds ? PIPE_ENDS[c.size] : undefined;
  const length = connectorThread({ ...c, gender: 'male' })?.usefulLengthMm ?? major * 0.7;
  return row ?? [length * 1.15, major * 0.55, major * 1.06];
}

/** A size between two of the table, in their proportion. @throws {RangeError} beside the table */
function between(dash: number): readonly number[] {
  const known = Object.keys(INCH_ENDS).map(Number);
  const below = Math.max(...known.filter((d) => d < dash));
  const above = Math.min(...known.filter((d) => d > dash));
  const [low, high] = [INCH_ENDS[String(below)], INCH_ENDS[String(above)]];
  if (!low || !high) throw new RangeError(`No inch end of size ${dash}`);
  return low.map((v, i) => v + ((high[i]! - v) * (dash - below)) / (above - below));
}

function inchRow(size: string): [flare: number, boss: number, bore: number, hex: number, nut: number] {
  return (INCH_ENDS[size] ?? between(Number(size))).map((v) => v * 25.4) as [number, number, number, number, number];
}

function studRow(diameterMm: number): readonly [number, number, number, number] {
  return METRIC_STUDS.reduce((best, row) => (Math.abs(row[0] - diameterMm) < Math.abs(best[0] - diameterMm) ? row : best));
}

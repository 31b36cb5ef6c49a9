import { familyById } from '../../connectors/index.js';
import type { Fitting } from '../fitting.js';
import { single } from './adapter.js';
import { series } from './series.js';
import { readEnd } from './read-end.js';

const METRIC = ['m10x1', 'm12x1.5', 'm14x1.5', 'm16x1.5', 'm18x1.5', 'm20x1.5', 'm22x1.5', 'm26x1.5', 'm27x2'];

/** Plugs, caps and weld bungs. */
export function closingFittings(): Fitting[] {
  const ends = [
    ...['3', '4', '5', '6', '8', '10', '12', '16'].flatMap((d) => [`orb${d} m`, `an${d} m`, `an${d} f`]),
    ...['1/16', '1/8', '1/4', '3/8', '1/2', '3/4', '1'].map((p) => `npt ${p} m`),
    ...['1/8', '1/4', '3/8'].flatMap((p) => [`npt ${p} f`, `r ${p} m`, `g ${p} m washer`]),
    ...METRIC.map((t) => `${t} m washer`),
    ...['m10x1', 'm12x1.5', 'm14x1.5', 'm18x1.5', 'm22x1.5'].map((t) => `${t} m oring`),
  ];
  const bungs = familyById('bung').sizes.flatMap((size) =>
    size.startsWith('an') ? [`bung ${size} m`] : size.startsWith('m') ? [`bung ${size} f washer`] : [`bung ${size} f`],
  );
  return [...ends, ...bungs].map((notation) => single(readEnd(notation)));
}

const BUNG_METALS = ['aluminium', 'steel', 'stainless'] as const;

/** Ends whose partner is a nut, or a port that is seldom closed. */
const PLUGS_OF_NAMED_SEATS = ['inverted m', 'inverted f', 'orb f', 'cone24 light', 'cone24 heavy', 'qc m', 'g f'] as const;
const INCH_PORTS = ['3/8-24', '7/16-20', '1/2-20', '9/16-18', '5/8-18', '3/4-16', '7/8-14'];

/** Plugs with a cone for the nuts of pipe swivels, and with a washer for inch ports. */
function seatedPlugs(): Fitting[] {
  const cones = series['g swivel'].map(({ notation }) => notation.replace('f swivel', 'm cone'));
  const pipes = series['npsm swivel'].map(({ notation }) => notation.replace('npsm', 'npt').replace('f swivel', 'm cone'));
  return [...cones, ...pipes, ...INCH_PORTS.map((thread) => `${thread} m washer`)].map((notation) => single(readEnd(notation)));
}

/** Plates over a flange, and rubber caps over a barb or bead that is not used. */
function blanks(): Fitting[] {
  const plates = series.flange.map(({ notation }) => single(readEnd(notation), { kind: 'cap' }));
  const caps = [...series.barb, ...series['metric barb']].map(({ notation }) =>
    single(readEnd(notation.replace('barb', 'hose')), { material: 'rubber' }),
  );
  return [...plates, ...caps];
}

/** Plugs and caps of every family by rule, and weld bungs in three metals. */
export function furtherClosings(): Fitting[] {
  const plugs = (['an m', 'orb m', 'npt m', 'r m', 'g m', 'g captive', 'metric m', 'metric ring m', 'sae45 m'] as const).flatMap((s) =>
    series[s].map(({ notation }) => notation),
  );
  const caps = (
    ['an f', 'an swivel', 'npt f', 'rc f', 'g swivel', 'cone24 light swivel', 'cone24 heavy swivel', 'sae45 swivel', 'barb'] as const
  ).flatMap((s) => series[s].map(({ notation }) => notation));
  const fuelCaps = series['qc f'].map(({ notation }) => notation);
  const bungs = familyById('bung').sizes.map((size) =>
    size.startsWith('an') ? `bung ${size} m` : size.startsWith('m') ? `bung ${size} f washer` : `bung ${size} f`,
  );
  return [
    ...[...plugs, ...caps, ...fuelCaps].map((notation) => single(readEnd(notation))),
    ...series['metric m'].map(({ notation }) => single(readEnd(notation), { material: 'steel' })),
    ...series['npt m'].map(({ notation }) => single(readEnd(notation), { material: 'brass' })),
    ...PLUGS_OF_NAMED_SEATS.flatMap((name) => series[name].map(({ notation }) => single(readEnd(notation)))),
    ...seatedPlugs(),
    ...blanks(),
    ...bungs.flatMap((notation) => BUNG_METALS.slice(1).map((material) => single(readEnd(notation), { material }))),
  ];
}

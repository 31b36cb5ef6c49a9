import { familyById, parseConnector } from '../../connectors/index.js';
import type { Fitting } from '../fitting.js';
import { single } from './adapter.js';
import { series } from './series.js';

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
  return [...ends, ...bungs].map((notation) => single(parseConnector(notation)));
}

const BUNG_METALS = ['aluminium', 'steel', 'stainless'] as const;

/** Plugs and caps of every family by rule, and weld bungs in three metals. */
export function furtherClosings(): Fitting[] {
  const plugs = (['an m', 'orb m', 'npt m', 'r m', 'g m', 'g captive', 'metric m', 'metric ring m', 'sae45 m'] as const).flatMap((s) =>
    series[s].map(({ notation }) => notation),
  );
  const caps = (
    [
      'an f',
      'an swivel',
      'npt f',
      'rc f',
      'g swivel',
      'metric f',
      'cone24 light swivel',
      'cone24 heavy swivel',
      'sae45 swivel',
      'barb',
    ] as const
  ).flatMap((s) => series[s].map(({ notation }) => notation));
  const fuelCaps = series['qc f'].map(({ notation }) => notation);
  const bungs = familyById('bung').sizes.map((size) =>
    size.startsWith('an') ? `bung ${size} m` : size.startsWith('m') ? `bung ${size} f washer` : `bung ${size} f`,
  );
  return [
    ...[...plugs, ...caps, ...fuelCaps].map((notation) => single(parseConnector(notation))),
    ...series['metric m'].map(({ notation }) => single(parseConnector(notation), { material: 'steel' })),
    ...series['npt m'].map(({ notation }) => single(parseConnector(notation), { material: 'brass' })),
    ...bungs.flatMap((notation) => BUNG_METALS.slice(1).map((material) => single(parseConnector(notation), { material }))),
  ];
}

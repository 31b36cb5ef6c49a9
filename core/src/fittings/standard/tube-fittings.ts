import type { Fitting } from '../fitting.js';
import { adapter, type Make } from './adapter.js';
import { readEnd } from './read-end.js';

/** Olive fittings on plain tube, of brass: what they lead to. Common practice. */
const COMPRESSED: readonly (readonly [tube: string, to: readonly string[]])[] = [
  ['1/8', ['npt 1/8 m']],
  ['3/16', ['npt 1/8 m', 'npt 1/8 f', 'an3 m']],
  ['1/4', ['npt 1/8 m', 'npt 1/4 m', 'npt 1/8 f', 'an4 m']],
  ['5/16', ['npt 1/8 m', 'npt 1/4 m']],
  ['3/8', ['npt 1/4 m', 'npt 3/8 m', 'an6 m']],
  ['1/2', ['npt 3/8 m', 'npt 1/2 m', 'an8 m']],
  ['4mm', ['r 1/8 m', 'm10x1 m washer']],
  ['6mm', ['r 1/8 m', 'g 1/8 m washer', 'm10x1 m washer', 'm12x1.5 m washer']],
  ['8mm', ['r 1/8 m', 'r 1/4 m', 'g 1/4 m washer', 'm12x1.5 m washer', 'm14x1.5 m washer']],
  ['10mm', ['r 1/4 m', 'g 1/4 m washer', 'm14x1.5 m washer', 'm16x1.5 m washer']],
  ['12mm', ['r 3/8 m', 'g 3/8 m washer', 'm18x1.5 m washer']],
];
const SQUARE_TO = ['npt 1/8 m', 'npt 1/4 m', 'r 1/8 m', 'r 1/4 m'];

/** Metric 60° cones of steel, beside the size they are matched with. Common practice. */
const CONED: readonly (readonly [thread: string, an: string, port: string])[] = [
  ['m12x1.5', 'an4 m', 'g 1/8 m washer'],
  ['m14x1.5', 'an6 m', 'g 1/4 m washer'],
  ['m16x1.5', 'an6 m', 'g 1/4 m washer'],
  ['m18x1.5', 'an8 m', 'g 3/8 m washer'],
  ['m22x1.5', 'an10 m', 'g 1/2 m washer'],
  ['m26x1.5', 'an12 m', 'g 3/4 m washer'],
];

/** Stubs with a ring for a bored hole, and with a grommet for the hole in a cover. Common practice. */
const STUBS: readonly (readonly [hole: string, to: readonly string[]])[] = [
  ['12mm', ['barb 3/8', 'an6 m']],
  ['16mm', ['barb 1/2', 'an8 m']],
  ['20mm', ['barb 5/8', 'barb 3/4', 'an10 m']],
  ['22mm', ['barb 3/4', 'an10 m']],
  ['25mm', ['barb 3/4', 'barb 1', 'an12 m']],
  ['32mm', ['barb 1', 'an16 m']],
];
const GROMMETS: readonly (readonly [hole: string, barb: string])[] = [
  ['18mm', 'barb 3/8'],
  ['20mm', 'barb 1/2'],
  ['25mm', 'barb 5/8'],
  ['30mm', 'barb 5/8'],
  ['32mm', 'barb 3/4'],
];

/** What joins plain tube, metric cones and drilled holes. */
export function tubeFittings(): Fitting[] {
  const join = (a: string, b: string, make: Make = {}, angle = 0): Fitting => adapter(readEnd(a), readEnd(b), angle, make);
  const olives = COMPRESSED.flatMap(([tube, to]) => {
    const end = `compression ${tube} f`;
    const square = to.filter((port) => SQUARE_TO.includes(port));
    return [
      join(end, end, { material: 'brass' }),
      ...to.map((port) => join(end, port, { material: 'brass' })),
      ...square.map((port) => join(end, port, { material: 'brass' }, 90)),
    ];
  });
  const cones = CONED.flatMap(([thread, an, port]) => [
    join(`cone60 ${thread} f swivel`, an),
    join(`cone60 ${thread} m`, an),
    join(`cone60 ${thread} m`, port),
    join(`cone60 ${thread} m`, `cone60 ${thread} m`),
  ]);
  const stubs = STUBS.flatMap(([hole, to]) => to.flatMap((end) => [0, 90].map((angle) => join(`stub ${hole} m`, end, {}, angle))));
  const breathers = GROMMETS.flatMap(([hole, barb]) => [0, 90].map((angle) => join(`stub ${hole} m grommet`, barb, {}, angle)));
  return [...olives, ...cones, ...stubs, ...breathers];
}

import type { Fitting } from '../fitting.js';
import { adapter, type Make } from './adapter.js';
import { readEnd } from './read-end.js';

/** Which dash sizes go with each British pipe size. Common practice. */
const PIPE_TO_DASH: readonly (readonly [pipe: string, dashes: readonly number[]])[] = [
  ['1/8', [3, 4, 6]],
  ['1/4', [4, 6, 8]],
  ['3/8', [6, 8, 10]],
  ['1/2', [8, 10, 12]],
  ['3/4', [10, 12, 16]],
  ['1', [12, 16]],
];
/** A 24° cone by tube: thread, series, dash and pipe that carry about the same flow. ISO 8434-1. */
const CONES: readonly (readonly [thread: string, series: string, dash: number, pipe: string])[] = [
  ['m12x1.5', '6l', 4, '1/8'],
  ['m14x1.5', '8l', 6, '1/4'],
  ['m16x1.5', '10l', 6, '1/4'],
  ['m18x1.5', '12l', 8, '3/8'],
  ['m22x1.5', '15l', 10, '1/2'],
];
/** A larger metric port made smaller. */
const METRIC_REDUCERS: readonly (readonly [outside: string, inside: string])[] = [
  ['m12x1.5', 'm10x1'],
  ['m14x1.5', 'm10x1'],
  ['m14x1.5', 'm12x1.5'],
  ['m16x1.5', 'm12x1.5'],
  ['m18x1.5', 'm10x1'],
  ['m18x1.5', 'm12x1.5'],
  ['m18x1.5', 'm14x1.5'],
  ['m20x1.5', 'm14x1.5'],
  ['m22x1.5', 'm14x1.5'],
  ['m22x1.5', 'm18x1.5'],
];

/** What joins the British pipe world, the metric one and the others, with the sensor adapters between them. */
export function britishAndMetricAdapters(): Fitting[] {
  const list: Fitting[] = [];
  const add = (a: string, b: string, angle = 0, make: Make = {}): void => void list.push(adapter(readEnd(a), readEnd(b), angle, make));
  const sensor = (a: string, b: string): void => add(a, b, 0, { kind: 'sensor adapter' });
  for (const [pipe, dashes] of PIPE_TO_DASH) {
    for (const d of dashes) {
      add(`r ${pipe} m`, `an${d} m`);
      add(`g ${pipe} m washer`, `an${d} m`);
      add(`g ${pipe} m oring`, `an${d} m`);
      add(`g ${pipe} m cone`, `an${d} m`);
      if (d <= 10) add(`r ${pipe} m`, `an${d} m`, 90);
    }
    add(`r ${pipe} m`, `npt ${pipe} f`);
    add(`npt ${pipe} m`, `rc ${pipe} f`);
    add(`g ${pipe} m washer`, `npt ${pipe} f`);
    add(`g ${pipe} f swivel cone`, `r ${pipe} m`);
    add(`npt ${pipe} m cone`, `npsm ${pipe} f swivel`);
  }
  for (const [thread, series, dash, pipe] of CONES) {
    add(`cone24 ${thread} m ${series}`, `an${dash} m`);
    add(`cone24 ${thread} m ${series}`, `npt ${pipe} m`);
    add(`cone24 ${thread} m ${series}`, `r ${pipe} m`);
  }
  for (const [outside, inside] of METRIC_REDUCERS) add(`${outside} m washer`, `${inside} f washer`);
  for (const [keg, dash] of [
    ['m8x1', 3],
    ['m10x1', 4],
    ['m12x1.5', 6],
    ['m14x1.5', 6],
    ['m16x1.5', 8],
  ] as const)
    add(`keg ${keg} m`, `an${dash} m`);
  for (const [outside, inside] of [
    ['m20x1.5', '3/4-16'],
    ['3/4-16', 'm20x1.5'],
    ['m22x1.5', '3/4-16'],
    ['13/16-16', '3/4-16'],
    ['m18x1.5', '3/4-16'],
  ] as const)
    // screwed into the boss in place of the post that was there
    add(`post ${outside} m bolt`, `post ${inside} m bolt`, 0, {
      kind: 'post bolt',
      material: 'steel',
      called: `Post adapter ${outside} to ${inside}`,
    });
  for (const [size, dash] of [
    ['5/16', 6],
    ['3/8', 6],
    ['1/2', 8],
  ] as const)
    add(`qc ${size} f`, `an${dash} m`);
  for (const [tube, dash] of [
    ['1/2', 8],
    ['5/8', 10],
    ['3/4', 12],
    ['1', 16],
  ] as const) {
    add(`bead ${tube}`, `an${dash} f swivel`);
    add(`bead ${tube}`, `orb${dash} m`);
  }
  sensor('npt 1/8 m', 'm10x1 f washer');
  sensor('npt 1/4 m', 'm10x1 f washer');
  sensor('npt 1/4 m', 'm12x1.5 f washer');
  sensor('npt 1/4 m', 'rc 1/8 f');
  sensor('npt 3/8 m', 'm14x1.5 f washer');
  sensor('r 1/8 m', 'm10x1 f washer');
  sensor('r 1/4 m', 'm12x1.5 f washer');
  for (const dash of [4, 6, 8, 10]) {
    sensor(`orb${dash} m`, 'm10x1 f washer');
    sensor(`orb${dash} m`, 'rc 1/8 f');
    sensor(`an${dash} f swivel`, 'npt 1/8 f');
    sensor(`an${dash} f swivel`, 'm10x1 f washer');
    sensor(`an${dash} f swivel`, 'rc 1/8 f');
  }
  for (const thread of ['m10x1', 'm12x1.5', 'm14x1.5', 'm18x1.5']) sensor(`${thread} m washer`, 'rc 1/8 f');
  return list;
}

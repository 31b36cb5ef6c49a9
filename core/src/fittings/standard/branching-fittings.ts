import { parseConnector } from '../../connectors/index.js';
import type { Fitting } from '../fitting.js';
import { branched } from './adapter.js';

const DASHES = [3, 4, 6, 8, 10, 12, 16];
const PIPES = ['1/8', '1/4', '3/8', '1/2', '3/4'];

/** Tees and crosses: run, run, branch. Common practice in what is made. */
export function branchingFittings(): Fitting[] {
  const list: Fitting[] = [];
  const add = (...ends: string[]): void => void list.push(branched(ends.map(parseConnector)));
  for (const d of DASHES) {
    add(`an${d} m`, `an${d} m`, `an${d} m`);
    add(`an${d} m`, `an${d} m`, `an${d} f swivel`);
    add(`an${d} f swivel`, `an${d} m`, `an${d} m`);
    add(`an${d} m`, `an${d} m`, `an${d} m`, `an${d} m`);
    // a place for a sensor or gauge in the run of a line
    for (const branch of ['npt 1/8 f', ...(d >= 6 ? ['m10x1 f washer'] : [])]) add(`an${d} f swivel`, `an${d} m`, branch);
    if (d >= 4) add(`orb${d} m adjustable`, `an${d} m`, `an${d} m`);
  }
  for (const [large, small] of [
    [6, 4],
    [8, 6],
    [10, 6],
    [10, 8],
    [12, 8],
    [12, 10],
  ])
    add(`an${large} m`, `an${large} m`, `an${small} m`);
  for (const p of PIPES) {
    add(`npt ${p} f`, `npt ${p} f`, `npt ${p} f`);
    add(`npt ${p} m`, `npt ${p} f`, `npt ${p} f`);
    add(`npt ${p} f`, `npt ${p} f`, `npt ${p} f`, `npt ${p} f`);
  }
  for (const d of [3, 4, 6]) add('npt 1/8 m', `an${d} m`, 'npt 1/8 f');
  for (const d of [4, 6]) add('r 1/8 m', `an${d} m`, 'rc 1/8 f');
  for (const [p, d] of [
    ['1/4', 6],
    ['3/8', 8],
    ['1/2', 10],
  ] as const)
    add(`npt ${p} m`, `an${d} m`, 'npt 1/8 f');
  for (const size of ['1/8', '1/4']) add(`r ${size} m`, `rc ${size} f`, `rc ${size} f`);
  for (const thread of ['m10x1', 'm12x1.5', 'm14x1.5']) add(`${thread} m washer`, `${thread} f washer`, `${thread} f washer`);
  for (const [thread, d] of [
    ['m10x1', 4],
    ['m12x1.5', 6],
    ['m14x1.5', 6],
    ['m18x1.5', 8],
  ] as const)
    add(`${thread} m washer`, `an${d} m`, 'npt 1/8 f');
  return list;
}

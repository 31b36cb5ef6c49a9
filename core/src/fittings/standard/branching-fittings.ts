import type { Fitting } from '../fitting.js';
import { branched, type Make } from './adapter.js';
import { series } from './series.js';
import { readEnd } from './read-end.js';

const DASHES = [3, 4, 6, 8, 10, 12, 16];
const PIPES = ['1/8', '1/4', '3/8', '1/2', '3/4'];

/** Tees and crosses: run, run, branch. Common practice in what is made. */
export function branchingFittings(): Fitting[] {
  const list: Fitting[] = [];
  const add = (...ends: string[]): void => void list.push(branched(ends.map(readEnd)));
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

/** A place for a sensor or gauge in the run of a line. */
const SENSORS = ['npt 1/8 f', 'npt 1/4 f', 'm10x1 f washer', 'm12x1.5 f washer', 'm14x1.5 f washer', 'rc 1/8 f'];

/** Tees by rule: sensor ports in the run of every dash size, equal and reducing tees of flare, boss, pipe and hose, double banjos. */
export function furtherTees(): Fitting[] {
  const list: Fitting[] = [];
  const add = (ends: readonly string[], make: Make = {}): void => void list.push(branched(ends.map(readEnd), make));
  const dashes = series['an m'].map(({ dash }) => dash);
  for (const [i, d] of dashes.entries()) {
    for (const sensor of SENSORS) {
      add([`an${d} f swivel`, `an${d} m`, sensor]);
      add([`an${d} m`, `an${d} m`, sensor]);
    }
    add([`an${d} m`, `an${d} m`, `an${d} m`]);
    add([`an${d} m`, `an${d} m`, `an${d} f swivel`]);
    add([`an${d} f swivel`, `an${d} m`, `an${d} m`]);
    add([`an${d} m`, `an${d} m`, `an${d} m`, `an${d} m`]);
    add([`orb${d} m adjustable`, `an${d} m`, `an${d} m`]);
    add([`an${d} m`, `an${d} m`, `orb${d} m adjustable`]);
    add([`orb${d} f`, `orb${d} f`, `orb${d} f`]);
    for (const small of dashes.slice(Math.max(0, i - 3), i)) {
      add([`an${d} m`, `an${d} m`, `an${small} m`]);
      add([`an${d} m`, `an${small} m`, `an${small} m`]);
    }
  }
  const pipes = series['npt m'].map(({ notation }) => notation.split(' ')[1]!);
  for (const [i, p] of pipes.entries()) {
    for (const material of [undefined, 'brass'] as const) {
      const make = material ? { material } : {};
      add([`npt ${p} f`, `npt ${p} f`, `npt ${p} f`], make);
      add([`npt ${p} m`, `npt ${p} f`, `npt ${p} f`], make);
      add([`npt ${p} f`, `npt ${p} f`, `npt ${p} m`], make);
      for (const small of pipes.slice(Math.max(0, i - 2), i)) {
        add([`npt ${p} f`, `npt ${p} f`, `npt ${small} f`], make);
        add([`npt ${p} m`, `npt ${p} f`, `npt ${small} f`], make);
      }
    }
    add([`npt ${p} m`, `npt ${p} m`, `npt ${p} m`]);
    add([`r ${p} m`, `rc ${p} f`, `rc ${p} f`]);
    add([`rc ${p} f`, `rc ${p} f`, `rc ${p} f`]);
  }
  for (const bores of [series.barb, series['metric barb']])
    for (const [i, { notation }] of bores.entries()) {
      add([notation, notation, notation]);
      for (const small of bores.slice(Math.max(0, i - 2), i)) add([notation, notation, small.notation]);
      for (const sensor of ['npt 1/8 f', 'm10x1 f washer']) add([notation, notation, sensor]);
    }
  for (const { notation, dash } of series.banjo) add([notation, `an${dash} m`, `an${dash} m`], { kind: 'banjo', material: 'steel' });
  return list;
}

import type { Fitting } from '../fitting.js';
import { adapter } from './adapter.js';
import { readEnd } from './read-end.js';

/** Which sizes the trade makes of each adapter, first end against second. Common practice. */
const PIPE_TO_FLARE: Readonly<Record<string, readonly number[]>> = {
  '1/16': [3, 4],
  '1/8': [3, 4, 5, 6],
  '1/4': [3, 4, 5, 6, 8],
  '3/8': [6, 8, 10, 12],
  '1/2': [6, 8, 10, 12, 16],
  '3/4': [10, 12, 14, 16],
  '1': [12, 16],
};
const METRIC_TO_FLARE: Readonly<Record<string, readonly number[]>> = {
  m10x1: [3, 4, 6],
  'm10x1.25': [3, 4],
  'm12x1.25': [4, 6],
  'm12x1.5': [3, 4, 6],
  'm14x1.5': [4, 6, 8],
  'm16x1.5': [4, 6, 8],
  'm18x1.5': [6, 8, 10],
  'm20x1.5': [8, 10],
  'm22x1.5': [8, 10, 12],
  'm26x1.5': [10, 12],
  m27x2: [12, 16],
  m33x2: [16],
};
const METRIC_RING_TO_FLARE: Readonly<Record<string, readonly number[]>> = {
  m10x1: [3, 4],
  'm12x1.5': [4, 6],
  'm14x1.5': [4, 6, 8],
  'm16x1.5': [6, 8],
  'm18x1.5': [6, 8, 10],
  'm22x1.5': [8, 10, 12],
  m27x2: [12, 16],
  m33x2: [16],
};
const BANJO_TO_FLARE: Readonly<Record<string, readonly number[]>> = {
  m10x1: [3, 4],
  'm10x1.25': [3, 4],
  'm12x1.25': [4, 6],
  'm12x1.5': [4, 6],
  'm14x1.5': [4, 6, 8],
  'm16x1.5': [6, 8],
  'm18x1.5': [8, 10],
  '3/8-24': [3],
  '7/16-20': [4],
  '9/16-18': [6],
};
const BARB_TO_PIPE: Readonly<Record<string, readonly string[]>> = {
  '3/16': ['1/8'],
  '1/4': ['1/8', '1/4'],
  '5/16': ['1/8', '1/4'],
  '3/8': ['1/8', '1/4', '3/8'],
  '1/2': ['3/8', '1/2'],
  '5/8': ['3/8', '1/2'],
  '3/4': ['1/2', '3/4'],
  '1': ['3/4', '1'],
};
const BARB_TO_DASH: Readonly<Record<string, readonly number[]>> = {
  '1/4': [4],
  '5/16': [5, 6],
  '3/8': [6],
  '1/2': [8],
  '5/8': [10],
  '3/4': [12],
  '1': [16],
};
const BARB_TO_METRIC: Readonly<Record<string, readonly string[]>> = {
  '1/4': ['m10x1', 'm12x1.5'],
  '5/16': ['m12x1.5', 'm14x1.5'],
  '3/8': ['m14x1.5', 'm16x1.5'],
  '1/2': ['m18x1.5', 'm20x1.5'],
  '5/8': ['m22x1.5'],
  '3/4': ['m26x1.5', 'm27x2'],
};
const DASHES = [3, 4, 5, 6, 8, 10, 12, 14, 16];
const PIPES = ['1/16', '1/8', '1/4', '3/8', '1/2', '3/4', '1'];

const pairs = <T>(table: Readonly<Record<string, readonly T[]>>): [string, T][] =>
  Object.entries(table).flatMap(([a, list]) => list.map((b): [string, T] => [a, b]));
/** Pairs of dash sizes no more than `steps` apart in the series. */
const dashPairs = (steps: number): [number, number][] =>
  DASHES.flatMap((a, i) => DASHES.flatMap((b, j): [number, number][] => (Math.abs(i - j) <= steps ? [[a, b]] : [])));
const pipeNeighbours: [string, string][] = PIPES.flatMap((a, i) =>
  PIPES.slice(Math.max(0, i - 2), i + 3).map((b): [string, string] => [a, b]),
);

/** The common adapters, unions, reducers and elbows between American, metric and hose connectors. */
export function standardAdapters(): Fitting[] {
  const list: Fitting[] = [];
  const add = (a: string, b: string, angles: readonly number[] = [0]): void => {
    for (const angle of angles) list.push(adapter(readEnd(a), readEnd(b), angle));
  };
  for (const [pipe, dash] of pairs(PIPE_TO_FLARE)) {
    add(`npt ${pipe} m`, `an${dash} m`, [0, 45, 90]);
    add(`npt ${pipe} f`, `an${dash} m`);
    add(`npt ${pipe} m`, `an${dash} f swivel`);
  }
  for (const [boss, dash] of dashPairs(2)) {
    add(`orb${boss} m`, `an${dash} m`);
    if (boss > dash) add(`orb${boss} m`, `orb${dash} f`);
    if (boss === dash) {
      add(`orb${boss} m adjustable`, `an${dash} m`, [45, 90]);
      add(`orb${boss} m`, `an${dash} f swivel`);
    }
  }
  for (const [pipe, dash] of pairs(PIPE_TO_FLARE)) if (dash >= 4) add(`orb${dash} m`, `npt ${pipe} f`);
  for (const [thread, dash] of pairs(METRIC_TO_FLARE)) add(`${thread} m washer`, `an${dash} m`);
  for (const [thread, dash] of pairs(METRIC_RING_TO_FLARE)) add(`${thread} m oring`, `an${dash} m`);
  for (const [thread, dash] of pairs(BANJO_TO_FLARE)) add(`banjo ${thread}`, `an${dash} m`, [90]);
  for (const [a, b] of dashPairs(2)) {
    if (a >= b) add(`an${a} m`, `an${b} m`);
    add(`an${a} f swivel`, `an${b} m`, a === b ? [45, 90] : [0]);
    if (a === b) {
      add(`an${a} m`, `an${b} m`, [90]);
      add(`an${a} f swivel`, `an${b} f swivel`);
    }
  }
  for (const [a, b] of pipeNeighbours) {
    add(`npt ${a} m`, `npt ${b} f`, a === b ? [45, 90] : [0]);
    if (a === b) add(`npt ${a} m`, `npt ${b} m`);
  }
  for (const thread of Object.keys(METRIC_TO_FLARE)) add(`${thread} m washer`, 'npt 1/8 f');
  for (const [barb, pipe] of pairs(BARB_TO_PIPE)) add(`barb ${barb}`, `npt ${pipe} m`, [0, 90]);
  for (const [barb, dash] of pairs(BARB_TO_DASH)) {
    add(`barb ${barb}`, `an${dash} f swivel`);
    add(`barb ${barb}`, `orb${dash} m`);
    add(`barb ${barb}`, `an${dash} m`);
  }
  for (const [barb, thread] of pairs(BARB_TO_METRIC)) add(`barb ${barb}`, `${thread} m washer`);
  for (const dash of [6, 8, 10, 12]) {
    add(`an${dash} f swivel`, `an${dash} m`, [30, 60]);
    add(`an${dash} f swivel`, `an${dash} f swivel`, [45, 90]);
  }
  return list;
}

import type { Fitting } from '../fitting.js';
import { adapter, moulded, withBody, type Make } from './adapter.js';
import { series } from './series.js';
import { readEnd } from './read-end.js';

/** Bores a feed restrictor is drilled to, mm. Common practice. */
const RESTRICTORS = [0.8, 0.9, 1, 1.2, 1.5, 2];

/** Parts that do something to the flow, and parts that go through a wall or come apart. */
export function inlineFittings(): Fitting[] {
  const list: Fitting[] = [];
  const add = (a: string, b: string, make: Make, angle = 0): void => void list.push(adapter(readEnd(a), readEnd(b), angle, make));
  for (const boreMm of RESTRICTORS) {
    for (const d of [3, 4, 6]) add(`an${d} f swivel`, `an${d} m`, { kind: 'restrictor', boreMm });
    add('orb4 m', 'an4 m', { kind: 'restrictor', boreMm });
    add('npt 1/8 m', 'an4 m', { kind: 'restrictor', boreMm });
  }
  for (const d of [3, 4, 6, 8, 10, 12, 16]) {
    if (d <= 12) add(`an${d} m`, `an${d} m`, { kind: 'filter', bodyMm: 30 + 2 * d, bodyHex: 14 + 2.2 * d, oneWay: true });
    add(`an${d} m`, `an${d} m`, { kind: 'check valve', bodyMm: 18 + d, bodyHex: 8 + 2 * d, oneWay: true });
    add(`bulkhead an${d} m`, `an${d} m`, { kind: 'bulkhead', bodyMm: 12 });
    if (d >= 4) for (const angle of [45, 90]) add(`bulkhead an${d} m`, `an${d} m`, { kind: 'bulkhead' }, angle);
  }
  for (const p of ['1/8', '1/4', '3/8']) add(`npt ${p} f`, `npt ${p} f`, { kind: 'check valve', bodyMm: 14, oneWay: true });
  for (const d of [4, 6, 8, 10, 12, 16])
    for (const half of ['m', 'f']) add(`drybreak an${d} ${half}`, `an${d} m`, { kind: 'dry-break', bodyMm: 8 });
  for (const [flange, dashes] of [
    ['2x32 bore12', [8, 10]],
    ['2x38 bore16', [10]],
    ['2x40 bore14', [8, 10]],
    ['2x44 bore16', [10]],
    ['2x44 bore20', [10, 12]],
    ['2x50 bore20', [10, 12]],
    ['2x52 bore25', [12, 16]],
  ] as const)
    for (const d of dashes) add(`flange ${flange} m`, `an${d} m`, { kind: 'flange' });
  for (const [flange, d] of [
    ['2x32 bore12', 4],
    ['2x38 bore16', 4],
  ] as const)
    add(`flange ${flange} m`, `an${d} m`, { kind: 'flange' });
  return list;
}

/** Check valves of hose lines, ball and sampling valves, bulkheads of every dash size. */
export function furtherInline(): Fitting[] {
  const list: Fitting[] = [];
  const add = (a: string, b: string, make: Make, angle = 0): void => void list.push(adapter(readEnd(a), readEnd(b), angle, make));
  const valve = (...ends: string[]): void => void list.push(withBody(ends.map(readEnd), 'valve'));
  for (const { notation, dash } of [...series.barb, ...series['metric barb']])
    if (dash <= 12) add(notation, notation, { kind: 'check valve', bodyMm: 20 + dash, bodyHex: 10 + 2 * dash, oneWay: true });
  for (const { notation, dash } of series['npt f'])
    if (dash <= 12) {
      add(notation, notation, { kind: 'check valve', bodyMm: 14, oneWay: true });
      valve(notation, notation);
    }
  for (const { dash } of series['an m']) {
    add(`bulkhead an${dash} m`, `an${dash} m`, { kind: 'bulkhead', bodyMm: 12 });
    if (dash >= 4) for (const angle of [45, 90]) add(`bulkhead an${dash} m`, `an${dash} m`, { kind: 'bulkhead' }, angle);
    if (dash <= 16) add(`an${dash} m`, `an${dash} m`, { kind: 'check valve', bodyMm: 18 + dash, bodyHex: 8 + 2 * dash, oneWay: true });
    if (dash >= 4 && dash <= 16) valve(`an${dash} m`, `an${dash} m`);
  }
  for (const { notation, dash } of series.barb) if (dash >= 4 && dash <= 12) valve(notation, notation);
  // drawn off while the engine runs
  for (const port of ['npt 1/8 m', 'npt 1/4 m', 'm10x1 m washer', 'm14x1.5 m washer', 'r 1/8 m']) valve(port, 'barb 1/4');
  return list;
}

/** Bores of silicone couplers, inch. Common practice. */
const COUPLERS = ['5/8', '3/4', '1', '1 1/4', '1 1/2', '1 3/4', '2', '2 1/4', '2 1/2', '2 3/4', '3', '3 1/2', '4'];
/** From this one up they carry boost, and have a ply more. */
const FIRST_FOR_CHARGE_AIR = COUPLERS.indexOf('1 3/4');
/** Bores of moulded rubber for coolant and heater, inch and mm. Common practice. */
const MOULDED = ['1/2', '5/8', '3/4', '1', '1 1/4', '1 1/2', '16mm', '19mm', '25mm', '32mm', '38mm'];

/** Couplers of silicone for coolant and charge air: straight, stepped by up to two sizes, bent; and moulded rubber elbows. */
export function couplers(): Fitting[] {
  const make = (a: string, b: string, angle: number, more: Make): Fitting =>
    moulded(readEnd(`hose ${a}`), readEnd(`hose ${b}`), angle, more.apart === '4 ply' ? 5 : more.apart === '3 ply' ? 4 : 4.5, {
      kind: 'coupler',
      ...more,
    });
  const silicone = COUPLERS.flatMap((bore, i) =>
    COUPLERS.slice(Math.max(0, i - 2), i + 1).flatMap((small) =>
      [0, 45, 90, ...(bore === small ? [135, 180] : [])].map((angle) =>
        make(bore, small, angle, { material: 'silicone', apart: i >= FIRST_FOR_CHARGE_AIR ? '4 ply' : '3 ply' }),
      ),
    ),
  );
  const rubber = MOULDED.flatMap((bore) => [45, 90].map((angle) => make(bore, bore, angle, { material: 'rubber', apart: 'moulded' })));
  return [...silicone, ...rubber];
}

import { parseConnector } from '../../connectors/index.js';
import type { Fitting } from '../fitting.js';
import { adapter, type Make } from './adapter.js';

/** Bores a feed restrictor is drilled to, mm. Common practice. */
const RESTRICTORS = [0.8, 0.9, 1, 1.2, 1.5, 2];

/** Parts that do something to the flow, and parts that go through a wall or come apart. */
export function inlineFittings(): Fitting[] {
  const list: Fitting[] = [];
  const add = (a: string, b: string, make: Make, angle = 0): void =>
    void list.push(adapter(parseConnector(a), parseConnector(b), angle, make));
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

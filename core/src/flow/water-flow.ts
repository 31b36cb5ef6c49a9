import { endForm } from '../connectors/index.js';
import type { AssembledLine } from '../lines/index.js';
import { quantity } from '../units/index.js';
import type { Figure } from './duty.js';

/** What usually runs in a coolant line, by the bore of its ports, mm: up to it, L/min. Common practice. */
const BY_BORE: readonly (readonly [upToMm: number, lpm: number, words: string])[] = [
  [11.5, 3, 'turbo water and the like'],
  [20, 12, 'heater'],
  [27, 40, 'between'],
  [32, 90, 'radiator'],
  [Infinity, 130, 'radiator'],
];

/** The coolant of a line where nobody says how much: a turbo takes little whatever its port, else the wider port tells. */
export function waterFlow({ portA, portB }: Pick<AssembledLine, 'portA' | 'portB'>): Figure | undefined {
  const ends = [portA, portB];
  const bores = ends.flatMap(({ port }) => (port.connector ? [endForm(port.connector).boreMm] : []));
  const turbo = ends.some(({ component }) => component.kind === 'turbo');
  if (!turbo && bores.length === 0) return undefined;
  const bore = turbo ? 0 : Math.max(...bores);
  const [, lpm, words] = BY_BORE.find(([upTo]) => bore <= upTo)!;
  const by = turbo ? 'small turbos take 2 to 4' : `a port of ${quantity(bore.toFixed(0), 'mm')}: ${words}`;
  return { value: lpm, from: 'usual', source: `common practice: ${by}` };
}

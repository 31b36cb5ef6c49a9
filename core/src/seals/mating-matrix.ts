import { connectorThread, everyConnector, families, familyById, type Connector } from '../connectors/index.js';
import { parseThread, type Thread } from '../threads/index.js';
import { mate } from './mate.js';
import type { Mating } from './mating.js';

export interface MatingMatrix {
  readonly males: readonly Connector[];
  readonly females: readonly Connector[];
  /** `cells[i][j]`: the i-th male into the j-th female. */
  readonly cells: readonly (readonly Mating[])[];
}

/** Threads within this of one another in major diameter are tried in one another's holes, mm. */
const NEIGHBOURHOOD_MM = 1.25;

/**
 * What joins what, by family, round one thread: every connector of the library whose thread is about that size, each family with the
 * seats that matter. A thread that is tried in the wrong hole is what the matrix is for.
 * @throws {UnknownThreadError}
 */
export function matingMatrix(designation: string): MatingMatrix {
  const centre = parseThread(designation);
  const near = everyConnector().filter((c) => matters(c) && isNear(connectorThread(c), centre));
  const order = [...near].sort((a, b) => offset(a, centre) - offset(b, centre) || rank(a) - rank(b));
  const males = order.filter((c) => c.gender === 'male');
  const females = order.filter((c) => c.gender === 'female');
  return { males, females, cells: males.map((male) => females.map((female) => mate(male, female))) };
}

function isNear(thread: Thread | undefined, centre: Thread): boolean {
  return thread !== undefined && Math.abs(thread.majorMm - centre.majorMm) <= NEIGHBOURHOOD_MM;
}

/** Families in the order of the trade. */
function rank(c: Connector): number {
  return families.findIndex((f) => f.id === c.family);
}

function offset(c: Connector, centre: Thread): number {
  const thread = connectorThread(c)!;
  return Math.abs(thread.majorMm - centre.majorMm) + (thread.pitchMm === centre.pitchMm ? 0 : 0.01);
}

/** One of each: swivels for nuts, no seat left open, no tube series, nothing that is only known to be recognised. */
function matters(c: Connector): boolean {
  const family = familyById(c.family);
  if (family.carries || family.recognisedOnly || family.metAsAnother) return false;
  if (c.seat === 'adjustable' || (c.swivel && c.gender === 'male') || /^\d/.test(c.seat ?? '')) return false;
  if (family.namedBySize && !c.seat) return false;
  if (family.swivelSeats) return c.swivel ? c.seat === 'cone' : c.gender === 'male' ? c.seat !== undefined : c.seat === 'washer';
  if (family.maySwivel && c.gender === 'female') return c.swivel === true;
  return !(family.americanEnds && c.seat === 'cone' && c.gender === 'female');
}

import type { Connector } from './connector.js';
import { familyById } from './family.js';
import { quantity } from '../units/index.js';

/** A ring of flat face that a gasket or O-ring lies on, mm across; of a groove also how deep it is. */
export interface Land {
  readonly insideMm: number;
  readonly outsideMm: number;
  readonly depthMm?: number;
}

/** Bolts that hold a face: how many on which circle, mm across. */
export interface BoltCircle {
  readonly count: number;
  readonly circleMm: number;
}

/** The land of a gasket face, or round a filter post; undefined for what has none, or does not say it. */
export function landOf({ family, size, seat }: Connector): Land | undefined {
  const where = familyById(family).land;
  return where === 'size' ? readLand(size) : where === 'seat' && seat ? readLand(seat) : undefined;
}

/** The bolts of a gasket face, where they are said. */
export function boltsOf({ family, size }: Connector): BoltCircle | undefined {
  const found = familyById(family).land === 'size' && / bolts(\d+)x([\d.]+)$/.exec(size);
  return found ? { count: Number(found[1]), circleMm: Number(found[2]) } : undefined;
}

/** Reads `62x71` or `62x71x2.6` as {@link formatLand} writes it, with or without bolts after it. */
export function readLand(text: string): Land | undefined {
  const found = /^([\d.]+)x([\d.]+)(?:x([\d.]+))?(?: bolts\d+x[\d.]+)?$/.exec(text);
  if (!found) return undefined;
  const [inside, outside, depth] = found.slice(1).map((figure) => (figure === undefined ? undefined : Number(figure)));
  return { insideMm: inside!, outsideMm: outside!, ...(depth === undefined ? {} : { depthMm: depth }) };
}

/** `62x71`, `62x71x2.6`. */
export function formatLand({ insideMm, outsideMm, depthMm }: Land): string {
  return `${insideMm}x${outsideMm}${depthMm === undefined ? '' : `x${depthMm}`}`;
}

/** What cannot be in a land, in words; undefined where it can be made. */
export function landProblem({ insideMm, outsideMm, depthMm }: Land): string | undefined {
  if (insideMm < 2 || outsideMm > 500) return `A land from ${quantity(insideMm, 'mm', outsideMm)} is not one of this trade.`;
  const width = (outsideMm - insideMm) / 2;
  if (width < 0.5) return `${quantity(outsideMm, 'mm')} outside leaves no face round ${quantity(insideMm, 'mm')} inside.`;
  return depthMm !== undefined && (depthMm < 0.3 || depthMm > 12) ? `A groove ${quantity(depthMm, 'mm')} deep holds no ring.` : undefined;
}

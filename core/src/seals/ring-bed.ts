import { familyById, formatLand, landOf, type Connector, type Land } from '../connectors/index.js';
import { ringInGroove, type RingInGroove } from './groove.js';
import type { ORing } from './o-rings.js';
import { quantity } from '../units/index.js';

/** What a ring lies in, and what it is pressed against. Sizes in mm. */
export interface RingBed {
  readonly groove: Land;
  /** The face that closes the groove; undefined where it is not known. */
  readonly land?: Land;
}

/** The bed of the ring between two faces, or round a filter post; undefined where neither has a groove, or both have. */
export function ringBed(a: Connector, b: Connector): RingBed | undefined {
  const grooves = [a, b].filter(hasGroove);
  const [with_, plain] = grooves[0] === a ? [a, b] : [b, a];
  if (grooves.length !== 1 || familyById(a.family).land !== familyById(b.family).land) return undefined;
  const land = landOf(plain);
  return { groove: landOf(with_)!, ...(land ? { land } : {}) };
}

function hasGroove(c: Connector): boolean {
  const land = landOf(c);
  if (!land) return false;
  // a face says by its gender whether it is the groove; round a post the depth says it
  return familyById(c.family).land === 'size' ? c.gender === 'male' : land.depthMm !== undefined;
}

/** How a ring lies in its bed: in the groove as {@link ringInGroove} says, and on the land all round. */
export function ringInBed(ring: Pick<ORing, 'insideMm' | 'sectionMm'>, { groove, land }: RingBed): RingInGroove {
  const inGroove = ringInGroove(ring, groove);
  const off = land && offLand(ringAsItLies(ring, groove), land);
  const problem = inGroove.problem ?? off;
  return { ...inGroove, ...(problem ? { problem } : {}) };
}

/** The strip of the land that a ring presses on: it lies on the inner wall where it is stretched, else as it is made, within the outer wall. */
function ringAsItLies({ insideMm, sectionMm }: Pick<ORing, 'insideMm' | 'sectionMm'>, groove: Land): Land {
  const inside = Math.max(groove.insideMm, Math.min(insideMm, groove.outsideMm - 2 * sectionMm));
  return { insideMm: inside, outsideMm: inside + 2 * sectionMm };
}

function offLand(ring: Land, land: Land): string | undefined {
  if (ring.outsideMm > land.outsideMm + 0.05)
    return `it reaches out to ${quantity(ring.outsideMm.toFixed(1), 'mm')}, and the face against it ends at ${quantity(land.outsideMm, 'mm')}`;
  return ring.insideMm < land.insideMm - 0.05
    ? `it lies from ${quantity(ring.insideMm.toFixed(1), 'mm')}, and the face against it begins at ${quantity(land.insideMm, 'mm')}`
    : undefined;
}

/** `groove 62x71x2.7 against land 56x84`. */
export function bedWords({ groove, land }: RingBed): string {
  return `groove ${formatLand(groove)}${land ? ` against land ${formatLand(land)}` : ''}`;
}

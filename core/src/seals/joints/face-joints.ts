import { boltsOf, formatLand, landOf, type Connector, type Land } from '../../connectors/index.js';
import { faceMakeUp, faceOrCapMakeUp, gasketMakeUp, type MakeUp } from '../make-up.js';
import type { Consumable, Mating } from '../mating.js';
import type { SealingPair } from './sealing-pair.js';
import { quantity } from '../../units/index.js';

/** Least face on which a flat gasket holds between two plain lands, mm. Common practice. */
const LEAST_FACE_MM = 3;
const RING_IN_FACE =
  'Oil the ring and seat it in its groove; both faces clean and without a scratch across the land. New ring whenever opened.';

/** Two faces laid on one another and bolted together: a ring in the one, plain land on the other; or a flat gasket between two lands. */
export function facesMeet(a: Connector, b: Connector): Mating {
  const bolts = boltsApart(a, b);
  if (bolts) return { outcome: 'does-not-join', kind: 'none', reason: bolts };
  if (a.gender === 'male' && b.gender === 'male')
    return leaks('Two grooves lie on one another: neither ring has a land to be squeezed against.');
  if (a.gender === b.gender) return flatGasket(landOf(a)!, landOf(b)!, boltsOf(a) || boltsOf(b) ? faceMakeUp : faceOrCapMakeUp);
  const [groove, plain] = a.gender === 'male' ? [landOf(a)!, landOf(b)!] : [landOf(b)!, landOf(a)!];
  const off = offLand(groove, plain);
  if (off) return leaks(off);
  return {
    outcome: 'seals',
    kind: 'o-ring',
    seal: { method: `ring in its groove ${words(groove)}`, consumables: [ringFor(groove)] },
    reason: `The ring in its groove (${words(groove)}) lies on plain land all round (${words(plain)}).`,
    makeUp: boltsOf(a) || boltsOf(b) ? faceMakeUp : faceOrCapMakeUp,
    dressing: RING_IN_FACE,
    source: 'common practice',
  };
}

function boltsApart(a: Connector, b: Connector): string | undefined {
  const [one, other] = [boltsOf(a), boltsOf(b)];
  if (!one || !other || (one.count === other.count && one.circleMm === other.circleMm)) return undefined;
  // the same words whichever comes first
  const [few, many] = [one, other].sort((x, y) => x.count - y.count || x.circleMm - y.circleMm) as [typeof one, typeof one];
  return `${few.count} bolts on ${quantity(few.circleMm, 'mm')} against ${many.count} on ${quantity(many.circleMm, 'mm')}: they do not go through.`;
}

function flatGasket(a: Land, b: Land, makeUp: MakeUp): Mating {
  const inside = Math.max(a.insideMm, b.insideMm);
  const outside = Math.min(a.outsideMm, b.outsideMm);
  const face = (outside - inside) / 2;
  if (face < LEAST_FACE_MM)
    return leaks(
      face <= 0
        ? 'The two lands do not lie on one another anywhere.'
        : `The two lands share a face ${quantity(face.toFixed(1), 'mm')} wide: too little for a gasket, and neither has a groove for a ring.`,
    );
  const size = `${inside}x${outside}`;
  return {
    outcome: 'seals',
    kind: 'gasket',
    seal: { method: 'flat gasket between the faces', consumables: [{ item: 'face gasket', size, quantity: 1 }] },
    reason: `Two plain lands: a flat gasket of ${quantity(inside, 'mm', outside)} lies on both.`,
    makeUp,
    dressing: 'Gasket alone, clean and dry. Some shops add a thin bead; what squeezes out blocks oil ways.',
    source: 'common practice',
  };
}

/** Round a filter post: the part that is screwed on brings the gasket, and it must lie on the land. */
export const postJoint: SealingPair = {
  male: 'post',
  female: 'post',
  // the end of a bolt has no face for a gasket
  when: (male, female) => male.seat !== 'bolt' && female.seat !== 'bolt' && landMissed(male, female) === undefined,
  joint: (male, female) => {
    const gasket = landOf(female);
    const land = landOf(male);
    const ring = gasket?.depthMm !== undefined;
    const lies = gasket && land ? ` The gasket (${words(gasket)}) lies on land all round (${words(land)}).` : '';
    const open = gasket && land ? '' : ' Lay it on the face first: it must lie on metal all round.';
    return {
      kind: ring ? 'o-ring' : 'gasket',
      seal: {
        method: ring ? `ring in its groove ${words(gasket)}` : 'its gasket on the machined face',
        consumables: [
          ring ? ringFor(gasket) : { item: 'filter or plate gasket', ...(gasket ? { size: formatLand(gasket) } : {}), quantity: 1 },
        ],
      },
      reason: `The gasket lies on the machined face round the post; the thread only holds.${lies}${open}`,
      // a plate is drawn down by its post bolt, and only its maker knows how tight
      ...(ring ? {} : { makeUp: gasketMakeUp }),
      dressing: ring
        ? "Oil the ring and seat it in its groove. The post bolt by the plate maker's torque, and again after every filter change."
        : 'Oil the gasket; see that the old one did not stay on the face.',
      source: 'common practice',
    };
  },
};

/** Why the gasket of what is screwed on a post misses the face round it; undefined where it lies on it, or either is not said. */
export function landMissed(male: Connector, female: Connector): string | undefined {
  const [land, gasket] = [landOf(male), landOf(female)];
  return land && gasket && offLand(gasket, land);
}

function offLand(ring: Land, plain: Land): string | undefined {
  if (ring.outsideMm > plain.outsideMm)
    return `The ring reaches out to ${quantity(ring.outsideMm, 'mm')} and the plain land ends at ${quantity(plain.outsideMm, 'mm')}: it hangs over the edge and blows out.`;
  return ring.insideMm < plain.insideMm
    ? `The ring lies from ${quantity(ring.insideMm, 'mm')} and the plain land begins at ${quantity(plain.insideMm, 'mm')}: it hangs into the hole.`
    : undefined;
}

function ringFor(groove: Land): Consumable {
  return { item: 'face ring', size: formatLand(groove), quantity: 1 };
}

function words({ insideMm, outsideMm, depthMm }: Land): string {
  return `${quantity(insideMm, 'mm', outsideMm)}${depthMm === undefined ? '' : `, ${quantity(depthMm, 'mm')} deep`}`;
}

function leaks(reason: string): Mating {
  return { outcome: 'leaks', kind: 'none', reason, source: 'common practice' };
}

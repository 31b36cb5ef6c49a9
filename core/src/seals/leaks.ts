import { familyById, type Connector } from '../connectors/index.js';
import { landMissed } from './joints/face-joints.js';
import { captiveRings, captiveSize, studRings } from './o-rings.js';
import type { Thread, ThreadFit } from '../threads/index.js';

/** Why the same thread does not seal, by the families of male and female. */
const reasons: Readonly<Record<string, string>> = {
  'flare37>orb': 'The flare nose never reaches a seat in the boss, and no O-ring sits under the hex: oil comes up the thread.',
  'orb>flare37': 'A flare nut has no spot face for the O-ring, and the boss end has no nose for its seat.',
  'flare37>flare45': 'A 37° nose touches a 45° seat on one thin line: it weeps, and the seat is marked for good.',
  'flare45>flare37': 'A 45° nose touches a 37° seat on one thin line: it weeps, and the seat is marked for good.',
  'banjo>orb': 'The boss is chamfered for an O-ring: the lower washer falls into the chamfer instead of sealing on a face.',
  'banjo>flare37': 'A flare nut has no face for a washer.',
  'banjo>metric': 'The port is chamfered for an O-ring or its face is not stated: the lower washer has no flat face to seal on.',
  'cone24>cone24': 'Light and heavy series share this thread: the tubes differ, and so do the cones.',
  'g>rp': 'A parallel male in a parallel hole made for a taper: nothing wedges, and there is no face for a washer.',
  'npsm>npsm': 'Parallel threads seal on nothing; without the swivel there is no 30° nose.',
  'washer>orb': 'The boss is chamfered for an O-ring: a washer loses most of its face there and weeps.',
  'cone30>flare37': 'A 30° cone touches a 37° seat on one thin line: it weeps, and the seat is marked for good.',
  'flare37>orfs': 'A flare nose does not reach the flat sleeve of a face seal.',
  'orfs>flare37': 'A face seal is flat: the seat of a flare nut never touches it.',
  'keg>metric':
    'The port is chamfered for an O-ring, and the chamfer takes the few threads that a metric taper wedges on: it does not hold.',
};

/** A stud is said to carry a ring that no standard has for its size. */
function ringMissing({ family, seat, size }: Connector): boolean {
  if (seat === 'captive') return captiveRings[captiveSize({ family, size, gender: 'male' })] === undefined;
  return family === 'g' && seat === 'oring' && studRings[size] === undefined;
}

/** Words for two connectors whose threads are the same and whose seal faces are not. */
export function leakReason(male: Connector, female: Connector, designation: string): string {
  const washer = male.seat === 'washer' ? reasons[`washer>${female.family}`] : undefined;
  const known = seatToSay(male, female) ?? reasons[`${male.family}>${female.family}`] ?? washer;
  return `Same ${designation} thread, another seal. ${known ?? seatReason(male, female)}`;
}

function seatReason(male: Connector, female: Connector): string {
  const missed = landMissed(male, female);
  if (missed) return missed;
  const asked = seatToSay(male, female);
  if (asked) return asked;
  const alone = [male, female].map((c) => familyById(c.family).threadAlone).find((why) => why !== undefined);
  if (alone) return alone;
  if (male.family !== female.family) return 'Their seal faces are not made for one another: the thread holds, and oil comes past it.';
  if (male.family === 'g' && male.seat) return 'Cone, washer and O-ring seat at different places: nothing touches where it should.';
  if (male.family === 'g') return 'Parallel threads seal on nothing: say what the male seals with, a washer, an O-ring or a cone.';
  if (!male.seat || !female.seat) return 'Parallel threads seal on nothing: say what the seat is, a washer on a flat face or an O-ring.';
  if (ringMissing(male)) return 'No ring of this size is made for it by the standard: measure the groove and ask the maker of the stud.';
  if (male.seat === 'captive') return 'The port is chamfered for an O-ring: the captive ring needs a flat face and is cut by the edge.';
  if (male.seat === 'washer') return 'The port is chamfered for an O-ring: a washer loses most of its face there and weeps.';
  if (female.seat === 'washer') return 'The port has a flat face without a chamfer: the O-ring is crushed and cut instead of seated.';
  return 'This thread has no standard O-ring for such a port.';
}

/** An inch or metric thread whose seat is not said may be two things: which they are is asked. */
function seatToSay(male: Connector, female: Connector): string | undefined {
  const open = [male, female].find((c) => c.family === 'un' && !c.seat);
  if (!open) return undefined;
  const dash = familyById('orb').sizes.find((size) => familyById('orb').thread(size, 'male')?.designation.startsWith(`${open.size} `));
  const { gender } = open;
  if (gender === 'female')
    return dash
      ? `Say what the seat of the ${open.size} port is: chamfered for an O-ring (orb${dash} f), or a flat face for a washer (${open.size} f washer).`
      : `Say what the seat of the ${open.size} port is: a flat face for a washer is ${open.size} f washer.`;
  return dash
    ? `Say what the ${open.size} male seals with: an O-ring under its hex (orb${dash} m), a washer (${open.size} m washer) or its nose (an${dash} m).`
    : `Say what the ${open.size} male seals with: with a washer it is ${open.size} m washer.`;
}

/** Pipe threads of either world: where one starts in the other it is screwed in with sealant, and leaks later. */
const PIPE = ['NPT', 'NPTF', 'NPSM', 'R', 'Rc', 'Rp', 'G'];
/** Fewer turns than this hold nothing; kindred threads (one pitch, one flank angle) hold with less. */
const HOLDS_TURNS = 2;
const KINDRED_TURNS = 1;

/** Whether a pipe thread goes so far into another pipe thread that somebody will call it tight. */
export function wedges(outside: Thread, inside: Thread, fit: ThreadFit): boolean {
  if (pickedUpByWrench(outside, inside, fit)) return true;
  if (!PIPE.includes(outside.system) || !PIPE.includes(inside.system)) return false;
  if (fit.verdict === 'loose') return fit.engagement > 0.5;
  const kindred = outside.flankAngleDeg === inside.flankAngleDeg && Math.abs(outside.pitchMm - inside.pitchMm) < 0.01;
  return fit.verdict === 'binds' && fit.turnsToBind! >= (kindred ? KINDRED_TURNS : HOLDS_TURNS) && fit.engagement > 0.5;
}

/** Play that a wrench overcomes at the first thread of two tapers, or of a taper at the countersunk mouth of a parallel hole, mm. Common practice. */
const FORCED_MM = { taper: 0.2, parallel: 0.35 };

/**
 * A taper pipe thread in one of its size from the other world that does not start by hand: the wrench picks it up for a turn or two. An American
 * sender in a British port is the commonest of them, whether the port is taper or parallel.
 */
function pickedUpByWrench(outside: Thread, inside: Thread, { verdict, playMm }: ThreadFit): boolean {
  const pair = `${outside.system}>${inside.system}`;
  const worlds = /^NPTF?>(Rc|Rp|G)$|^R>NPTF?$/.test(pair);
  const forced = inside.taperPerMm > 0 ? FORCED_MM.taper : FORCED_MM.parallel;
  return worlds && verdict === 'no-entry' && playMm > -forced && Math.abs(outside.majorMm - inside.majorMm) < 1;
}

/** What will happen with two pipe threads that engage without belonging together. */
export function wedgeReason(male: Connector, female: Connector, outside: Thread, inside: Thread, fit: ThreadFit): string {
  if (pickedUpByWrench(outside, inside, fit))
    return `${outside.designation} hardly starts in ${inside.designation} by hand; by wrench it picks up a turn or two on another pitch and other flanks, and feels tight. That is what makes it dangerous: it leaks when it gets hot, or the housing cracks.`;
  const turns = fit.turnsToBind === undefined ? 'all the way' : `about ${turnsInWords(fit.turnsToBind)}`;
  const start = `${outside.designation} goes ${turns} into ${inside.designation}`;
  const pitches = Math.abs(outside.pitchMm - inside.pitchMm) > 0.01;
  const flanks = outside.flankAngleDeg !== inside.flankAngleDeg;
  if (pitches || flanks)
    return `${start} and jams on ${[pitches ? 'another pitch' : '', flanks ? 'other flanks (55° against 60°)' : ''].filter(Boolean).join(' and ')}: a spiral gap stays open under the sealant. It leaks when it gets hot, or the housing cracks.`;
  if (inside.system === 'NPSM' && !female.swivel)
    return `${start}: the hole is parallel and has no seat, so that the taper wedges on its first thread only. It weeps.`;
  if (inside.system === 'NPSM')
    return `${start}, but a swivel seals on its 30° nose and this bore has no seat. With the seat machined it is npt ${male.size} m cone.`;
  if (male.family === 'r' && inside.system === 'G' && female.swivel && male.seat === undefined)
    return `${start} and wedges at its mouth only. If the mouth of the male has a 60° cone, a swivel seals on that, dry: then it is r ${male.size} m cone.`;
  if (outside.taperPerMm > 0)
    return `${start} and wedges at its mouth only. The trade gets away with it cold, with sealant; the parallel hole is not made for it and splits.`;
  if (inside.taperPerMm > 0) return `${start}: a parallel male bottoms on a taper, two threads carry and nothing fills the rest. It weeps.`;
  return `${start}. Parallel threads seal on nothing, and there is no face for a washer.`;
}

/** `half a turn`, `one turn`, `3 turns`. */
export function turnsInWords(count: number): string {
  if (count < 0.75) return 'half a turn';
  return count < 1.5 ? 'one turn' : `${Math.round(count)} turns`;
}

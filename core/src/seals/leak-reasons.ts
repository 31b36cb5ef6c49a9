import type { Connector } from '../connectors/index.js';

/** Why the same thread does not seal, by the families of male and female. */
const reasons: Readonly<Record<string, string>> = {
  'flare37>orb': 'The flare nose never reaches a seat in the boss, and no O-ring sits under the hex: oil comes up the thread.',
  'orb>flare37': 'A flare nut has no spot face for the O-ring, and the boss end has no nose for its seat.',
  'banjo>orb': 'The boss is chamfered for an O-ring: the lower washer falls into the chamfer instead of sealing on a face.',
  'banjo>flare37': 'A flare nut has no face for a washer.',
  'banjo>metric': 'The port is chamfered for an O-ring or its face is not stated: the lower washer has no flat face to seal on.',
};

/** Words for two connectors whose threads are the same and whose seal faces are not. */
export function leakReason(male: Connector, female: Connector, designation: string): string {
  const known = reasons[`${male.family}>${female.family}`];
  return `Same ${designation} thread, another seal. ${known ?? metricReason(male, female)}`;
}

function metricReason(male: Connector, female: Connector): string {
  if (!male.seat || !female.seat) return 'Parallel threads seal on nothing: say what the seat is, a washer on a flat face or an O-ring.';
  if (male.seat === 'washer') return 'The port is chamfered for an O-ring: a washer loses most of its face there and weeps.';
  if (female.seat === 'washer') return 'The port has a flat face without a chamfer: the O-ring is crushed and cut instead of seated.';
  return 'This thread has no standard O-ring for such a port.';
}

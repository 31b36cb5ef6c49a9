import { connectorThread, type Connector } from '../connectors/index.js';
import { banjoMakeUp, bossMakeUp, clampMakeUp, flareMakeUp, taperMakeUp, washerMakeUp } from './make-up.js';
import type { Mating } from './mating.js';
import { bossRings, metricPortRings, washerFor } from './seal-data.js';

/** One kind of joint that seals: when two connectors make it, and all that goes with it. */
interface SealingPair {
  readonly male: string;
  readonly female: string;
  readonly when?: (male: Connector, female: Connector) => boolean;
  readonly joint: (male: Connector, female: Connector) => Mating;
}

const DRY = 'Dry, or a drop of assembly oil. No tape, no sealant.';

/** Every pair of this library that seals. The sizes must be equal besides. */
const pairs: readonly SealingPair[] = [
  {
    male: 'flare37',
    female: 'flare37',
    joint: (m) => ({
      outcome: 'seals',
      kind: 'cone',
      seal: { method: 'metal to metal, dry', consumables: [] },
      reason: '37° nose on 37° seat, metal to metal. Nothing is added, ever.',
      makeUp: flareMakeUp(m.size),
      dressing: DRY,
      source: 'SAE J514; flats from memory',
    }),
  },
  {
    male: 'orb',
    female: 'orb',
    joint: (m) => {
      const ring = bossRings[m.size]!;
      return {
        outcome: 'seals',
        kind: 'o-ring',
        seal: { method: `ring ${ring.id}, FKM`, consumables: [{ item: 'O-ring FKM', size: ring.id, quantity: 1 }] },
        reason: `O-ring ${ring.id} squeezed into the chamfer of the spot face.`,
        makeUp: bossMakeUp(m.size, m.seat === 'adjustable'),
        dressing: 'Oil the ring, dry threads. No tape, no sealant. New ring whenever opened.',
        source: 'SAE J1926; AS568 and torque from memory',
      };
    },
  },
  {
    male: 'npt',
    female: 'npt',
    joint: (m) => ({
      outcome: 'seals',
      kind: 'taper',
      seal: { method: 'sealant on the taper', consumables: [{ item: 'thread sealant', size: `NPT ${m.size}`, quantity: 1 }] },
      reason: 'Taper threads wedge together; the sealant fills what is left along the crests.',
      makeUp: taperMakeUp(m.size),
      dressing: 'Sealant on the male only, first two threads bare. Liquid keeps shreds out of the oil; tape is the other school.',
      source: 'ASME B1.20.1; turns from memory',
    }),
  },
  {
    male: 'metric',
    female: 'metric',
    when: (m, f) => m.seat === 'washer' && f.seat === 'washer',
    joint: (m) => {
      const washer = washerFor(connectorThread(m)!.majorMm);
      return {
        outcome: 'seals',
        kind: 'washer',
        seal: { method: `copper ${washer.size}`, consumables: [{ item: 'copper washer', size: washer.size, quantity: 1 }] },
        reason: 'One washer between the spot face and the shoulder.',
        makeUp: washerMakeUp(connectorThread(m)!.majorMm),
        dressing: 'Dry threads. New washer each time.',
        source: 'ISO 9974, DIN 7603; figures from memory',
      };
    },
  },
  {
    male: 'metric',
    female: 'metric',
    when: (m, f) => m.seat === 'oring' && f.seat === 'oring' && metricPortRings[String(connectorThread(m)!.majorMm)] !== undefined,
    joint: (m) => {
      const ring = metricPortRings[String(connectorThread(m)!.majorMm)]!;
      const size = `${ring.insideMm} × ${ring.sectionMm}`;
      return {
        outcome: 'seals',
        kind: 'o-ring',
        seal: { method: `ring ${size}, FKM`, consumables: [{ item: 'O-ring FKM', size, quantity: 1 }] },
        reason: `O-ring ${size} mm squeezed into the chamfer of the spot face.`,
        makeUp: washerMakeUp(connectorThread(m)!.majorMm),
        dressing: 'Oil the ring, dry threads. No tape, no sealant. New ring whenever opened.',
        source: 'ISO 6149; figures from memory',
      };
    },
  },
  {
    male: 'banjo',
    female: 'metric',
    when: (_, f) => f.seat === 'washer',
    joint: (m) => {
      const washer = washerFor(connectorThread(m)!.majorMm);
      return {
        outcome: 'seals',
        kind: 'two-washers',
        seal: { method: `2 copper ${washer.size}`, consumables: [{ item: 'copper washer', size: washer.size, quantity: 2 }] },
        reason: 'Two washers: one between port and eye, one between eye and bolt head.',
        makeUp: banjoMakeUp(connectorThread(m)!.majorMm),
        dressing: 'Dry threads. Two new washers each time; aim the eye before the bolt is tight.',
        source: 'ISO 7642, DIN 7603; figures from memory',
      };
    },
  },
  {
    male: 'barb',
    female: 'barb',
    joint: (m) => ({
      outcome: 'seals',
      kind: 'clamp',
      seal: {
        method: 'hose on barb, clamped',
        consumables: [
          { item: 'hose clamp', size: `for ${/mm$/.test(m.size) ? m.size.replace('mm', ' mm') : `${m.size} in`} hose`, quantity: 1 },
        ],
      },
      reason: 'The hose grips the ridges and the clamp holds it there.',
      makeUp: clampMakeUp,
      dressing: 'Clean and dry; a wet hose end slides off.',
      source: 'SAE J1231; common practice',
    }),
  },
];

/** The joint two connectors make if they seal; undefined otherwise. */
export function sealingPair(male: Connector, female: Connector): Mating | undefined {
  if (male.size !== female.size) return undefined;
  return pairs.find((p) => p.male === male.family && p.female === female.family && (p.when?.(male, female) ?? true))?.joint(male, female);
}

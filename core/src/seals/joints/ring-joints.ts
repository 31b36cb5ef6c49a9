import { connectorThread, type Connector } from '../../connectors/index.js';
import { bossMakeUp, portRingMakeUp, washerMakeUp } from '../make-up.js';
import { bossRings, captiveRings, captiveSize, metricPortRings, studRings } from '../o-rings.js';
import { RING_DRESSING, type SealingPair } from './sealing-pair.js';
import { quantity } from '../../units/index.js';

const majorOf = (c: Connector): number => connectorThread(c)!.majorMm;

/** Joints of an O-ring under a shoulder. */
export const ringJoints: readonly SealingPair[] = [
  {
    male: 'orb',
    female: 'orb',
    joint: (m) => {
      const ring = bossRings[m.size]!;
      return {
        kind: 'o-ring',
        seal: { method: `ring ${ring.id}`, consumables: [{ item: 'O-ring', size: ring.id, quantity: 1 }] },
        reason: `O-ring ${ring.id} squeezed into the chamfer of the spot face.`,
        makeUp: bossMakeUp(m.size, m.seat === 'adjustable'),
        dressing: RING_DRESSING,
        source: 'SAE J1926; AS568 and torque from memory',
      };
    },
  },
  {
    male: 'metric',
    female: 'metric',
    when: (m, f) => m.seat === 'oring' && f.seat === 'oring' && metricPortRings[m.size] !== undefined,
    joint: (m) => {
      const ring = metricPortRings[m.size]!;
      const size = `${ring.insideMm} × ${ring.sectionMm}`;
      return {
        kind: 'o-ring',
        seal: { method: `ring ${size}`, consumables: [{ item: 'O-ring', size, quantity: 1 }] },
        reason: `O-ring ${quantity(size, 'mm')} squeezed into the chamfer of the spot face.`,
        makeUp: portRingMakeUp(majorOf(m)),
        dressing: RING_DRESSING,
        source: 'ISO 6149; figures from memory',
      };
    },
  },
  {
    male: 'g',
    female: 'g',
    when: (m, f) => m.seat === 'oring' && studRings[m.size] !== undefined && onPortFace(f),
    joint: (m) => ({
      kind: 'o-ring',
      seal: { method: `stud ring G ${m.size}`, consumables: [{ item: 'O-ring', size: `stud G ${m.size}`, quantity: 1 }] },
      reason: "The stud's own O-ring is squeezed onto the flat spot face, held by its retaining ring.",
      makeUp: washerMakeUp(majorOf(m)),
      dressing: RING_DRESSING,
      source: 'ISO 1179-3; torque from memory',
    }),
  },
  {
    male: 'metric',
    female: 'metric',
    when: (m, f) => m.seat === 'adjustable' && (f.seat === 'oring' || f.seat === 'washer') && metricPortRings[m.size] !== undefined,
    joint: (m) => {
      const ring = metricPortRings[m.size]!;
      const size = `${ring.insideMm} × ${ring.sectionMm}`;
      return {
        kind: 'o-ring',
        seal: { method: `ring ${size} under a locknut`, consumables: [{ item: 'O-ring', size, quantity: 1 }] },
        reason: LOCKED,
        makeUp: portRingMakeUp(majorOf(m), true),
        dressing: RING_DRESSING,
        source: 'ISO 6149-2; figures from memory',
      };
    },
  },
  {
    male: 'g',
    female: 'g',
    when: (m, f) => m.seat === 'adjustable' && studRings[m.size] !== undefined && onPortFace(f),
    joint: (m) => ({
      kind: 'o-ring',
      seal: { method: `stud ring G ${m.size} under a locknut`, consumables: [{ item: 'O-ring', size: `stud G ${m.size}`, quantity: 1 }] },
      reason: LOCKED,
      makeUp: portRingMakeUp(majorOf(m), true),
      dressing: RING_DRESSING,
      source: 'ISO 1179-2; torque from memory',
    }),
  },
  ...(['metric', 'g'] as const).map((family): SealingPair => ({
    male: family,
    female: family,
    when: (m, f) =>
      m.seat === 'captive' && captiveRings[captiveSize(m)] !== undefined && (family === 'g' ? onPortFace(f) : f.seat === 'washer'),
    joint: (m) => {
      const size = `captive ${captiveSize(m)}`;
      return {
        kind: 'o-ring',
        seal: { method: 'captive ring of the stud', consumables: [{ item: 'O-ring', size, quantity: 1 }] },
        reason: 'The elastomer ring captive in the shoulder is squeezed onto the flat spot face.',
        makeUp: washerMakeUp(majorOf(m)),
        dressing: RING_DRESSING,
        source: 'ISO 9974-2 and ISO 1179-2, type E; torque as on a washer, on the safe side',
      };
    },
  })),
];

/**
 * An adjustable end is screwed in, aimed, and held by its locknut over the ring and its retaining washer: on a chamfer and on a flat face alike.
 * Source: ISO 6149-2 and ISO 1179-2; on flat metric faces common practice.
 */
const LOCKED = 'The ring lies under its retaining washer; the locknut presses both onto the face once it is aimed.';

/** British parallel ports have one face, on which bonded washer, ring with retainer and captive ring all lie. Source: ISO 1179-1. */
export function onPortFace(female: Connector): boolean {
  return !female.swivel && female.seat !== 'cone';
}

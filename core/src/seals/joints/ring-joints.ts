import { connectorThread, type Connector } from '../../connectors/index.js';
import { bossMakeUp, washerMakeUp } from '../make-up.js';
import { bossRings, metricPortRings } from '../o-rings.js';
import { RING_DRESSING, type SealingPair } from './sealing-pair.js';

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
    when: (m, f) => m.seat === 'oring' && f.seat === 'oring' && metricPortRings[String(majorOf(m))] !== undefined,
    joint: (m) => {
      const ring = metricPortRings[String(majorOf(m))]!;
      const size = `${ring.insideMm} × ${ring.sectionMm}`;
      return {
        kind: 'o-ring',
        seal: { method: `ring ${size}`, consumables: [{ item: 'O-ring', size, quantity: 1 }] },
        reason: `O-ring ${size} mm squeezed into the chamfer of the spot face.`,
        makeUp: washerMakeUp(majorOf(m)),
        dressing: RING_DRESSING,
        source: 'ISO 6149; figures from memory',
      };
    },
  },
  {
    male: 'g',
    female: 'g',
    when: (m, f) => m.seat === 'oring' && !f.swivel && f.seat !== 'cone',
    joint: (m) => ({
      kind: 'o-ring',
      seal: { method: `stud ring G ${m.size}`, consumables: [{ item: 'O-ring', size: `stud G ${m.size}`, quantity: 1 }] },
      reason: "The stud's own O-ring is squeezed onto the flat spot face, held by its retaining ring.",
      makeUp: washerMakeUp(majorOf(m)),
      dressing: RING_DRESSING,
      source: 'ISO 1179-3; torque from memory',
    }),
  },
];

import { connectorThread, type Connector } from '../../connectors/index.js';
import { formatDash, quantity } from '../../units/index.js';
import { banjoMakeUp, locknutMakeUp, washerMakeUp } from '../make-up.js';
import type { Mating } from '../mating.js';
import { onPortFace } from './ring-joints.js';
import type { SealingPair } from './sealing-pair.js';
import { bondedWasherFor, washerFor } from '../washers.js';

const flat = (m: Connector, f: Connector): boolean => m.seat === 'washer' && f.seat === 'washer';

/** The hole a bulkhead fitting goes through: its thread and a little, to the next half millimetre. Common practice. */
function bulkheadHoleMm(m: Connector): number {
  return Math.ceil((connectorThread(m)!.majorMm + 0.2) * 2) / 2;
}

function copper(m: Connector): Omit<Mating, 'outcome'> {
  const major = connectorThread(m)!.majorMm;
  const { size } = washerFor(major);
  return {
    kind: 'washer',
    seal: { method: `copper ${size}`, consumables: [{ item: 'copper washer', size, quantity: 1 }] },
    reason: 'One washer between the spot face and the shoulder.',
    makeUp: washerMakeUp(major),
    dressing: 'Dry threads. New washer each time. A bonded washer does as well and forgives a marked face.',
    source: 'ISO 9974, DIN 7603; figures from memory',
  };
}

function banjo(m: Connector): Omit<Mating, 'outcome'> {
  const major = connectorThread(m)!.majorMm;
  const { size } = washerFor(major);
  return {
    kind: 'two-washers',
    seal: { method: `2 copper ${size}`, consumables: [{ item: 'copper washer', size, quantity: 2 }] },
    reason: 'Two washers: one between port and eye, one between eye and bolt head.',
    makeUp: banjoMakeUp(major),
    dressing: 'Dry threads. Two new washers each time; aim the eye before the bolt is tight.',
    source: 'ISO 7642, DIN 7603; figures from memory',
  };
}

/** Joints of a washer on a flat face. */
export const washerJoints: readonly SealingPair[] = [
  { male: 'metric', female: 'metric', when: flat, joint: copper },
  { male: 'un', female: 'un', when: flat, joint: copper },
  {
    male: 'g',
    female: 'g',
    when: (m, f) => m.seat === 'washer' && onPortFace(f),
    joint: (m) => {
      const thread = connectorThread(m)!;
      const bonded = bondedWasherFor(thread.designation);
      // no bonded washer is made for the odd sizes
      if (!bonded) return copper(m);
      const { size } = bonded;
      return {
        kind: 'washer',
        seal: { method: `bonded ${size}`, consumables: [{ item: 'bonded washer', size, quantity: 1 }] },
        reason: 'A bonded washer between the spot face and the shoulder; the thread itself does not seal.',
        makeUp: washerMakeUp(thread.majorMm),
        dressing: 'Dry threads. New washer each time. Some shops take copper.',
        source: 'ISO 1179; figures from memory',
      };
    },
  },
  { male: 'banjo', female: 'metric', when: (_, f) => f.seat === 'washer', joint: banjo },
  { male: 'banjo', female: 'un', when: (_, f) => f.seat === 'washer', joint: banjo },
  {
    male: 'bulkhead',
    female: 'bulkhead',
    joint: (m) => ({
      kind: 'two-washers',
      seal: {
        method: `2 bulkhead washers ${formatDash(Number(m.size))}`,
        consumables: [{ item: 'bulkhead sealing washer', size: formatDash(Number(m.size)), quantity: 2 }],
      },
      reason: 'A sealing washer on each side of the flat sheet, drawn together by the locknut.',
      makeUp: locknutMakeUp(m.size),
      dressing: `Through a hole of ${quantity(bulkheadHoleMm(m), 'mm')}, deburred; dry. The sheet must be flat where the washers lie.`,
      source: 'common practice; torque from memory, on the safe side',
    }),
  },
];

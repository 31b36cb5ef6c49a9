import { connectorThread } from '../../connectors/index.js';
import { taperMakeUp } from '../make-up.js';
import type { SealingPair } from './sealing-pair.js';

const DRESSING = 'Sealant on the male only, first two threads bare. Liquid keeps shreds out of the oil; tape is the other school.';

const taper = (male: string, female: string, source: string, reason: string, more: Partial<SealingPair & Risky> = {}): SealingPair => ({
  male,
  female,
  ...(more.when ? { when: more.when } : {}),
  joint: (m) => {
    const { designation, system } = connectorThread(m)!;
    const size = system === 'NPT' || system === 'NPTF' ? `${system} ${m.size}` : designation;
    return {
      kind: 'taper',
      seal: { method: 'sealant on the taper', consumables: [{ item: 'thread sealant', size, quantity: 1 }] },
      reason,
      makeUp: taperMakeUp(designation),
      dressing: DRESSING,
      source: `${source}; turns from memory`,
      ...(more.risk ? { risk: more.risk } : {}),
    };
  },
});

const WEDGE = 'Taper threads wedge together; the sealant fills what is left along the crests.';
const DRYSEAL = 'Crests and roots are crushed together; made to seal dry, though a trace of sealant keeps them from galling.';
const INTO_PARALLEL = 'The taper wedges into the mouth of the parallel hole; the sealant fills the rest.';

const KEG_IN_FACE =
  'The port was made for a washer on its face: its chamfer takes some of the few threads that a metric taper wedges on. A stud with its washer is the proper part.';

interface Risky {
  readonly risk: string;
}

/** Joints of a taper thread. */
export const taperJoints: readonly SealingPair[] = [
  taper('npt', 'npt', 'ASME B1.20.1', WEDGE),
  taper('npt', 'nptf', 'ASME B1.20.1', WEDGE),
  taper('nptf', 'npt', 'ASME B1.20.3', WEDGE),
  taper('nptf', 'nptf', 'ASME B1.20.3', DRYSEAL),
  taper('r', 'r', 'ISO 7-1', WEDGE),
  taper('r', 'rp', 'ISO 7-1', INTO_PARALLEL),
  taper('keg', 'metric', 'DIN 158, DIN 3852', INTO_PARALLEL, { when: (_, f) => f.seat === undefined }),
  taper('keg', 'metric', 'common practice', INTO_PARALLEL, { when: (_, f) => f.seat === 'washer', risk: KEG_IN_FACE }),
];

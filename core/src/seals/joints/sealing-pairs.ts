import { meetInSize, type Connector } from '../../connectors/index.js';
import { coneJoints } from './cone-joints.js';
import { postJoint } from './face-joints.js';
import { hoseJoints } from './hose-joints.js';
import type { Mating } from '../mating.js';
import { ringJoints } from './ring-joints.js';
import type { SealingPair } from './sealing-pair.js';
import { taperJoints } from './taper-joints.js';
import { washerJoints } from './washer-joints.js';

const byPair = new Map<string, SealingPair[]>();
for (const pair of [...coneJoints, ...ringJoints, ...washerJoints, ...taperJoints, ...hoseJoints, postJoint]) {
  const key = `${pair.male}>${pair.female}`;
  byPair.set(key, [...(byPair.get(key) ?? []), pair]);
}

/** The joint two connectors make if they seal; undefined otherwise. The sizes must meet. */
export function sealingPair(male: Connector, female: Connector): Mating | undefined {
  if (!meetInSize(male, female)) return undefined;
  const pair = byPair.get(`${male.family}>${female.family}`)?.find((p) => p.when?.(male, female) ?? true);
  return pair && { outcome: 'seals', ...pair.joint(male, female) };
}

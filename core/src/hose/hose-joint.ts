import type { Mating } from '../seals/index.js';
import { constructionById, hoseSize, sameSize, type Hose, type HoseEnd } from './hose.js';
import { quantity } from '../units/index.js';

/**
 * The joint between a hose end and the hose. It holds only where construction and dash size are the same.
 * Source of the make-up: common practice; the end maker's instructions go first.
 */
export function hoseJoint(end: HoseEnd, hose: Hose): Mating {
  const problem = hoseEndProblem(end, hose);
  if (problem) return { outcome: 'does-not-join', kind: 'none', reason: problem };
  switch (constructionById(hose.construction).endStyle) {
    case 'olive':
      return {
        outcome: 'seals',
        kind: 'olive',
        seal: { method: 'olive on PTFE', consumables: [] },
        reason:
          'The olive is squeezed between nipple and core; the socket holds the braid. A new end brings its olive; a reused end needs a new one.',
        makeUp: {
          kind: 'gap',
          low: 0.5,
          high: 1,
          unit: 'mm',
          note: `Tighten until the gap between nut and socket is about ${quantity(1, 'mm')}; mark the hose at the socket.`,
        },
        dressing: 'Core square, clean and round; oil on the nipple thread.',
        source: 'common practice',
      };
    case 'cutter':
      return {
        outcome: 'seals',
        kind: 'socket',
        seal: { method: 'nipple in the bore', consumables: [] },
        reason: 'The nipple spreads the rubber core against the socket, which holds the hose from outside.',
        makeUp: {
          kind: 'gap',
          low: 0.5,
          high: 1,
          unit: 'mm',
          note: `Screw in to a gap of about ${quantity(1, 'mm')}; mark the hose at the socket to see push-out.`,
        },
        dressing: 'Assembly oil on nipple and bore. The socket thread is often left-hand.',
        source: 'common practice',
      };
    case 'push-on':
      return {
        outcome: 'seals',
        kind: 'socket',
        seal: { method: 'hose pushed to the collar', consumables: [] },
        reason: 'The barbs hold the hose by themselves; a clamp would cut it.',
        makeUp: { kind: 'push', low: 0, high: 0, unit: '', note: 'Push until the hose end is under the collar; tug. No clamp.' },
        dressing: 'A drop of light oil; no grease.',
        source: 'common practice',
      };
    case 'crimp':
      return {
        outcome: 'seals',
        kind: 'socket',
        seal: { method: 'crimped ferrule', consumables: [] },
        reason: 'The supplier presses the ferrule on to its diameter: it holds for good, and is not to be opened.',
        dressing: 'Look for the mark of the crimp and of the hose at the ferrule; a proof test comes with it, or is made here.',
        source: 'common practice',
      };
    case 'formed':
      return {
        outcome: 'seals',
        kind: 'none',
        seal: { method: 'the tube itself', consumables: [] },
        reason: 'The end is formed from the tube: sleeve and nut go on before the flare, and the bead is rolled last.',
        source: 'common practice',
      };
    case 'clamp':
      return {
        outcome: 'seals',
        kind: 'clamp',
        seal: { method: 'the hose itself', consumables: [] },
        reason: 'The cut hose goes over the barb; the clamp belongs to the joint with the barb.',
        source: 'common practice',
      };
  }
}

/** Why an end does not fit a hose, in words; undefined where it fits. */
export function hoseEndProblem(end: HoseEnd, hose: Hose): string | undefined {
  if (end.construction !== hose.construction)
    return `This end is for ${constructionById(end.construction).name} hose, and the hose is ${constructionById(hose.construction).name}.`;
  if (!sameSize(end, hose)) return `This end is ${hoseSize(end)}, and the hose is ${hoseSize(hose)}.`;
  return undefined;
}

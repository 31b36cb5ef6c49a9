import { connectorName, connectorThread, familyById, type Connector } from '../connectors/index.js';
import { fitThreads } from '../threads/index.js';
import type { Mating } from './mating.js';
import { sealingPair } from './sealing-pairs.js';
import { leakReason } from './leak-reasons.js';

/**
 * Whether two connectors join, and whether they seal: with what, how tight, and why. The order of the two does not matter.
 *
 * @example mate(parseConnector('an6 m'), parseConnector('orb6 f')).outcome // 'leaks'
 */
export function mate(a: Connector, b: Connector): Mating {
  if (a.gender === b.gender) {
    const both = a.gender === 'male' ? 'Both are male: nothing screws over anything.' : 'Both are female: there is nothing to screw in.';
    return apart(both);
  }
  const [male, female] = a.gender === 'male' ? [a, b] : [b, a];
  const sealing = sealingPair(male, female);
  if (sealing) return sealing;
  const outside = connectorThread(male);
  const inside = connectorThread(female);
  if (!outside || !inside) {
    if (male.family === female.family) return apart(`${male.size} barb, ${female.size} hose: ${sizesApart(male.size, female.size)}`);
    return apart(`${capital(connectorName(male))} and ${connectorName(female)} have no thread in common.`);
  }
  const fit = fitThreads(outside, inside);
  const pair = `${outside.designation} into ${inside.designation}`;
  switch (fit.verdict) {
    case 'same':
      return {
        outcome: 'leaks',
        kind: 'none',
        reason: leakReason(male, female, outside.designation),
        source: familyById(female.family).standard,
      };
    case 'binds':
      return apart(
        `${pair} starts, ${fit.playMm > 0.3 ? 'rocks, ' : ''}then binds after about ${turns(fit.turnsToBind!)}: it looks right, and strips or leaks. The pitch gauge settles it.`,
      );
    case 'loose':
      return apart(
        outside.pitchMm !== inside.pitchMm || fit.playMm > outside.pitchMm
          ? `${pair} goes in and rocks: the threads hardly touch, it pulls out under load.`
          : `${pair} goes in with ${fit.playMm.toFixed(1)} mm of play and seals on nothing.`,
      );
    case 'slides-in':
      return apart(`${pair} slides in without touching a thread: it is far too small.`);
    case 'no-entry':
      return apart(`${pair} does not start.`);
  }
}

function apart(reason: string): Mating {
  return { outcome: 'does-not-join', kind: 'none', reason };
}

function turns(count: number): string {
  return count < 1.5 ? 'one turn' : `${Math.round(count)} turns`;
}

function sizesApart(barb: string, hose: string): string {
  return barb === hose ? 'they should fit.' : "the hose must be the barb's size, neither stretched nor slack.";
}

function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}

import { bareConnector, connectorName, connectorThread, familyById, landOf, shapeOf, type Connector } from '../connectors/index.js';
import { fit, type Thread, type ThreadFit } from '../threads/index.js';
import { leakReason, turnsInWords, wedgeReason, wedges } from './leaks.js';
import type { Mating } from './mating.js';
import { facesMeet } from './joints/face-joints.js';
import { flangesMeet } from './joints/hose-joints.js';
import { sealingPair } from './joints/sealing-pairs.js';
import { quantity } from '../units/index.js';

/**
 * Whether two connectors join, and whether they seal: with what, how tight, and why. The order of the two does not matter; a weld
 * bung is met as the connector it carries.
 *
 * @example mate(parseConnector('an6 m'), parseConnector('orb6 f')).outcome // 'leaks'
 */
export function mate(first: Connector, second: Connector): Mating {
  const a = bareConnector(first);
  const b = bareConnector(second);
  if (a.family === b.family && familyById(a.family).flat) return landOf(a) ? facesMeet(a, b) : flangesMeet(a, b);
  if (a.family !== b.family && (familyById(a.family).flat || familyById(b.family).flat)) return unthreaded(...inOrder(a, b));
  if (a.gender === b.gender)
    return apart(a.gender === 'male' ? 'Both are male: nothing screws over anything.' : 'Both are female: there is nothing to screw in.');
  const [male, female] = a.gender === 'male' ? [a, b] : [b, a];
  const sealing = sealingPair(male, female);
  if (sealing) return sealing;
  const outside = connectorThread(male);
  const inside = connectorThread(female);
  return outside && inside ? threaded(male, female, outside, inside) : unthreaded(male, female);
}

const wrong = new WeakMap<Thread, WeakMap<Thread, Mating | null>>();

function threaded(male: Connector, female: Connector, outside: Thread, inside: Thread): Mating {
  let row = wrong.get(outside);
  if (!row) wrong.set(outside, (row = new WeakMap()));
  let known = row.get(inside);
  if (known === undefined) row.set(inside, (known = wrongThreads(outside, inside)));
  if (known) return known;
  const found = fit(outside, inside);
  const reason =
    found.verdict === 'same' ? leakReason(male, female, outside.designation) : wedgeReason(male, female, outside, inside, found);
  return { outcome: 'leaks', kind: 'none', reason, fit: found, source: familyById(female.family).standard };
}

/** The answer for two threads that do not hold one another, whatever carries them; null where they do. */
function wrongThreads(outside: Thread, inside: Thread): Mating | null {
  const found = fit(outside, inside);
  if (found.verdict === 'same' || wedges(outside, inside, found)) return null;
  const reason = wrongThread(`${outside.designation} into ${inside.designation}`, found, outside, inside);
  return { outcome: 'does-not-join', kind: 'none', reason, fit: found };
}

/** What happens with a thread that is not the right one. */
function wrongThread(pair: string, found: ThreadFit, outside: Thread, inside: Thread): string {
  switch (found.verdict) {
    case 'binds':
      return found.bindsBy === 'taper'
        ? `${pair} starts, then wedges after about ${turnsInWords(found.turnsToBind!)} on a thread that is not its own: it feels tight and leaks.`
        : `${pair} starts, ${found.playMm > 0.3 ? 'rocks, ' : ''}then binds after about ${turnsInWords(found.turnsToBind!)}: it looks right, and strips or leaks. The pitch gauge settles it.`;
    case 'loose':
      return outside.pitchMm !== inside.pitchMm || found.playMm > outside.pitchMm || found.engagement < 0.4
        ? `${pair} goes in and rocks: the threads hardly touch, it pulls out under load.`
        : `${pair} goes in with ${quantity(found.playMm.toFixed(1), 'mm')} of play and seals on nothing.`;
    case 'slides-in':
      return `${pair} slides in without touching a thread: it is far too small.`;
    case 'same':
    case 'no-entry':
      return `${pair} does not start.`;
  }
}

function unthreaded(male: Connector, female: Connector): Mating {
  if (male.family === female.family || familyById(male.family).partners?.some((p) => p.family === female.family))
    return apart(`${capital(connectorName(male))} and ${connectorName(female)}: ${sizesApart(male)}`);
  return apart(`${capital(familyById(male.family).name)} and ${familyById(female.family).name} have nothing in common to hold by.`);
}

/** The same two in the same order, whichever comes first: a verdict does not depend on it. */
function inOrder(a: Connector, b: Connector): [Connector, Connector] {
  return a.family < b.family ? [a, b] : [b, a];
}

function apart(reason: string): Mating {
  return { outcome: 'does-not-join', kind: 'none', reason };
}

function sizesApart(male: Connector): string {
  if (['ridged', 'beaded'].includes(shapeOf(male))) return 'the hose must be the size of what it goes over, neither stretched nor slack.';
  return 'both halves must be one size.';
}

function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}

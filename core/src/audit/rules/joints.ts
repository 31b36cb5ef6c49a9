import { connectorName, connectorThread } from '../../connectors/index.js';
import type { LineJoint } from '../../lines/index.js';
import { PRACTICE, rulesOf } from '../rule.js';

const CONES = ['flare37', 'flare45', 'cone30'];

/** What meets what, and whether it seals: the joints of a line by their verdicts. */
export const jointRules = rulesOf(
  'line',
  {
    'look-alike-thread': {
      title: 'A thread that starts and is another',
      area: 'thread',
      severity: 'leak',
      before: 'saw',
      why: 'The crests meet for a few turns, then the flanks fight: it feels tight, seals on nothing, and strips the softer side.',
      hint: 'Choose another way at this end; a pitch gauge settles which thread it is.',
      source: 'ISO 965-1, ASME B1.1, ISO 228-1, ASME B1.20.1: fit computed from the limits of both threads',
    },
    'wrong-seal-face': {
      title: 'The right thread with another seal',
      area: 'seal face',
      severity: 'leak',
      before: 'saw',
      why: 'The thread holds and nothing seals: what must press on a seat, a ring or a washer never touches it.',
      hint: 'Choose another way at this end.',
      source: 'SAE J514, SAE J1926, ISO 6149, ISO 9974, ISO 1179',
    },
    'cone-angles-differ': {
      title: 'Two cones of different angles',
      area: 'seal face',
      severity: 'leak',
      before: 'saw',
      why: 'They touch on one thin line: it weeps, and the softer seat is marked for good.',
      hint: 'Take an adapter from one angle to the other.',
      source: 'SAE J514 (37°), SAE J512 (45°)',
    },
    'taper-kinds-mixed': {
      title: 'Two kinds of pipe taper',
      area: 'thread',
      severity: 'leak',
      before: 'saw',
      why: 'Pitch and flanks differ: a spiral gap stays open under the sealant, and leaks when it gets hot.',
      hint: 'Take an adapter between the two pipe threads.',
      source: 'ISO 7-1, ASME B1.20.1',
    },
    'taper-into-parallel': {
      title: 'A taper in a parallel hole',
      area: 'thread',
      severity: 'leak',
      before: 'saw',
      why: 'It wedges on its first threads only and splits the mouth of the hole.',
      hint: 'Take an adapter that seals on the face of the port.',
      source: 'ISO 7-1, ISO 228-1',
    },
    'joint-leaks': {
      title: 'Nothing seals there',
      area: 'seal face',
      severity: 'leak',
      before: 'saw',
      why: 'The two go together, and oil comes past them.',
      hint: 'Choose another way at this end.',
      source: PRACTICE,
    },
    'joint-does-not-join': {
      title: 'The two do not go together',
      area: 'thread',
      severity: 'leak',
      before: 'saw',
      why: 'There is nothing for one to hold the other by.',
      hint: 'Choose another way at this end.',
      source: PRACTICE,
    },
    'hose-off-its-end': {
      title: 'Hose and end are not made for one another',
      area: 'hose',
      severity: 'leak',
      before: 'saw',
      why: 'It blows off, or leaks at its socket.',
      hint: 'Choose an end that is made for this hose.',
      source: PRACTICE,
    },
    'joint-at-risk': {
      title: 'It seals only at a risk',
      area: 'seal face',
      severity: 'risk',
      before: 'saw',
      why: 'It has been made to hold, and another part holds better.',
      hint: 'Take a way without it where there is one, or accept it with your reason.',
      source: PRACTICE,
    },
  },
  ({ line: { line, joints } }, say) => {
    for (const joint of joints) {
      const { id, way, piece, number, mating, uncertain, connectors } = joint;
      const at = { lineId: line.id, joint: id, ...(way === undefined ? {} : { way }), ...(piece === undefined ? {} : { piece }) };
      if (mating.outcome === 'seals') {
        if (mating.risk) say('joint-at-risk', at, `Joint ${number} seals only at a risk: ${mating.risk}`);
        continue;
      }
      const leaks = mating.outcome === 'leaks';
      const does = uncertain ? (leaks ? 'may leak' : 'may not join') : leaks ? 'leaks' : 'does not join';
      const pair = uncertain && connectors ? ` (${connectors.map(connectorName).join(' with ')})` : '';
      say(ruleOf(joint), at, `Joint ${number} ${does}${pair}: ${mating.reason}`);
    }
  },
);

/** Why two do not seal decides which rule it is. */
function ruleOf({ mating: { outcome, fit }, connectors, way }: LineJoint): keyof typeof jointRules {
  const leaks = outcome === 'leaks';
  if (!connectors) return way === undefined ? 'hose-off-its-end' : leaks ? 'joint-leaks' : 'joint-does-not-join';
  const [male, female] = connectors[0].gender === 'male' ? connectors : [connectors[1], connectors[0]];
  if (!fit) return leaks ? 'joint-leaks' : 'joint-does-not-join';
  const [outside, inside] = [connectorThread(male), connectorThread(female)];
  const [tapers, intoTaper] = [(outside?.taperPerMm ?? 0) > 0, (inside?.taperPerMm ?? 0) > 0];
  // two tapers of one size are taken for one another, whether the second starts by hand or not
  if (tapers && intoTaper && male.size === female.size) return 'taper-kinds-mixed';
  if (!leaks) return fit.verdict === 'binds' || fit.verdict === 'loose' ? 'look-alike-thread' : 'joint-does-not-join';
  if (fit.verdict === 'same')
    return CONES.includes(male.family) && CONES.includes(female.family) ? 'cone-angles-differ' : 'wrong-seal-face';
  if (!tapers) return 'joint-leaks';
  return intoTaper ? 'taper-kinds-mixed' : 'taper-into-parallel';
}

import { canBeScrewedOn, isFormed, type LineJoint } from '../../lines/index.js';
import { PRACTICE, rulesOf } from '../rule.js';
import { hoseName } from '../words.js';

/** Whether it can be put together with two hands and two wrenches. */
export const handRules = rulesOf(
  'line',
  {
    'hose-cannot-turn': {
      title: 'Neither end of the hose turns',
      area: 'order of the hands',
      severity: 'leak',
      before: 'saw',
      why: 'Screwing in the second end twists the hose, or undoes the first.',
      hint: 'Take an end with a swivel nut on one side, or put a swivel between: the second end cannot be screwed in without turning the hose.',
      source: PRACTICE,
    },
    'bend-cannot-be-aimed': {
      title: 'A bend that is aimed by its thread',
      area: 'make-up',
      severity: 'advice',
      before: 'order',
      why: 'A rigid bent fitting on a taper points where its turns end: past that it is overtightened, before it it leaks.',
      hint: 'Take a straight adapter and a bent end with a swivel, or an adjustable elbow with a locknut.',
      source: PRACTICE,
    },
    'many-adapters': {
      title: 'Many adapters at one end',
      area: 'stack',
      severity: 'advice',
      before: 'order',
      why: 'Each joint is one more place to leak, and a long stack levers on a small thread.',
      hint: 'Look whether one part in the store, or a made one, takes the place of two.',
      source: PRACTICE,
    },
    'brass-overhung': {
      title: 'Brass that carries a stack',
      area: 'stack',
      severity: 'advice',
      before: 'order',
      why: 'Brass tires where an engine shakes what hangs on it, and breaks at the thread.',
      hint: 'Take steel at the port, or hold the stack by a bracket.',
      source: PRACTICE,
    },
  },
  ({ line: { line, pieces, joints, ways, portA, portB }, schools }, say) => {
    for (const [i, { piece, endA }] of pieces.entries()) {
      // the nuts of a flared tube turn on it
      if (endA && isFormed(endA)) continue;
      const ends = [i, i + 1].map((way) => joints.find((j) => j.piece === piece.key && j.way === way && !j.branch));
      if (ends.every(isFixed))
        say(
          'hose-cannot-turn',
          { lineId: line.id, piece: piece.key },
          `${hoseName(line, piece)} is screwed in at both ends, and neither of them turns.`,
        );
    }
    for (const { at: way, fittings = [], from } of ways) {
      const at = { lineId: line.id, way };
      const own = from.kind === 'port' ? fittings : [...fittings].reverse();
      if (fittings.length >= schools.limits.manyAdapters)
        say('many-adapters', at, `${fittings.length} adapters stand behind one another here.`);
      for (const { fitting } of fittings) {
        const tapers = fitting.ends.filter(({ family, gender }) => gender === 'male' && ['npt', 'r', 'keg'].includes(family));
        const turns = fitting.ends.some(({ swivel, seat }) => swivel || seat === 'adjustable');
        if (fitting.ends.length === 2 && (fitting.angleDeg ?? 0) > 0 && tapers.length > 0 && !turns)
          say('bend-cannot-be-aimed', at, `${fitting.name} is bent and rigid, and its taper decides where it points.`);
      }
      const first = own[0]?.fitting;
      const onEngine = [portA, portB].some((end) => (end === from || way === ways.length - 1) && end.component.kind === 'block');
      if (onEngine && first?.material === 'brass' && fittings.length > 1)
        say(
          'brass-overhung',
          at,
          `${first.name} is brass and carries ${fittings.length - 1 === 1 ? 'another fitting' : 'other fittings'} on the engine.`,
        );
    }
  },
);

function isFixed(joint: LineJoint | undefined): boolean {
  return joint?.connectors !== undefined && !joint.uncertain && !joint.connectors.some(canBeScrewedOn);
}

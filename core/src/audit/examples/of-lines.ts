import { formatConnector, parseConnector } from '../../connectors/index.js';
import { all, component, line, newPort, piece, port, thread, way } from './change.js';
import type { Example } from './example.js';
import { AN4_TEE, everyPart, partWhere, plate, sensor, toLine, twoCircuits, withFitting } from './example-parts.js';

/** Of what a line is put together from. */
export const examplesOfLines = {
  'hose-not-chosen': { sound: 'feed', words: 'the hose taken out', breaks: piece({ hose: null, endA: null, endB: null }) },
  'hose-not-known': { sound: 'feed', words: 'a hose that nobody has', breaks: piece({ hose: 'hose-gone' }) },
  'end-not-chosen': { sound: 'feed', words: 'an end left out', breaks: piece({ endA: null }) },
  'end-off-hose': { sound: 'feed', words: 'the end of a fuel hose', breaks: piece({ endB: 'end-fuel-4-0' }) },
  'fluid-refused': { sound: 'feed', words: 'brake fluid in it', breaks: line(() => ({ fluid: 'brake fluid' })) },
  'hose-not-for-fluid': { sound: 'heater', words: 'coolant rubber for oil', breaks: line(() => ({ service: 'return' })) },
  'fitting-not-for-fluid': {
    sound: 'drain',
    words: 'a silicone coupler in an oil line',
    breaks: way(0, [['hose5/8+hose5/8#silicone~3ply', 0, 1]]),
  },
  'service-not-said': { sound: 'feed', words: 'a line for anything', breaks: line(() => ({ service: 'other' })) },
  'port-uncertain': {
    sound: 'taper',
    words: 'American or British taper',
    breaks: port('A', { connector: null, maybe: ['npt 1/4 f', 'rc 1/4 f'].map(parseConnector) }),
  },
  'part-retired': {
    sound: 'feed',
    words: 'its hose is not kept any more',
    breaks: everyPart(({ id }) => (id === 'hose-ptfe-4' ? { retired: true } : {})),
  },
  'component-part-gone': {
    sound: 'feed',
    words: 'a component of a part that is gone',
    breaks: component('A', { part: { id: 'gone', there: true } }),
  },
  'port-off-part': {
    sound: 'feed',
    words: 'the store has another thread there',
    breaks: partWhere(
      (f) => f.ends.length === 2 && formatConnector(f.ends[0]!) === 'orb6 m',
      ({ id }) => all(component('A', { part: { id, there: true } }), port('A', { end: 0 })),
    ),
  },
  'way-not-chosen': { sound: 'taper', words: 'no adapter chosen', breaks: way(0, null) },
  'part-gone': { sound: 'taper', words: 'an adapter that nobody has', breaks: way(0, [['gone', 0, 1]]) },
  'no-passage': {
    sound: 'feed',
    words: 'through the two circuits of a cooler',
    breaks: all(withFitting(twoCircuits), way(0, [['two-circuits', 1, 0]])),
  },
  'branch-open': { sound: 'feed', words: 'a tee with an open leg', breaks: way(0, [[AN4_TEE, 2, 0]]) },
  'branch-sensor-gone': {
    sound: 'feed',
    words: 'a tee kept for a sensor that is nowhere',
    breaks: way(0, [[AN4_TEE, 2, 0]], [{ at: 0, end: 1, to: 'sensor', portId: 'nowhere' }]),
  },
  'branch-port-changed': {
    sound: 'feed',
    words: 'the branch was planned for another thread',
    breaks: all(newPort('A', 'an6 m', { openEnd: true }), way(0, [[AN4_TEE, 2, 0]], [toLine(1)])),
  },
  'branch-line-missing': {
    sound: 'feed',
    words: 'no line from the branch',
    breaks: all(newPort('A', 'an4 m', { openEnd: true }), way(0, [[AN4_TEE, 2, 0]], [toLine(1)])),
  },
  'open-end-gone': { sound: 'feed', words: 'the tee it started from is gone', breaks: port('A', { openEnd: true }) },
  'sensor-without-place': { sound: 'taper', words: 'the sender has no port', breaks: port('A', { sensor: sensor('npt 1/4 m') }) },
  'sensor-place-gone': {
    sound: 'taper',
    words: "the sender's new port is gone",
    breaks: port('A', { sensor: sensor('npt 1/4 m', { portId: 'gone', fittings: [] }) }),
  },
  'sensor-place-taken': {
    sound: 'taper',
    words: 'its new port has a line',
    breaks: (shown) => {
      const last = shown.document.lines[shown.document.lines.length - 1]!;
      return port('A', { sensor: sensor('npt 1/4 m', { portId: last.portB, fittings: [] }) })(shown);
    },
  },
  'sensor-place-leaks': {
    sound: 'taper',
    words: 'an American taper in a British port',
    breaks: all(newPort('A', 'rc 1/4 f'), port('A', { sensor: sensor('npt 1/4 m', { portId: 'spare', fittings: [] }) })),
  },
  'sensor-off-port': {
    sound: 'taper',
    words: 'a metric sender out of a taper port',
    breaks: port('A', { sensor: sensor('m18x1.5 m washer') }),
  },
  'look-alike-thread': { sound: 'drain', words: 'M22×1.5 instead of 7/8-14', breaks: thread('B', 'm22x1.5 m washer') },
  'wrong-seal-face': { sound: 'feed', words: 'a boss thread instead of a flare', breaks: thread('A', 'orb4 m') },
  'cone-angles-differ': { sound: 'feed', words: '45° instead of 37°', breaks: thread('A', 'sae45-4 m') },
  'taper-kinds-mixed': { sound: 'taper', words: 'the port is British', breaks: thread('A', 'rc 1/4 f') },
  'taper-into-parallel': { sound: 'british', words: 'the port is parallel', breaks: thread('A', 'g 1/4 f') },
  'joint-leaks': { sound: 'parallel', words: 'the port is a taper', breaks: thread('A', 'rc 1/4 f') },
  'joint-does-not-join': { sound: 'feed', words: 'another size', breaks: thread('A', 'an8 m') },
  'hose-off-its-end': { sound: 'feed', words: 'another hose on its ends', breaks: piece({ hose: 'hose-rubber-4' }) },
  'joint-at-risk': {
    sound: 'feed',
    words: 'a metric taper in a spot-faced port',
    breaks: all(thread('A', 'm10x1 f washer'), way(0, [['kegm10x1m+an4m', 0, 1]])),
  },
  'length-not-given': { sound: 'feed', words: 'nothing taped', breaks: piece({ length: null }) },
  'length-too-short': { sound: 'feed', words: 'taped 30 mm', breaks: piece({ length: { mm: 30, as: 'taped' } }) },
  'taped-over-another-way': {
    sound: 'feed',
    words: 'taped over a stack of 60 mm',
    breaks: piece({ length: { mm: 800, as: 'taped', over: { stackMm: 60, turnDeg: 0 } } }),
  },
  'made-hose-length-not-given': { sound: 'feed', words: 'a kept hose that nobody measured', breaks: piece({ source: 'kept' }) },
  'made-hose-too-short': { sound: 'feed', words: 'a kept hose 40 mm short', breaks: piece({ source: 'kept', hasMm: 760 }) },
  'made-hose-little-slack': { sound: 'feed', words: 'a kept hose without slack', breaks: piece({ source: 'kept', hasMm: 802 }) },
  'made-hose-too-long': { sound: 'feed', words: 'a bought hose 200 mm over', breaks: piece({ source: 'bought', hasMm: 1000 }) },
  'crimped-by-supplier': {
    sound: 'feed',
    words: 'a crimped hose to be cut here',
    breaks: piece({ hose: 'hose-crimped-4', endA: 'end-crimped-4-0', endB: 'end-crimped-4-0' }),
  },
  'hose-cannot-turn': {
    sound: 'boss',
    words: 'rigid ends on both sides',
    breaks: all(thread('B', 'orb6 f'), way(0, []), way(1, []), piece({ endA: 'end-ptfe-6-0-orb6m', endB: 'end-ptfe-6-0-orb6m' })),
  },
  'bend-cannot-be-aimed': { sound: 'taper', words: 'a rigid elbow on a taper', breaks: way(0, [['npt1/4m+an4m@90', 0, 1]]) },
  'many-adapters': {
    sound: 'feed',
    words: 'three elbows behind one another',
    breaks: way(
      0,
      [1, 2, 3].map(() => ['an4fswivel+an4m@45', 0, 1] as const),
    ),
  },
  'brass-overhung': {
    sound: 'taper',
    words: 'brass that carries an elbow',
    breaks: all(
      everyPart(({ id }) => (id === 'npt1/4m+an4m' ? { material: 'brass' } : {})),
      way(0, [
        ['npt1/4m+an4m', 0, 1],
        ['an4fswivel+an4m@45', 0, 1],
      ]),
    ),
  },
  'drain-narrow': { sound: 'drain', words: 'an end of -6', breaks: everyPart(({ id }) => (id === 'hose-ptfe-10' ? { boreMm: 8.7 } : {})) },
  'drain-under-usual': {
    sound: 'drain',
    words: 'a hose of 10 mm',
    breaks: everyPart(({ id }) => (id === 'hose-ptfe-10' ? { boreMm: 10.3 } : {})),
  },
  'valve-against-flow': {
    sound: 'feed',
    words: 'a check valve turned round',
    breaks: way(0, [
      ['an4fswivel+an4fswivel', 0, 1],
      ['an4m+an4m#checkvalve', 1, 0],
    ]),
  },
  'ports-swapped': {
    sound: 'feed',
    words: 'out of the inlet of a plate',
    breaks: all(withFitting(plate), component('A', { part: { id: 'one-way-plate', there: true } }), port('A', { end: 0 })),
  },
  'booster-without-valve': { sound: 'booster', words: 'the valve left out', breaks: component('B', { kind: 'block', name: 'engine' }) },
  provisional: { sound: 'feed', words: 'a hose for the mock-up', breaks: piece({ provisional: true }) },
  'as-found-open': {
    sound: 'feed',
    words: 'tape on a cone, left as it was',
    breaks: line(({ pieces, ways }) => ({
      found: [
        {
          joint: `A>${ways[0]!.chosen!.fittings[0]?.key ?? `${pieces[0]!.key}.A`}`,
          state: 'tape on a cone',
          action: 'nothing yet',
          words: '',
        },
      ],
    })),
  },
  'changed-since-checked': {
    sound: 'feed',
    words: 'changed after it was checked',
    breaks: line(() => ({ checked: { at: null, digest: { form: 'by what bears', service: 'another' } } })),
  },
  'joints-not-made': { sound: 'feed', words: 'one joint not ticked', breaks: line(({ made = [] }) => ({ made: made.slice(1) })) },
} as const satisfies Readonly<Record<string, Example>>;

import { formatConnector, parseConnector } from '../../connectors/index.js';
import type { Fitting } from '../../fittings/index.js';
import type { Catalogue } from '../../job/index.js';
import type { RuleId } from '../registry.js';
import { all, component, line, newPort, parts, piece, port, running, store, thread, unsaid, way, without, type Change } from './change.js';
import type { SoundName } from './set-ups.js';

/** A job that a rule has nothing against, and the one change after which it has. */
export interface Example {
  readonly sound: SoundName;
  readonly breaks: Change;
  /** What is made wrong, in a few words. */
  readonly words: string;
}

const AN4_TEE = 'an4m+an4m+an4fswivel';
const sensor = (notation: string, movedTo: { readonly portId: string; readonly fittings: [] } | null = null) => ({
  name: 'pressure sender',
  connector: parseConnector(notation),
  movedTo,
});
const withFitting = (fitting: Fitting): Change => parts((c) => ({ ...c, fittings: [...c.fittings, fitting] }));
const everyPart = (change: (part: { readonly id: string }) => object): Change =>
  parts((c): Catalogue => ({
    ...c,
    fittings: c.fittings.map((f) => ({ ...f, ...change(f) })),
    hoses: c.hoses.map((h) => ({ ...h, ...change(h) })),
  }));
/** The first part of a catalogue that will do for an example. */
const partWhere =
  (is: (fitting: Fitting) => boolean, use: (fitting: Fitting) => Change): Change =>
  (shown) =>
    use(shown.catalogue.fittings.find(is)!)(shown);

/** A plate with one way through it, as an end of the line. */
const plate: Fitting = {
  id: 'one-way-plate',
  name: 'Thermostat plate',
  ends: [parseConnector('an4 m'), parseConnector('an4 m')],
  body: {
    shape: 'round',
    acrossMm: 90,
    heightMm: 30,
    places: [
      { faces: 'out', clockDeg: 0, heightMm: 15 },
      { faces: 'out', clockDeg: 90, heightMm: 15 },
    ],
    passages: [{ from: 0, to: 1, oneWay: true }],
  },
};
const twoCircuits: Fitting = {
  id: 'two-circuits',
  name: 'Oil-to-water cooler',
  ends: ['an4 m', 'an4 f swivel'].map(parseConnector),
  body: { shape: 'square', acrossMm: 90, heightMm: 60, places: [{ faces: 'down' }, { faces: 'up' }], passages: [] },
};
const toLine = (end: number) => ({ at: 0, end, to: 'line' as const, portId: 'spare' });

/** One for each rule: what it is shown by, and proved with. */
export const examples: { readonly [R in RuleId]: Example } = {
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
  'size-fails': { sound: 'cooler', words: '140 L/min through -10', breaks: line(({ flow }) => ({ flow: { ...flow, flowLpm: 140 } })) },
  'size-tight': { sound: 'cooler', words: '47 L/min through -10', breaks: line(({ flow }) => ({ flow: { ...flow, flowLpm: 47 } })) },
  'hose-refused': {
    sound: 'cooler',
    words: 'beside the turbine without a sleeve',
    breaks: line(({ flow }) => ({ flow: { ...flow, aroundC: 320 } })),
  },
  'fitting-refused': {
    sound: 'taper',
    words: 'an adapter that bears 1 bar',
    breaks: everyPart(({ id }) => (id.startsWith('npt1/4m+an4m') ? { maxBar: 1 } : {})),
  },
  'flow-not-judged': { sound: 'feed', words: 'ball or journal not said', breaks: line(() => ({ flow: {} })) },
  'two-restrictors': {
    sound: 'feed',
    words: 'a restrictor behind a restrictor',
    breaks: all(
      line(() => ({ flow: { bearing: 'ball', restrictorMm: 1 } })),
      way(0, [['an4fswivel+an4m~1', 0, 1]]),
    ),
  },
  'restrictor-hidden': { sound: 'feed', words: 'an adapter of 2 mm', breaks: way(0, [['an4fswivel+an4m~2', 0, 1]]) },
  'restrictor-in-return': {
    sound: 'drain',
    words: 'a restrictor in the drain',
    breaks: line(({ flow }) => ({ flow: { ...flow, restrictorMm: 3 } })),
  },
  'feed-too-much': { sound: 'feed', words: 'ball bearings without a restrictor', breaks: line(() => ({ flow: { bearing: 'ball' } })) },
  'feed-too-little': {
    sound: 'feed',
    words: 'journals behind 0.6 mm',
    breaks: line(() => ({ flow: { bearing: 'journal', restrictorMm: 0.6 } })),
  },
  'bypass-takes-much': { sound: 'bypassFeed', words: 'an orifice of 1.9 mm', breaks: line(() => ({ flow: { restrictorMm: 1.9 } })) },
  'bypass-takes-too-much': { sound: 'bypassFeed', words: 'an orifice of 5 mm', breaks: line(() => ({ flow: { restrictorMm: 5 } })) },
  'drain-rises': { sound: 'drain', words: 'it rises by 20 mm', breaks: line(() => ({ flow: { fallMm: -20 } })) },
  'drain-steps-down': {
    sound: 'drain',
    words: 'the end at the pan is narrower',
    breaks: parts((c) => ({ ...c, hoseEnds: c.hoseEnds.map((e) => (e.id === 'end-ptfe-10-45' ? { ...e, boreMm: 8.5 } : e)) })),
  },
  'valve-in-drain': {
    sound: 'drain',
    words: 'a check valve in the drain',
    breaks: way(0, [
      ['an10fswivel+an10fswivel', 0, 1],
      ['an10m+an10m#checkvalve', 0, 1],
    ]),
  },
  'cap-must-turn': {
    sound: 'bypass',
    words: 'to the filler cap, without slack',
    breaks: line(() => ({ flow: { comesBack: 'filler cap' } })),
  },
  'coolant-boils': {
    sound: 'heater',
    words: '125 °C under a cap of 0.3 bar',
    breaks: line(() => ({ flow: { flowLpm: 10, hottestC: 125, pressureBar: 0.3 } })),
  },
  'no-thermostat': { sound: 'cooler', words: 'the thermostat left out', breaks: without('thermostat') },
  'coupler-without-bead': {
    sound: 'boost',
    words: 'plain pipes at 2 bar',
    breaks: all(thread('A', 'barb 2 1/2'), thread('B', 'barb 2 1/2'), running({ boostBar: 2.5 })),
  },
  'seal-not-certain': { sound: 'boss', words: 'oil of 240 °C', breaks: line(({ flow }) => ({ flow: { ...flow, hottestC: 240 } })) },
  'torque-not-known': {
    sound: 'feed',
    words: 'an O-ring face seal',
    breaks: all(
      thread('A', 'orfs4 m'),
      way(0, [['orfs-to-an4', 0, 1]]),
      withFitting({ id: 'orfs-to-an4', name: 'Adapter, orfs4 f swivel to an4 m', ends: ['orfs4 f swivel', 'an4 m'].map(parseConnector) }),
    ),
  },
  'ring-without-drive': {
    sound: 'cooler',
    words: 'both ends on one cooler',
    breaks: all(component('A', { kind: 'cooler', name: 'second cooler' })),
  },
  'no-way-out': {
    sound: 'cooler',
    words: 'the way back left out',
    breaks: (shown) => ({ ...shown, document: { ...shown.document, lines: shown.document.lines.slice(1) } }),
  },
  'runs-against-its-line': {
    sound: 'bridge',
    words: 'the line between two heads drawn the other way',
    breaks: line(({ portA, portB }) => ({ portA: portB, portB: portA })),
  },
  'cooler-too-small': { sound: 'cooler', words: 'a cooler of 20 W/K', breaks: component('B', { flow: { coolsWPerK: 20 } }) },
  'cooler-takes-much': {
    sound: 'cooler',
    words: 'a cooler that takes 2 bar',
    breaks: component('B', { flow: { takesBar: 2, atLpm: 30 } }),
  },
  'job-not-judged': { sound: 'feed', words: 'the oil is not said', breaks: unsaid('oil') },
  'oil-not-counted': { sound: 'feed', words: 'what the engine takes is not said', breaks: unsaid('sumpL') },
  'port-vacated': {
    sound: 'feed',
    words: 'the sender moved away, its hole left open',
    breaks: all(newPort('A', 'npt 1/8 f', { sensor: sensor('npt 1/8 m', { portId: 'elsewhere', fittings: [] }) })),
  },
  'port-of-part-open': {
    sound: 'feed',
    words: 'a gauge port of a new plate',
    breaks: all(withFitting(plate), component('B', { part: { id: 'one-way-plate', there: false } }), newPort('B', 'an4 m', { end: 1 })),
  },
  'port-not-decided': { sound: 'feed', words: 'a spare port that nobody speaks of', breaks: newPort('A', 'npt 1/8 f') },
  'plug-leaks': {
    sound: 'feed',
    words: 'an American plug in a British port',
    breaks: newPort('A', 'rc 1/8 f', { closed: { by: 'plug', fittings: [{ id: 'npt1/8m', inEnd: 0, outEnd: 0 }] } }),
  },
  'comes-too-late': {
    sound: 'feed',
    words: 'three weeks for a part, one to go',
    breaks: store({
      neededBy: '2026-01-08',
      short: [{ part: 'hose-ptfe-4', name: 'PTFE hose -4', quantity: 1, lines: [1], soonest: '2026-01-22' }],
    }),
  },
  'nobody-offers-it': {
    sound: 'feed',
    words: 'a part without a supplier',
    breaks: store({ short: [{ part: 'hose-ptfe-4', name: 'PTFE hose -4', quantity: 1, lines: [1] }] }),
  },
  'length-shared': {
    sound: 'feed',
    words: 'two jobs on one offcut',
    breaks: store({ shared: [{ lengthId: 'H-0001', words: 'H-0001: job 2402 plans to cut from it as well.' }] }),
  },
  'ordered-too-much': {
    sound: 'feed',
    words: 'ordered before a line went',
    breaks: store({ overOrdered: [{ orderId: 'o1', number: 'PO-0001', name: 'PTFE hose end -4', quantity: 2 }] }),
  },
  'cut-to-another-length': {
    sound: 'feed',
    words: 'taped again after the cut',
    breaks: store({ offCut: [{ lineId: 'line1', piece: 'p1', ticket: '1-L1', cutMm: 700, nowMm: 780 }] }),
  },
};

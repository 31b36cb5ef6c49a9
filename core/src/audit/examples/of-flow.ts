import { parseConnector } from '../../connectors/index.js';
import { all, component, line, newPort, parts, running, store, thread, unsaid, way, without } from './change.js';
import type { Example } from './example.js';
import { everyPart, plate, sensor, withFitting } from './example-parts.js';

/** Of what runs in lines, of the job as a whole, and of what the store says. */
export const examplesOfFlow = {
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
} as const satisfies Readonly<Record<string, Example>>;

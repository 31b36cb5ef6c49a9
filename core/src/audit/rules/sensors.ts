import { sensorMisfit, sensorMove } from '../../lines/index.js';
import { PRACTICE, rulesOf } from '../rule.js';

/** Sensors that sat in the ports of a line: whether they have a place, and seal there. */
export const sensorRules = rulesOf(
  'line',
  {
    'sensor-without-place': {
      title: 'A sensor without a place',
      area: 'sensor',
      severity: 'open',
      before: 'order',
      undecided: true,
      why: 'The engine runs without a warning until somebody finds it a port.',
      hint: 'Keep it on a tee at this end, or move it to a free port: see the ways below the sheet.',
      source: PRACTICE,
    },
    'sensor-place-gone': {
      title: "The sensor's new port is gone",
      area: 'sensor',
      severity: 'open',
      before: 'order',
      undecided: true,
      why: 'The engine runs without a warning until somebody finds it a port.',
      hint: 'Find it another place.',
      source: PRACTICE,
    },
    'sensor-place-taken': {
      title: "The sensor's new port is taken",
      area: 'sensor',
      severity: 'open',
      before: 'order',
      undecided: true,
      why: 'Two things cannot sit in one port.',
      hint: 'Find it another place.',
      source: PRACTICE,
    },
    'sensor-place-leaks': {
      title: 'The sensor does not seal in its new port',
      area: 'sensor',
      severity: 'leak',
      before: 'order',
      why: 'A British taper in an American port, a washer on a chamfer: it goes in, and oil comes out.',
      hint: 'Find it another place, or other adapters.',
      source: PRACTICE,
    },
    'sensor-off-port': {
      title: 'The sensor cannot have come out of this port',
      area: 'sensor',
      severity: 'risk',
      before: 'saw',
      why: 'One of the two threads was named wrongly, and a hose would be made for it.',
      hint: 'Look at both threads again, and put the survey right.',
      source: PRACTICE,
    },
  },
  ({ line: { line, portA, portB }, around }, say) => {
    for (const { side, port } of [portA, portB]) {
      const { sensor } = port;
      if (!sensor) continue;
      const at = { lineId: line.id, portId: port.id, way: side === 'A' ? 0 : line.ways.length - 1 };
      const misfit = sensorMisfit({ ...port, sensor: { ...sensor, movedTo: null } });
      if (misfit) say('sensor-off-port', at, `The ${sensor.name} cannot have come out of this port: ${misfit}`);
      if (around.isSensorKept(port.id)) continue;
      const { name, movedTo } = sensor;
      const place = movedTo ? around.port(movedTo.portId) : undefined;
      const user = place && around.lineNumberOn(place.id);
      if (!movedTo) say('sensor-without-place', at, `The ${name} sits in this port and has no new place.`);
      else if (!place) say('sensor-place-gone', at, `The port the ${name} was to move to is gone.`);
      else if (user !== undefined) say('sensor-place-taken', at, `The ${name} was to move to ${place.label}, which L${user} uses.`);
      else if (!sensorMove(port, around)?.joints.every((joint) => joint.outcome === 'seals'))
        say('sensor-place-leaks', at, `The ${name} does not seal in ${place.label}.`);
    }
  },
);

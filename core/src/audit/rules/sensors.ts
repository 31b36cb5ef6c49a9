import type { FindingPlace } from '../../findings/index.js';
import { branchesIn, endsOn, findFitting, type Port } from '../../job/index.js';
import { sensorMisfit, sensorMove } from '../../lines/index.js';
import type { JobFacts } from '../facts.js';
import { PRACTICE, rulesOf, type Say } from '../rule.js';

/** Sensors: whether they fit the port they came out of, have a place where a line takes it, and seal there. */
export const sensorRules = rulesOf(
  'job',
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
  ({ job }, say) => {
    const kept = new Set(job.document.lines.flatMap(branchesIn).flatMap((b) => (b.to === 'sensor' && b.portId ? [b.portId] : [])));
    for (const port of job.document.ports) {
      const { sensor } = port;
      if (!sensor) continue;
      const user = job.userByPort.get(port.id);
      const line = user?.kind === 'line' ? user.line : undefined;
      const at = { portId: port.id, ...(line ? { lineId: line.id, way: line.portA === port.id ? 0 : line.ways.length - 1 } : {}) };
      const misfit = sensorMisfit({ ...port, sensor: { ...sensor, movedTo: null } });
      if (misfit) say('sensor-off-port', at, `The ${sensor.name} cannot have come out of this port: ${misfit}`);
      // one that stays where it sits, or on a tee of its line, needs no other place
      if (!kept.has(port.id) && (line || sensor.movedTo)) placed(port, at, job, say);
    }
  },
);

function placed(port: Port, at: FindingPlace, job: JobFacts['job'], say: Say<keyof typeof sensorRules>): void {
  const { name, movedTo } = port.sensor!;
  if (!movedTo) return say('sensor-without-place', at, `The ${name} sits in this port and has no new place.`);
  const place = job.portById.get(movedTo.portId);
  if (!place) return say('sensor-place-gone', at, `The port the ${name} was to move to is gone.`);
  const user = job.document.lines.find((l) => endsOn(l, place.id));
  if (user) return say('sensor-place-taken', at, `The ${name} was to move to ${place.label}, which L${user.number} uses.`);
  const around = { port: (id: string) => job.portById.get(id), fitting: (id: string | null) => findFitting(job.catalogue, id) };
  if (!sensorMove(port, around)?.joints.every((joint) => joint.outcome === 'seals'))
    say('sensor-place-leaks', at, `The ${name} does not seal in ${place.label}.`);
}

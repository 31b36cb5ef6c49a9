import { solveChains, type Chain, type ChainWeights } from '../chains/index.js';
import type { Connector } from '../connectors/index.js';
import type { Fitting } from '../fittings/index.js';
import { findFitting, userOfPort, type Catalogue, type JobDocument, type Port } from '../job/index.js';
import { mate, type Mating } from '../seals/index.js';
import type { AssembledEnd, LineProblem } from './assembled-line.js';

/** A free port that takes a sensor, and how. */
export interface SensorPlace {
  readonly port: Port;
  readonly chain: Chain;
}

/**
 * The free ports of the job where a displaced sensor could go, fewest joints first. Its old port, and ports that lines or other
 * sensors have, are not free.
 */
export function placesForSensor(
  sensor: Connector,
  from: Port,
  document: JobDocument,
  catalogue: Catalogue,
  weights?: ChainWeights,
): SensorPlace[] {
  return document.ports
    .filter((port) => port.id !== from.id && isFree(port, document, from.id))
    .flatMap((port) => {
      const query = { from: port.connector, to: sensor, fittings: catalogue.fittings, limit: 1, maxFittings: 2 };
      const chain = solveChains({ ...query, ...(weights ? { weights } : {}) }).chains[0];
      return chain ? [{ port, chain }] : [];
    })
    .sort((a, b) => a.chain.jointCount - b.chain.jointCount || a.chain.costMinor - b.chain.costMinor);
}

/** Free for the sensor of `besides`, whose own place is. */
function isFree(port: Port, document: JobDocument, besides: string): boolean {
  const user = userOfPort(port, document);
  return !port.openEnd && (user === undefined || (user.kind === 'sensor' && user.from?.id === besides));
}

/** What is wrong with the new place of the sensor that sat in this end's port; undefined where all is well. */
export function sensorProblem({ port, side }: AssembledEnd, document: JobDocument, catalogue: Catalogue): LineProblem | undefined {
  const { sensor } = port;
  if (!sensor) return undefined;
  const say = (message: string, hint: string, severity: LineProblem['severity'] = 'open'): LineProblem => ({
    code: 'sensor',
    severity,
    side,
    message,
    hint,
  });
  const kept = document.lines.some((l) => [l.endA, l.endB].some((e) => e.branches?.some((b) => b.to === 'sensor' && b.portId === port.id)));
  if (kept) return undefined;
  if (!sensor.movedTo)
    return say(
      `The ${sensor.name} sits in this port and has no new place.`,
      'Keep it on a tee at this end, or move it to a free port: see the ways below the sheet.',
    );
  const place = document.ports.find((p) => p.id === sensor.movedTo!.portId);
  if (!place) return say(`The port the ${sensor.name} was to move to is gone.`, 'Find it another place.');
  const user = document.lines.find((l) => l.endA.portId === place.id || l.endB.portId === place.id);
  if (user) return say(`The ${sensor.name} was to move to ${place.label}, which L${user.number} uses.`, 'Find it another place.');
  const move = sensorMove(port, document, catalogue);
  return move?.joints.every((joint) => joint.outcome === 'seals')
    ? undefined
    : say(`The ${sensor.name} does not seal in ${place.label}.`, 'Find it another place, or other adapters.', 'leak');
}

/** A moved sensor with what goes between it and its new port; undefined where it is not moved, or a part is not known. */
export interface SensorMove {
  readonly place: Port;
  readonly fittings: readonly Fitting[];
  readonly joints: readonly Mating[];
}

export function sensorMove({ sensor }: Port, document: JobDocument, catalogue: Catalogue): SensorMove | undefined {
  const place = document.ports.find((p) => p.id === sensor?.movedTo?.portId);
  if (!sensor?.movedTo || !place) return undefined;
  const fittings: Fitting[] = [];
  const joints: Mating[] = [];
  let exposed: Connector | undefined = place.connector;
  for (const link of sensor.movedTo.fittings) {
    const fitting = findFitting(catalogue, link.id);
    const inner = fitting?.ends[link.inEnd];
    if (!fitting || !inner || !exposed) return undefined;
    fittings.push(fitting);
    joints.push(mate(exposed, inner));
    exposed = fitting.ends[link.outEnd];
  }
  return exposed && { place, fittings, joints: [...joints, mate(exposed, sensor.connector)] };
}

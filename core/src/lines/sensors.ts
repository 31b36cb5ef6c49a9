import { solveChains, type Chain, type ChainWeights } from '../chains/index.js';
import type { Connector } from '../connectors/index.js';
import type { Fitting } from '../fittings/index.js';
import { fluidNamed, fluidOfPort, userOfPort, type Catalogue, type JobDocument, type Port } from '../job/index.js';
import { mate, type Mating } from '../seals/index.js';
import type { Lookups } from './lookups.js';

/** A free port that takes a sensor, and how. */
export interface SensorPlace {
  readonly port: Port;
  readonly chain: Chain;
}

/**
 * The free ports of the job where a displaced sensor could go: those of its fluid, as far as names and lines tell it, fewest joints first. Its old port, and ports that lines or other
 * sensors have, are not free.
 */
export function placesForSensor(
  sensor: Connector,
  from: Port,
  document: JobDocument,
  catalogue: Catalogue,
  weights?: ChainWeights,
): SensorPlace[] {
  const fluid = fluidNamed(from.sensor?.name ?? '') ?? fluidOfPort(from, document);
  const fluids = new Map(document.ports.map((port) => [port.id, fluidOfPort(port, document)]));
  // what is known to hold something else is no place for it; what nobody knows of comes last
  const unknown = (port: Port): number => Number(fluid !== undefined && fluids.get(port.id) === undefined);
  return document.ports
    .filter((port) => port.id !== from.id && isFree(port, document, from.id))
    .filter((port) => fluid === undefined || (fluids.get(port.id) ?? fluid) === fluid)
    .flatMap((port) => {
      // where the thread is not certain, nothing is promised
      if (!port.connector) return [];
      const query = { from: port.connector, to: sensor, fittings: catalogue.fittings, limit: 1, maxFittings: 2 };
      const chain = solveChains({ ...query, ...(weights ? { weights } : {}) }).chains[0];
      return chain ? [{ port, chain }] : [];
    })
    .sort((a, b) => unknown(a.port) - unknown(b.port) || a.chain.jointCount - b.chain.jointCount || a.chain.costMinor - b.chain.costMinor);
}

/** Free for the sensor of `besides`, whose own place is. */
function isFree(port: Port, document: JobDocument, besides: string): boolean {
  const user = userOfPort(port, document);
  return !port.openEnd && (user === undefined || (user.kind === 'sensor' && user.from?.id === besides));
}

/** A moved sensor with what goes between it and its new port; undefined where it is not moved, or a part is not known. */
export interface SensorMove {
  readonly place: Port;
  readonly fittings: readonly Fitting[];
  readonly joints: readonly Mating[];
}

export function sensorMove({ sensor }: Port, around: Pick<Lookups, 'port' | 'fitting'>): SensorMove | undefined {
  const place = around.port(sensor?.movedTo?.portId ?? '');
  if (!sensor?.movedTo || !place) return undefined;
  const fittings: Fitting[] = [];
  const joints: Mating[] = [];
  let exposed: Connector | undefined = place.connector ?? undefined;
  for (const link of sensor.movedTo.fittings) {
    const fitting = around.fitting(link.id);
    const inner = fitting?.ends[link.inEnd];
    if (!fitting || !inner || !exposed) return undefined;
    fittings.push(fitting);
    joints.push(mate(exposed, inner));
    exposed = fitting.ends[link.outEnd];
  }
  return exposed && { place, fittings, joints: [...joints, mate(exposed, sensor.connector)] };
}

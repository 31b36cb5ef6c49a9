import { connectorName, connectorThread } from '../connectors/index.js';
import { portCases, type Port } from '../job/index.js';
import { mate } from '../seals/index.js';
import { howToTell } from '../threads/index.js';
import type { UnitSystem } from '../units/index.js';

/** What must come off and what to measure, so that a port that may be several is known. */
export function howToSettle({ sensor, ...port }: Port, system: UnitSystem = 'metric'): string[] {
  const cases = portCases(port);
  const pairs = cases.flatMap((a, i) => cases.slice(i + 1).map((b) => [a, b] as const));
  const tests = pairs.map(([a, b]) => {
    const threads = [connectorThread(a), connectorThread(b)];
    const [one, other] = threads;
    if (!one || !other || one.designation === other.designation)
      return `${connectorName(a)} and ${connectorName(b)} have one thread: look at the seat.`;
    return `${connectorName(a)} or ${connectorName(b)}: ${howToTell(one, other, a.gender === 'male' ? 'external' : 'internal', system)}`;
  });
  return [comesOff(sensor, cases), ...tests];
}

function comesOff(sensor: Port['sensor'], cases: ReturnType<typeof portCases>): string {
  if (!sensor) return 'Nothing is logged in it: what closes it now must come off, cold and with a tray under it.';
  const sealing = cases.filter((connector) => mate(connector, sensor.connector).outcome === 'seals');
  const tells = sealing.length === 1 && cases.length > 1 ? ` Of these it seals in ${connectorName(sealing[0]!)} alone.` : '';
  return `The ${sensor.name} must come off, cold and with a tray under it: measure its thread too (logged as ${connectorName(sensor.connector)}).${tells}`;
}

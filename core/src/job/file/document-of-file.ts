import { parseConnector } from '../../connectors/index.js';
import type { JobDocument, Port } from '../job-schema.js';
import type { LineWay } from '../line-schema.js';
import type { JobFile } from './job-file-schema.js';
import type { ReadJobFile } from './read-job-file.js';
import { renamedPlace } from './write-job-file.js';

type WayInFile = JobFile['lines'][number]['ways'][number];
type SensorInFile = NonNullable<JobFile['components'][number]['ports'][number]['sensor']>;

/** The rows of a new job as a file has them: keys become ids, places in the lists become their order. */
export function documentOfFile(
  { file, connectors }: ReadJobFile,
  made: { number: string; updatedAt: string; newId: () => string },
): JobDocument {
  const { number, updatedAt, newId } = made;
  const jobId = newId();
  const portIds = new Map(file.components.flatMap((c) => c.ports.map((port) => [port.key, newId()] as const)));
  const branches = <B extends { port?: string }>(list: readonly B[]) =>
    list.map(({ port, ...b }) => {
      const portId = port && portIds.get(port);
      return { ...b, ...(portId ? { portId } : {}) };
    });
  const wayOf = ({ chosen, pinned, ...rest }: WayInFile): LineWay => ({
    ...rest,
    chosen: chosen && { ...chosen, branches: branches(chosen.branches) },
    ...(pinned ? { pinned: pinned.map((way) => ({ ...way, branches: branches(way.branches) })) } : {}),
  });
  const sensorOf = ({ name, connector, movedTo }: SensorInFile): NonNullable<Port['sensor']> => ({
    name,
    connector: parseConnector(connector),
    movedTo: movedTo && { portId: portIds.get(movedTo.port)!, fittings: movedTo.fittings },
  });
  const components = file.components.map(({ key, ports, ...c }, order) => ({ id: newId(), key, ports, ...c, order }));
  const lineIds = file.lines.map(() => newId());
  const names = new Map([
    ...portIds,
    ...components.map(({ id, key }) => [key, id] as const),
    ...file.lines.map((line, i) => [`L${line.number}`, lineIds[i]!] as const),
  ]);
  const waivers = file.job.waivers?.map((w) => ({ ...w, at: renamedPlace(w.at, names) }));
  return {
    job: { id: jobId, ...file.job, ...(waivers ? { waivers } : {}), number, archived: false, version: 1, updatedAt },
    components: components.map(({ key: _key, ports: _ports, part, ...c }) => ({ ...c, ...(part ? { part } : {}), jobId, version: 1 })),
    ports: components.flatMap(({ id: componentId, ports }) =>
      ports.map(({ key, connector: _notation, sensor, ...port }, order) => ({
        ...port,
        id: portIds.get(key)!,
        jobId,
        componentId,
        ...connectors.get(key)!,
        ...(sensor ? { sensor: sensorOf(sensor) } : {}),
        order,
        version: 1,
      })),
    ),
    lines: file.lines.map(({ portA, portB, ways, ...line }, order) => ({
      id: lineIds[order]!,
      jobId,
      ...line,
      portA: portIds.get(portA)!,
      portB: portIds.get(portB)!,
      ways: ways.map(wayOf),
      order,
      version: 1,
    })),
  };
}

import { parseConnector } from '../../connectors/index.js';
import type { JobDocument, LineBranch, LineEnd, Port } from '../job-schema.js';
import type { JobFile } from './job-file-schema.js';
import type { ReadJobFile } from './read-job-file.js';

type EndInFile = JobFile['lines'][number]['endA'];
type SensorInFile = NonNullable<JobFile['components'][number]['ports'][number]['sensor']>;

/** The rows of a new job as a file has them: keys become ids, places in the lists become positions. */
export function documentOfFile(
  { file, connectors }: ReadJobFile,
  made: { number: string; updatedAt: string; newId: () => string },
): JobDocument {
  const { number, updatedAt, newId } = made;
  const jobId = newId();
  const portIds = new Map(file.components.flatMap((c) => c.ports.map((port) => [port.key, newId()] as const)));
  const branch = ({ port, ...b }: NonNullable<EndInFile['branches']>[number]): LineBranch => {
    const portId = port && portIds.get(port);
    return { ...b, ...(portId ? { portId } : {}) };
  };
  const end = ({ port, branches, pinned, ...rest }: EndInFile): LineEnd => ({
    portId: portIds.get(port)!,
    ...rest,
    ...(branches ? { branches: branches.map(branch) } : {}),
    ...(pinned ? { pinned: pinned.map((way) => ({ ...way, branches: way.branches.map(branch) })) } : {}),
  });
  const sensorOf = ({ name, connector, movedTo }: SensorInFile): NonNullable<Port['sensor']> => ({
    name,
    connector: parseConnector(connector),
    movedTo: movedTo && { portId: portIds.get(movedTo.port)!, fittings: movedTo.fittings },
  });
  const components = file.components.map(({ key, ports, ...c }, position) => ({ id: newId(), key, ports, ...c, position }));
  return {
    job: { id: jobId, ...file.job, number, archived: false, version: 1, updatedAt },
    components: components.map(({ key: _key, ports: _ports, ...c }) => ({ ...c, jobId, version: 1 })),
    ports: components.flatMap(({ id: componentId, ports }) =>
      ports.map(({ key, connector: _notation, sensor, ...port }, position) => ({
        ...port,
        id: portIds.get(key)!,
        jobId,
        componentId,
        connector: connectors.get(key)!,
        ...(sensor ? { sensor: sensorOf(sensor) } : {}),
        position,
        version: 1,
      })),
    ),
    lines: file.lines.map(({ endA, endB, ...line }, position) => ({
      id: newId(),
      jobId,
      ...line,
      endA: end(endA),
      endB: end(endB),
      position,
      version: 1,
    })),
  };
}

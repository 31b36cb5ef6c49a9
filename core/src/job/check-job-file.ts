import { ConnectorSyntaxError, parseConnector, type Connector } from '../connectors/index.js';
import { constructions } from '../hose/index.js';
import { JobFileError } from './job-file-error.js';
import { JOB_FILE_VERSION, type JobFile } from './job-file-schema.js';

/**
 * Says what kind of file this is before its shape is looked at, so that a newer file or another file altogether gets its own word.
 * @throws {JobFileError} `job-file-format`, `job-file-newer`
 */
export function checkJobFileHeader(value: unknown): void {
  const header = value as { format?: unknown; version?: unknown } | null;
  if (typeof header !== 'object' || header === null || header.format !== 'gewinde-job')
    throw new JobFileError('job-file-format', 'This is not a job file: it does not begin with "format": "gewinde-job".', 'format');
  if (typeof header.version !== 'number' || !Number.isInteger(header.version) || header.version < 1)
    throw new JobFileError('job-file-format', 'The job file does not say its version.', 'version');
  if (header.version > JOB_FILE_VERSION)
    throw new JobFileError(
      'job-file-newer',
      `The file was written by a newer version of the app (file version ${header.version}; this app reads up to ${JOB_FILE_VERSION}). Update the app, then import it.`,
      'version',
    );
}

/**
 * Checks what a schema cannot: keys unique, ports named by lines exist and are used once, notation reads, fittings are in the parts.
 * @param knownFittings ids of fittings the shop has besides those of the file
 * @returns the connector of every port by its key
 * @throws {JobFileError} `job-file-content`
 */
export function checkJobFileContent(file: JobFile, knownFittings: ReadonlySet<string>): Map<string, Connector> {
  const fail = (message: string, field: string): never => {
    throw new JobFileError('job-file-content', message, field);
  };
  const connectors = new Map<string, Connector>();
  file.components.forEach((component, i) =>
    component.ports.forEach((port, j) => {
      const field = `components/${i}/ports/${j}`;
      if (connectors.has(port.key)) fail(`Two ports have the key "${port.key}".`, `${field}/key`);
      connectors.set(port.key, readConnector(port.connector, `${field}/connector`));
      if (port.sensor) readConnector(port.sensor.connector, `${field}/sensor/connector`);
    }),
  );
  const used = new Map<string, number>();
  const numbers = new Set<number>();
  const fittingIds = new Set([...knownFittings, ...file.parts.fittings.map((f) => f.id)]);
  file.lines.forEach((line, i) => {
    if (numbers.has(line.number)) fail(`Two lines have the number L${line.number}.`, `lines/${i}/number`);
    numbers.add(line.number);
    if (line.construction !== null && !constructions.some((c) => c.id === line.construction))
      fail(`There is no hose construction "${line.construction}".`, `lines/${i}/construction`);
    for (const end of ['endA', 'endB'] as const) {
      const field = `lines/${i}/${end}`;
      const { port, fittings, branches } = line[end];
      if (!connectors.has(port)) fail(`Line L${line.number} names a port "${port}" that is not in the file.`, `${field}/port`);
      if (used.has(port)) fail(`Port "${port}" is used twice, by L${used.get(port)} and L${line.number}.`, `${field}/port`);
      used.set(port, line.number);
      for (const branch of branches ?? [])
        if (branch.port !== undefined && !connectors.has(branch.port))
          fail(`A branch of L${line.number} names a port "${branch.port}" that is not in the file.`, `${field}/branches`);
      const missing = [...(fittings ?? []), ...(branches ?? []).flatMap((b) => b.fittings)].find((link) => !fittingIds.has(link.id));
      if (missing) fail(`Fitting "${missing.id}" is neither in the file nor in the catalogue.`, `${field}/fittings`);
    }
  });
  for (const { sensor, key } of file.components.flatMap((c) => c.ports))
    if (sensor?.movedTo && !connectors.has(sensor.movedTo.port))
      fail(`The ${sensor.name} of port "${key}" moves to a port "${sensor.movedTo.port}" that is not in the file.`, 'components');
  return connectors;
}

function readConnector(text: string, field: string): Connector {
  try {
    return parseConnector(text);
  } catch (error) {
    if (error instanceof ConnectorSyntaxError)
      throw new JobFileError('job-file-content', `"${text}": ${error.message} ${error.hint}`, field);
    throw error;
  }
}

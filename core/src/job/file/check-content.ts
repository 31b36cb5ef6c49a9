import { ConnectorSyntaxError, parseConnector, type Connector } from '../../connectors/index.js';
import { checkFitting } from '../../fittings/index.js';
import { constructions } from '../../hose/index.js';
import { JobFileError } from './job-file-error.js';
import type { JobFile } from './job-file-schema.js';

/**
 * Checks what a schema cannot: keys unique, ports that anything names exist and are used once, notation reads, every part that anything
 * names is there, and every part of the file holds together as if it had been typed by hand.
 * @param knownFittings ids of fittings the shop has besides those of the file
 * @returns the connector of every port by its key
 * @throws {JobFileError} `job-file-content`
 */
export function checkJobFileContent(file: JobFile, knownFittings: ReadonlySet<string>): Map<string, Connector> {
  const fail = (message: string, field: string): never => {
    throw new JobFileError('job-file-content', message, field);
  };
  file.parts.fittings.forEach((part, i) => {
    const problem = checkFitting(part)[0];
    if (problem) fail(`${part.name}: ${problem.message}`, `parts/fittings/${i}/${problem.field}`);
  });
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
      const { port, fittings, branches, pinned, wishes } = line[end];
      const ways = [{ fittings: fittings ?? [], branches: branches ?? [] }, ...(pinned ?? [])];
      if (!connectors.has(port)) fail(`Line L${line.number} names a port "${port}" that is not in the file.`, `${field}/port`);
      if (used.has(port)) fail(`Port "${port}" is used twice, by L${used.get(port)} and L${line.number}.`, `${field}/port`);
      used.set(port, line.number);
      for (const branch of ways.flatMap((way) => way.branches))
        if (branch.port !== undefined && !connectors.has(branch.port))
          fail(`A branch of L${line.number} names a port "${branch.port}" that is not in the file.`, `${field}/branches`);
      const named = ways.flatMap((way) => [...way.fittings, ...way.branches.flatMap((b) => b.fittings)]).map((link) => link.id);
      const missing = named.find((id) => !fittingIds.has(id));
      if (missing) fail(`Fitting "${missing}" is neither in the file nor in the catalogue.`, `${field}/fittings`);
      const wished = [...(wishes?.use ?? []), ...(wishes?.avoid ?? [])].find((id) => !fittingIds.has(id));
      if (wished)
        fail(`L${line.number} asks for a fitting "${wished}" that is neither in the file nor in the catalogue.`, `${field}/wishes`);
    }
  });
  for (const { sensor, key } of file.components.flatMap((c) => c.ports)) {
    if (!sensor?.movedTo) continue;
    const { port, fittings } = sensor.movedTo;
    if (!connectors.has(port)) fail(`The ${sensor.name} of port "${key}" moves to a port "${port}" that is not in the file.`, 'components');
    const missing = fittings.find((link) => !fittingIds.has(link.id));
    if (missing) fail(`The ${sensor.name} of port "${key}" moves with a fitting "${missing.id}" that nobody has.`, 'components');
  }
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

import { ConnectorSyntaxError, parseConnector } from '../../connectors/index.js';
import { checkPart, type PartEntry } from '../catalogue-part.js';
import { componentFlowProblem, runningProblem } from '../flow-schema.js';
import { partsOfWay } from '../line-path.js';
import { parsePortThread, type PortThread } from '../port-thread.js';
import { JobFileError } from './job-file-error.js';
import type { JobFile } from './job-file-schema.js';

/**
 * Checks what a schema cannot: keys unique, ports that anything names exist and are used once, notation reads, every part that anything
 * names is there, and every part of the file holds together as if it had been typed by hand.
 * @param knownFittings ids of fittings the shop has besides those of the file
 * @returns what is known of the thread of every port, by its key
 * @throws {JobFileError} `job-file-content`
 */
export function checkJobFileContent(file: JobFile, knownFittings: ReadonlySet<string>): Map<string, PortThread> {
  const fail = (message: string, field: string): never => {
    throw new JobFileError('job-file-content', message, field);
  };
  for (const [list, kind] of [
    ['fittings', 'fitting'],
    ['hoses', 'hose'],
    ['hoseEnds', 'hose end'],
  ] as const)
    file.parts[list].forEach((part, i) => {
      const problem = checkPart({ kind, part } as PartEntry)[0];
      if (problem) fail(`${part.name}: ${problem.message}`, `parts/${list}/${i}/${problem.field}`);
    });
  const running = file.job.running && runningProblem(file.job.running);
  if (running) fail(running.message, `job/running/${running.field}`);
  file.components.forEach(({ name, flow }, i) => {
    const problem = flow && componentFlowProblem(flow);
    if (problem) fail(`${name}: ${problem.message}`, `components/${i}/flow/${problem.field}`);
  });
  const connectors = new Map<string, PortThread>();
  file.components.forEach((component, i) =>
    component.ports.forEach((port, j) => {
      const field = `components/${i}/ports/${j}`;
      if (connectors.has(port.key)) fail(`Two ports have the key "${port.key}".`, `${field}/key`);
      connectors.set(port.key, readNotation(parsePortThread, port.connector, `${field}/connector`));
      if (port.openEnd && !connectors.get(port.key)?.connector)
        fail(`Port "${port.key}" stands for the open end of a fitting, so its thread is that of the fitting.`, `${field}/connector`);
      if (port.sensor) readNotation(parseConnector, port.sensor.connector, `${field}/sensor/connector`);
    }),
  );
  const used = new Map<string, number>();
  const numbers = new Set<number>();
  const fittingIds = new Set([...knownFittings, ...file.parts.fittings.map((f) => f.id)]);
  const hoseIds = new Set(file.parts.hoses.map((h) => h.id));
  const hoseEndIds = new Set(file.parts.hoseEnds.map((e) => e.id));
  file.components.forEach((component, i) => {
    const part = component.part && file.parts.fittings.find((f) => f.id === component.part!.id);
    if (component.part && !fittingIds.has(component.part.id))
      fail(`${component.name} is a part "${component.part.id}" that is neither in the file nor in the catalogue.`, `components/${i}/part`);
    // what of a part that only the catalogue has can be told once it is put together
    if (part || !component.part)
      checkPartPorts(component, part ?? undefined, (message, port) => fail(message, `components/${i}/ports/${port}/end`));
  });
  file.lines.forEach((line, i) => {
    if (numbers.has(line.number)) fail(`Two lines have the number L${line.number}.`, `lines/${i}/number`);
    numbers.add(line.number);
    checkPath(line, i, fail);
    for (const end of ['portA', 'portB'] as const) {
      const port = line[end];
      const field = `lines/${i}/${end}`;
      if (!connectors.has(port)) fail(`Line L${line.number} names a port "${port}" that is not in the file.`, field);
      if (used.has(port)) fail(`Port "${port}" is used twice, by L${used.get(port)} and L${line.number}.`, field);
      used.set(port, line.number);
    }
    line.pieces.forEach((piece, j) => {
      const field = `lines/${i}/pieces/${j}`;
      if (piece.hose !== null && !hoseIds.has(piece.hose))
        fail(`L${line.number} has a hose "${piece.hose}" that is not in the file.`, `${field}/hose`);
      for (const end of [piece.endA, piece.endB])
        if (end !== null && !hoseEndIds.has(end)) fail(`L${line.number} has a hose end "${end}" that is not in the file.`, field);
    });
    line.ways.forEach(({ chosen, pinned = [], wishes }, at) => {
      const field = `lines/${i}/ways/${at}`;
      for (const way of [...(chosen ? [chosen] : []), ...pinned])
        for (const { at: on, port } of way.branches) {
          if (!way.fittings[on]) fail(`A branch of L${line.number} stands on a fitting that is not there.`, `${field}/branches`);
          if (port !== undefined && !connectors.has(port))
            fail(`A branch of L${line.number} names a port "${port}" that is not in the file.`, `${field}/branches`);
          if (port === line.portA || port === line.portB)
            if (way.branches.some((b) => b.port === port && b.to === 'line'))
              fail(`L${line.number} would run from an open end of its own fittings.`, `${field}/branches`);
        }
      const named = [...(chosen ? partsOfWay(chosen) : []), ...pinned.flatMap((way) => partsOfWay(way))].map((link) => link.id);
      const missing = named.find((id) => !fittingIds.has(id));
      if (missing) fail(`Fitting "${missing}" is neither in the file nor in the catalogue.`, `${field}/fittings`);
      const wished = [...(wishes?.use ?? []), ...(wishes?.avoid ?? [])].find((id) => !fittingIds.has(id));
      if (wished)
        fail(`L${line.number} asks for a fitting "${wished}" that is neither in the file nor in the catalogue.`, `${field}/wishes`);
    });
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

/** A port that is an end names one that the part has, each once. */
function checkPartPorts(
  { name, ports }: JobFile['components'][number],
  part: JobFile['parts']['fittings'][number] | undefined,
  fail: (message: string, port: number) => never,
): void {
  ports.forEach(({ key, end }, j) => {
    if (end === undefined) return;
    if (!part?.ends[end]) fail(`Port "${key}" is end ${end + 1} of ${part ? 'a part that has fewer' : `a part, and ${name} is none`}.`, j);
    if (ports.findIndex((p) => p.end === end) !== j) fail(`Two ports of ${name} are its end ${end + 1}.`, j);
  });
}

/** One way more than pieces, and each key once. */
function checkPath({ number, pieces, ways }: JobFile['lines'][number], i: number, fail: (message: string, field: string) => never): void {
  if (ways.length !== pieces.length + 1)
    fail(
      `L${number} has ${ways.length} ways and ${pieces.length} hoses: between two ways there must be a hose, and no more than one.`,
      `lines/${i}/ways`,
    );
  const keys = new Set<string>();
  for (const { key } of [...pieces, ...ways.flatMap(({ chosen }) => (chosen ? partsOfWay(chosen) : []))]) {
    if (keys.has(key)) fail(`Two things in L${number} have the key "${key}".`, `lines/${i}`);
    keys.add(key);
  }
}

function readNotation<T>(read: (text: string) => T, text: string, field: string): T {
  try {
    return read(text);
  } catch (error) {
    if (error instanceof ConnectorSyntaxError)
      throw new JobFileError('job-file-content', `"${text}": ${error.message} ${error.hint}`, field);
    throw error;
  }
}

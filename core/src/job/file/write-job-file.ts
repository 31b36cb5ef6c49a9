import type { ChainLink } from '../../chains/index.js';
import { formatConnector } from '../../connectors/index.js';
import { findHose, findHoseEnd, type Catalogue } from '../catalogue.js';
import { JOB_FILE_VERSION, type JobFile } from './job-file-schema.js';
import type { JobDocument, LineBranch, LineEnd, Port, Sensor } from '../job-schema.js';

/** The job as a file. The same job always gives the same file: ids become keys in the order of the survey. */
export function writeJobFile(document: JobDocument, catalogue: Catalogue): JobFile {
  const components = [...document.components].sort(byPosition);
  const keys = new Map<string, string>();
  const written = components.map((component, i) => {
    const key = `C${i + 1}`;
    const ports = document.ports.filter((p) => p.componentId === component.id).sort(byPosition);
    return {
      key,
      kind: component.kind,
      name: component.name,
      note: component.note,
      ports: ports.map((port, j) => {
        keys.set(port.id, `${key}.P${j + 1}`);
        return { key: `${key}.P${j + 1}`, port };
      }),
    };
  });
  // only now is every port's key known: a sensor may have moved to a port of a later component
  const writtenPort = ({ key, port }: { key: string; port: Port }) => ({
    key,
    label: port.label,
    note: port.note,
    connector: formatConnector(port.connector),
    ...(port.openEnd ? { openEnd: true } : {}),
    ...(port.sensor ? { sensor: writtenSensor(port.sensor, keys) } : {}),
  });
  const branch = ({ portId, ...b }: LineBranch) => ({ ...b, ...(portId ? { port: keys.get(portId) ?? '?' } : {}) });
  const end = ({ portId, branches, pinned, ...rest }: LineEnd) => ({
    port: keys.get(portId) ?? '?',
    ...rest,
    ...(branches ? { branches: branches.map(branch) } : {}),
    ...(pinned ? { pinned: pinned.map((way) => ({ fittings: way.fittings, branches: way.branches.map(branch) })) } : {}),
  });
  const { number, name, description } = document.job;
  return {
    format: 'gewinde-job',
    version: JOB_FILE_VERSION,
    job: { number, name, description },
    components: written.map((component) => ({ ...component, ports: component.ports.map(writtenPort) })),
    lines: [...document.lines]
      .sort(byPosition)
      .map((line) => ({
        number: line.number,
        name: line.name,
        service: line.service,
        construction: line.construction,
        dash: line.dash,
        tapedLengthMm: line.tapedLengthMm,
        slackPercent: line.slackPercent,
        checked: line.checked,
        ...(line.made ? { made: line.made } : {}),
        note: line.note,
        endA: end(line.endA),
        endB: end(line.endB),
      })),
    parts: usedParts(document, catalogue),
  };
}

/** The catalogue rows a job uses, each once, in the order of the catalogue. */
function usedParts({ lines, ports }: JobDocument, catalogue: Catalogue): JobFile['parts'] {
  const fittings = new Set([
    ...lines.flatMap((l) => [l.endA, l.endB].flatMap((end) => [...linksOf(end).map((link) => link.id), ...wishedParts(end)])),
    ...ports.flatMap(sensorLinks).map((link) => link.id),
  ]);
  const hoses = new Set<string>();
  const ends = new Set<string>();
  for (const line of lines) {
    if (line.construction === null || line.dash === null) continue;
    hoses.add(findHose(catalogue, line.construction, line.dash)?.id ?? '');
    for (const { angleDeg } of [line.endA, line.endB]) ends.add(findHoseEnd(catalogue, line.construction, line.dash, angleDeg)?.id ?? '');
  }
  return structuredCopy({
    fittings: catalogue.fittings.filter((f) => fittings.has(f.id)),
    hoses: catalogue.hoses.filter((h) => hoses.has(h.id)),
    hoseEnds: catalogue.hoseEnds.filter((e) => ends.has(e.id)),
  });
}

function writtenSensor({ name, connector, movedTo }: Sensor, keys: ReadonlyMap<string, string>) {
  return {
    name,
    connector: formatConnector(connector),
    movedTo: movedTo && { port: keys.get(movedTo.portId) ?? '?', fittings: movedTo.fittings },
  };
}

/** Every fitting an end names: of its run, its branches and the ways kept in sight. */
function linksOf({ fittings, branches, pinned }: LineEnd): ChainLink[] {
  return [{ fittings: fittings ?? [], branches: branches ?? [] }, ...(pinned ?? [])].flatMap((way) => [
    ...way.fittings,
    ...way.branches.flatMap((b) => b.fittings),
  ]);
}

/** Parts that an end asks for, or will not have. */
function wishedParts({ wishes }: LineEnd): string[] {
  return [...(wishes?.use ?? []), ...(wishes?.avoid ?? [])];
}

function sensorLinks({ sensor }: Port): ChainLink[] {
  return sensor?.movedTo?.fittings ?? [];
}

function structuredCopy(parts: {
  fittings: Catalogue['fittings'];
  hoses: Catalogue['hoses'];
  hoseEnds: Catalogue['hoseEnds'];
}): JobFile['parts'] {
  return JSON.parse(JSON.stringify(parts)) as JobFile['parts'];
}

function byPosition(a: { position: number }, b: { position: number }): number {
  return a.position - b.position;
}

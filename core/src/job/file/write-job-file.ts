import { formatConnector } from '../../connectors/index.js';
import type { Catalogue } from '../catalogue.js';
import { JOB_FILE_VERSION, type JobFile } from './job-file-schema.js';
import type { JobDocument, Port, Sensor } from '../job-schema.js';
import { formatPortThread } from '../port-thread.js';
import { partsNamedIn } from '../parts-named.js';
import type { LineWay } from '../line-schema.js';

/** The job as a file. The same job always gives the same file: ids become keys in the order of the survey. */
export function writeJobFile(document: JobDocument, catalogue: Catalogue): JobFile {
  const components = [...document.components].sort(byOrder);
  const keys = new Map<string, string>();
  const written = components.map((component, i) => {
    const key = `C${i + 1}`;
    keys.set(component.id, key);
    const ports = document.ports.filter((p) => p.componentId === component.id).sort(byOrder);
    return {
      key,
      kind: component.kind,
      name: component.name,
      note: component.note,
      ...(component.part ? { part: component.part } : {}),
      ...(component.metal ? { metal: component.metal } : {}),
      ...(component.flow ? { flow: component.flow } : {}),
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
    connector: formatPortThread(port),
    ...(port.openEnd ? { openEnd: true } : {}),
    ...(port.end === undefined ? {} : { end: port.end }),
    ...(port.closed ? { closed: port.closed } : {}),
    ...(port.sensor ? { sensor: writtenSensor(port.sensor, keys) } : {}),
  });
  const branches = <B extends { portId?: string }>(list: readonly B[]) =>
    list.map(({ portId, ...b }) => ({ ...b, ...(portId ? { port: keys.get(portId) ?? '?' } : {}) }));
  const way = ({ chosen, pinned, ...rest }: LineWay) => ({
    ...rest,
    chosen: chosen && { fittings: chosen.fittings, branches: branches(chosen.branches) },
    ...(pinned ? { pinned: pinned.map((kept) => ({ fittings: kept.fittings, branches: branches(kept.branches) })) } : {}),
  });
  for (const line of document.lines) keys.set(line.id, `L${line.number}`);
  const { number, name, description, running, neededBy, beside, waivers, deviations } = document.job;
  return {
    format: 'gewinde-job',
    version: JOB_FILE_VERSION,
    job: {
      number,
      name,
      description,
      ...(running ? { running } : {}),
      ...(neededBy ? { neededBy } : {}),
      ...(beside?.length ? { beside } : {}),
      ...(deviations?.length ? { deviations } : {}),
      ...(waivers?.length ? { waivers: waivers.map((w) => ({ ...w, at: renamedPlace(w.at, keys) })) } : {}),
    },
    components: written.map((component) => ({ ...component, ports: component.ports.map(writtenPort) })),
    lines: [...document.lines]
      .sort(byOrder)
      .map((line) => ({
        number: line.number,
        name: line.name,
        service: line.service,
        ...(line.fluid ? { fluid: line.fluid } : {}),
        ...(line.flow ? { flow: line.flow } : {}),
        portA: keys.get(line.portA) ?? '?',
        portB: keys.get(line.portB) ?? '?',
        pieces: line.pieces,
        ways: line.ways.map(way),
        checked: line.checked,
        ...(line.made ? { made: line.made } : {}),
        ...(line.provisional ? { provisional: line.provisional } : {}),
        ...(line.found ? { found: line.found } : {}),
        note: line.note,
      })),
    parts: usedParts(document, catalogue),
  };
}

/** The catalogue rows a job uses, each once, in the order of the catalogue. */
function usedParts(document: JobDocument, { fittings, hoses, hoseEnds }: Catalogue): JobFile['parts'] {
  const named = partsNamedIn(document);
  const used = <P extends { readonly id: string }>(parts: readonly P[]): P[] => parts.filter((part) => named.has(part.id));
  // what a supplier's list says in other money is the shop's, and no matter of the job
  const all = { fittings: used(fittings), hoses: used(hoses), hoseEnds: used(hoseEnds) };
  const copied = JSON.stringify(all, (key, value: unknown) => (key === 'listed' ? undefined : value));
  return JSON.parse(copied) as JobFile['parts'];
}

/** The place of a finding with other names for what it names: in a file ids are keys. */
export function renamedPlace(at: string, names: ReadonlyMap<string, string>): string {
  const parts = at.split(';').map((part) => {
    const cut = part.indexOf('=');
    const value = part.slice(cut + 1);
    return `${part.slice(0, cut)}=${names.get(value) ?? value}`;
  });
  return at === '' ? '' : parts.join(';');
}

function writtenSensor({ name, connector, movedTo }: Sensor, keys: ReadonlyMap<string, string>) {
  return {
    name,
    connector: formatConnector(connector),
    movedTo: movedTo && { port: keys.get(movedTo.portId) ?? '?', fittings: movedTo.fittings },
  };
}

function byOrder(a: { order: number }, b: { order: number }): number {
  return a.order - b.order;
}

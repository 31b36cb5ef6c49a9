import { userOfPort, type Catalogue, type Component, type JobDocument, type Port, type PortUser } from '../job/index.js';
import { usualSealRules, type SealRules } from '../supplies/index.js';
import { assembleFrom } from './assemble-line.js';
import type { AssembledLine, LineJoint } from './assembled-line.js';
import { graphOf, type JobGraph } from './job-graph.js';
import { answersStand, lookupsIn, noting, type Asked } from './lookups.js';

/** A joint with the line it is in. */
export interface JointPlace {
  readonly line: AssembledLine;
  readonly joint: LineJoint;
}

/** What the shop does its own way, where it bears on a job. */
export interface ShopSchools {
  readonly seals: SealRules;
}
const usualSchools: ShopSchools = { seals: usualSealRules };

/** A job as one connected thing: what everything else reads from. */
export interface AssembledJob {
  readonly document: JobDocument;
  readonly catalogue: Catalogue;
  readonly shop: ShopSchools;
  /** In their order. */
  readonly lines: readonly AssembledLine[];
  readonly lineById: ReadonlyMap<string, AssembledLine>;
  readonly componentById: ReadonlyMap<string, Component>;
  readonly portById: ReadonlyMap<string, Port>;
  /** Who has a port; absent where it is free. */
  readonly userByPort: ReadonlyMap<string, PortUser>;
  /** By `line/joint`, as {@link jointKey} makes it. */
  readonly jointByKey: ReadonlyMap<string, JointPlace>;
  /** The lines in which a part of the catalogue stands, by its id. */
  readonly linesByPart: ReadonlyMap<string, readonly AssembledLine[]>;
  readonly graph: JobGraph;
}

/** What was looked up for a line, to tell whether it must be put together again. */
const madeFrom = new WeakMap<AssembledLine, Asked>();

/**
 * Assembles a job. Lines of which nothing has changed since `previous` are taken from it as they are: an edit costs what it touches.
 *
 * @throws {RangeError} if a line names a port or component that is not in the document
 */
export function assembleJob(
  document: JobDocument,
  catalogue: Catalogue,
  previous?: AssembledJob,
  shop: ShopSchools = usualSchools,
): AssembledJob {
  if (previous?.document === document && previous.catalogue === catalogue && previous.shop === shop) return previous;
  const index = indexOf(document);
  const around = lookupsIn(document, catalogue);
  const sorted = [...document.lines].sort((a, b) => a.order - b.order);
  const lines = sorted.map((line) => {
    const before = previous?.lineById.get(line.id);
    const asked = before?.line === line && madeFrom.get(before);
    if (before && asked && answersStand(asked, around)) return before;
    const noted = noting(around);
    const made = assembleFrom(line, noted.lookups);
    madeFrom.set(made, noted.asked);
    return made;
  });
  const same = previous && lines.length === previous.lines.length && lines.every((line, i) => line === previous.lines[i]);
  const ofLines = same ? previous : indicesOf(lines);
  const { componentById, portById, userByPort } = index;
  return {
    document,
    catalogue,
    shop,
    lines,
    lineById: ofLines.lineById,
    componentById,
    portById,
    userByPort,
    jointByKey: ofLines.jointByKey,
    linesByPart: ofLines.linesByPart,
    graph:
      same &&
      previous.catalogue === catalogue &&
      previous.document.components === document.components &&
      previous.document.ports === document.ports
        ? previous.graph
        : graphOf(document, lines, catalogue),
  };
}

/** A joint of a job by one name. */
export function jointKey(lineId: string, jointId: string): string {
  return `${lineId}/${jointId}`;
}

interface DocumentIndex {
  readonly componentById: ReadonlyMap<string, Component>;
  readonly portById: ReadonlyMap<string, Port>;
  readonly userByPort: ReadonlyMap<string, PortUser>;
}

function indexOf(document: JobDocument): DocumentIndex {
  const lineOn = new Map(document.lines.flatMap((l) => [[l.portA, l] as const, [l.portB, l] as const]));
  const movedTo = new Map(document.ports.flatMap((p) => (p.sensor?.movedTo ? [[p.sensor.movedTo.portId, p] as const] : [])));
  const userByPort = new Map<string, PortUser>();
  for (const port of document.ports) {
    const line = lineOn.get(port.id);
    const from = movedTo.get(port.id);
    // the rule is one; here it is asked with what can answer it, not with the whole job
    const user = userOfPort(port, { lines: line ? [line] : [], ports: from ? [from] : [] });
    if (user) userByPort.set(port.id, user);
  }
  return {
    componentById: new Map(document.components.map((c) => [c.id, c])),
    portById: new Map(document.ports.map((p) => [p.id, p])),
    userByPort,
  };
}

function indicesOf(lines: readonly AssembledLine[]): Pick<AssembledJob, 'lineById' | 'jointByKey' | 'linesByPart'> {
  const linesByPart = new Map<string, AssembledLine[]>();
  for (const line of lines)
    for (const id of partIdsIn(line)) {
      const users = linesByPart.get(id);
      if (users) users.push(line);
      else linesByPart.set(id, [line]);
    }
  return {
    lineById: new Map(lines.map((line) => [line.line.id, line])),
    jointByKey: new Map(lines.flatMap((line) => line.joints.map((joint) => [jointKey(line.line.id, joint.id), { line, joint }] as const))),
    linesByPart,
  };
}

function partIdsIn({ ways, pieces }: AssembledLine): Set<string> {
  return new Set([
    ...ways.flatMap((way) => [...(way.fittings ?? []), ...way.branches.flatMap((b) => b.fittings)].map((p) => p.fitting.id)),
    ...pieces.flatMap(({ hose, endA, endB }) => [hose?.id, endA?.id, endB?.id].filter((id) => id !== undefined)),
  ]);
}

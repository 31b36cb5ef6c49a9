import type { Connector } from '../connectors/index.js';
import { sameConnector } from '../connectors/index.js';
import { endName } from '../fittings/index.js';
import {
  branchPorts,
  findFitting,
  type Catalogue,
  type ChosenWay,
  type Line,
  type LineBranch,
  type LineWay,
  type Port,
} from '../job/index.js';
import type { JobDraft } from './job-draft.js';

/**
 * An open end given to another line gets a port that stands for it. A port of this way that the new one no longer names is taken over,
 * so that the line that runs from it stays on.
 */
export function settleBranchPorts(draft: JobDraft, before: Line, line: Line): Line {
  const { parts } = draft.context;
  if (!parts) return line;
  const settle = (way: LineWay, at: number): LineWay => {
    if (!way.chosen?.branches.some((b) => b.to === 'line' && !b.portId)) return way;
    const { chosen } = way;
    const named = new Set(branchPorts(line));
    const free = branchPorts({ ways: before.ways.slice(at, at + 1) }).filter((id) => !named.has(id));
    const branches = chosen.branches.map((branch): LineBranch => {
      if (branch.to !== 'line' || branch.portId) return branch;
      const connector = openConnector(parts, chosen, branch);
      if (!connector) return branch;
      const kept = free.shift();
      const port =
        kept === undefined ? addPort(draft, line, at, connector, bodyEnd(parts, chosen, branch)) : keepPort(draft, kept, connector);
      return { ...branch, portId: port.id };
    });
    return { ...way, chosen: { ...chosen, branches } };
  };
  return { ...line, ways: line.ways.map(settle) };
}

/** It hangs on the component that its way is nearest to. */
function addPort(draft: JobDraft, line: Line, at: number, connector: Connector, name: string | undefined): Port {
  const last = at > 0 && at === line.ways.length - 1;
  const { componentId } = draft.row('port', last ? line.portB : line.portA);
  const port: Port = {
    id: draft.context.newId(),
    jobId: draft.jobId,
    componentId,
    label: name ? `${name}, L${line.number}` : `branch of L${line.number}${at === 0 ? ', end A' : last ? ', end B' : ''}`,
    connector,
    note: '',
    order: draft.nextOrder(draft.document.ports.filter((p) => p.componentId === componentId)),
    openEnd: true,
    version: 1,
  };
  draft.add('port', port);
  return port;
}

/** What the end is called on the body it belongs to. */
function bodyEnd(parts: Catalogue, { fittings }: ChosenWay, { at, end }: LineBranch): string | undefined {
  const fitting = fittings[at] && findFitting(parts, fittings[at].id);
  return fitting?.body ? endName(fitting, end) : undefined;
}

function keepPort(draft: JobDraft, id: string, connector: Connector): Port {
  const port = draft.row('port', id);
  const { maybe: _maybe, said: _said, ...settled } = port;
  if (!port.connector || !sameConnector(port.connector, connector)) draft.put('port', { ...settled, connector });
  return port;
}

/** What the branch ends in: the open end itself, or the last adapter on it. */
function openConnector(parts: Catalogue, { fittings }: ChosenWay, branch: LineBranch): Connector | undefined {
  const last = branch.fittings[branch.fittings.length - 1];
  const tee = fittings[branch.at];
  if (last) return findFitting(parts, last.id)?.ends[last.outEnd];
  return tee && findFitting(parts, tee.id)?.ends[branch.end];
}

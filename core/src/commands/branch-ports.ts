import type { Connector } from '../connectors/index.js';
import { sameConnector } from '../connectors/index.js';
import type { Line, LineBranch, LineEnd, Port } from '../job/index.js';
import type { JobDraft } from './job-draft.js';
import { branchPorts } from './port-uses.js';

/**
 * An open end given to another line gets a port that stands for it. A port of this end that the new way no longer names is taken over,
 * so that the line that runs from it stays on.
 */
export function settleBranchPorts(draft: JobDraft, before: Line, line: Line): Line {
  if (!draft.context.parts) return line;
  const settle = (end: LineEnd, was: LineEnd, side: 'A' | 'B'): LineEnd => {
    if (!end.branches?.some((b) => b.to === 'line' && !b.portId)) return end;
    const named = new Set(branchPorts(line));
    const free = branchPorts({ ...before, endA: was, endB: { ...was, branches: [] } }).filter((id) => !named.has(id));
    const branches = end.branches.map((branch): LineBranch => {
      if (branch.to !== 'line' || branch.portId) return branch;
      const connector = openConnector(draft, end, branch);
      if (!connector) return branch;
      const kept = free.shift();
      const port = kept === undefined ? addPort(draft, line, end, connector, side) : keepPort(draft, kept, connector);
      return { ...branch, portId: port.id };
    });
    return { ...end, branches };
  };
  return { ...line, endA: settle(line.endA, before.endA, 'A'), endB: settle(line.endB, before.endB, 'B') };
}

function addPort(draft: JobDraft, line: Line, end: LineEnd, connector: Connector, side: 'A' | 'B'): Port {
  const { componentId } = draft.row('port', end.portId);
  const port: Port = {
    id: draft.context.newId(),
    jobId: draft.jobId,
    componentId,
    label: `branch of L${line.number}, end ${side}`,
    connector,
    note: '',
    position: draft.nextPosition(draft.document.ports.filter((p) => p.componentId === componentId)),
    openEnd: true,
    version: 1,
  };
  draft.add('port', port);
  return port;
}

function keepPort(draft: JobDraft, id: string, connector: Connector): Port {
  const port = draft.row('port', id);
  if (!sameConnector(port.connector, connector)) draft.put('port', { ...port, connector });
  return port;
}

/** What the branch ends in: the open end itself, or the last adapter on it. */
function openConnector({ context }: JobDraft, end: LineEnd, branch: LineBranch): Connector | undefined {
  const last = branch.fittings[branch.fittings.length - 1];
  const tee = end.fittings?.[branch.at];
  if (last) return context.parts?.fitting(last.id)?.ends[last.outEnd];
  return tee && context.parts?.fitting(tee.id)?.ends[branch.end];
}

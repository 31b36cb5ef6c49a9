import type { ChainLink } from '../chains/index.js';
import { constructions } from '../hose/index.js';
import { userOfPort, type Line, type LineEnd } from '../job/index.js';
import { CommandError } from './command-error.js';
import type { JobDraft } from './job-draft.js';
import { branchPorts } from './port-uses.js';

/**
 * Both ports must be of this job, not the same, and not used by another line; a port that is newly taken not by a sensor that was moved
 * to it either. @throws {CommandError} same-port, not-found, port-in-use
 */
export function checkPorts({ document }: JobDraft, line: Line, before?: Line): void {
  if (line.endA.portId === line.endB.portId) throw new CommandError('same-port', 'A line cannot run from a port to itself.', 'endB');
  for (const field of ['endA', 'endB'] as const) {
    const id = line[field].portId;
    const port = document.ports.find((p) => p.id === id);
    if (!port) throw new CommandError('not-found', 'The port is not in this job.', field);
    const user = document.lines.find((l) => l.id !== line.id && (l.endA.portId === id || l.endB.portId === id));
    if (user) throw new CommandError('port-in-use', `${port.label} is already used by L${user.number} ${user.name}.`, field);
    const sensor = id === before?.endA.portId || id === before?.endB.portId ? undefined : userOfPort(port, document);
    if (sensor?.kind === 'sensor' && sensor.from)
      throw new CommandError('port-in-use', `${port.label} holds the ${sensor.name} of ${sensor.from.label}: move it first.`, field);
    if (branchPorts(line).includes(id))
      throw new CommandError('same-port', 'A line cannot run from an open end of its own fittings.', field);
  }
}

/** Every link must name a fitting of the catalogue and ends that it has. A retired part may stay where it is. @throws {CommandError} bad-value */
export function checkLinks({ context }: JobDraft, links: readonly ChainLink[], field: string): void {
  if (!context.parts) return;
  for (const { id, inEnd, outEnd } of links) {
    const fitting = context.parts.fitting(id);
    const closes = fitting?.ends.length === 1 && inEnd === 0 && outEnd === 0;
    if (!fitting?.ends[inEnd] || (!closes && (!fitting.ends[outEnd] || inEnd === outEnd)))
      throw new CommandError('bad-value', `Fitting "${id}" is not in the catalogue.`, field);
  }
}

/**
 * What an end says of its fittings and of their open ends must hold: parts of the catalogue, branches on open ends that are there, each
 * given away once; a sensor's branch names a port of the job with a sensor in it, another line's branch only a port that stands for an
 * open end of this line already. @throws {CommandError} bad-value
 */
export function checkEnd(draft: JobDraft, before: Line, end: LineEnd, field: 'endA' | 'endB'): void {
  const refuse = (message: string): never => {
    throw new CommandError('bad-value', message, field);
  };
  const own = branchPorts(before);
  for (const { fittings, branches } of [{ fittings: end.fittings ?? [], branches: end.branches ?? [] }, ...(end.pinned ?? [])]) {
    checkLinks(draft, [...fittings, ...branches.flatMap((b) => b.fittings)], field);
    const given = new Set<string>();
    for (const branch of branches) {
      const link = fittings[branch.at];
      const ends = link && draft.context.parts?.fitting(link.id)?.ends;
      const open = link && branch.end !== link.inEnd && branch.end !== link.outEnd && (!ends || ends[branch.end]);
      if (!open) refuse('A branch names an end that its fitting does not have open.');
      if (given.has(`${branch.at}.${branch.end}`)) refuse('An open end is given away twice.');
      given.add(`${branch.at}.${branch.end}`);
      if (branch.portId === undefined) continue;
      const port = draft.document.ports.find((p) => p.id === branch.portId);
      if (branch.to === 'sensor' && !port?.sensor) refuse('A branch is kept for a sensor that is not in the survey of this job.');
      if (branch.to === 'line' && !(port?.openEnd && own.includes(port.id)))
        refuse('A branch names a port that does not stand for an open end of this line.');
      if (branch.to === 'plug') refuse('A plugged end names a port.');
    }
  }
}

/** The hose must be one that can be had. @throws {CommandError} bad-value */
export function checkHose({ context }: JobDraft, { construction, dash }: Line): void {
  if (construction !== null && !constructions.some((c) => c.id === construction))
    throw new CommandError('bad-value', `There is no hose construction "${construction}".`, 'construction');
  if (construction !== null && dash !== null && context.parts && !context.parts.hasHose(construction, dash))
    throw new CommandError('bad-value', `The catalogue has no such hose in -${dash}.`, 'dash');
}

import type { ChainLink } from '../chains/index.js';
import {
  branchPorts,
  endsOn,
  findFitting,
  findHose,
  findHoseEnd,
  partsOfWay,
  userOfPort,
  type KeptWay,
  type Line,
  type Piece,
} from '../job/index.js';
import { CommandError } from './command-error.js';
import type { JobDraft } from './job-draft.js';

/**
 * Both ports must be of this job, not the same, and not used by another line; a port that is newly taken not by a sensor that was moved
 * to it either. @throws {CommandError} same-port, not-found, port-in-use
 */
export function checkPorts({ document }: JobDraft, line: Line, before?: Line): void {
  if (line.portA === line.portB) throw new CommandError('same-port', 'A line cannot run from a port to itself.', 'portB');
  for (const field of ['portA', 'portB'] as const) {
    const id = line[field];
    const port = document.ports.find((p) => p.id === id);
    if (!port) throw new CommandError('not-found', 'The port is not in this job.', field);
    const user = document.lines.find((l) => l.id !== line.id && endsOn(l, id));
    if (user) throw new CommandError('port-in-use', `${port.label} is already used by L${user.number} ${user.name}.`, field);
    const sensor = before && endsOn(before, id) ? undefined : userOfPort(port, document);
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
    const fitting = findFitting(context.parts, id);
    const closes = fitting?.ends.length === 1 && inEnd === 0 && outEnd === 0;
    if (!fitting?.ends[inEnd] || (!closes && (!fitting.ends[outEnd] || inEnd === outEnd)))
      throw new CommandError('bad-value', `Fitting "${id}" is not in the catalogue.`, field);
  }
}

/** Fittings that a way is to have or must not have are parts of the catalogue. @throws {CommandError} bad-value */
export function checkWished({ context }: JobDraft, ids: readonly string[], field: string): void {
  const unknown = context.parts && ids.find((id) => !findFitting(context.parts!, id));
  if (unknown !== undefined) throw new CommandError('bad-value', `Fitting "${unknown}" is not in the catalogue.`, field);
}

/**
 * What a way says of its fittings and of their open ends must hold: parts of the catalogue, branches on open ends that are there, each
 * given away once; a sensor's branch names a port of the job with a sensor in it, another line's branch only a port that stands for an
 * open end of this line already. @throws {CommandError} bad-value
 */
export function checkWay(draft: JobDraft, before: Line, way: KeptWay, field: string): void {
  const refuse = (message: string): never => {
    throw new CommandError('bad-value', message, field);
  };
  const own = branchPorts(before);
  checkLinks(draft, partsOfWay(way), field);
  const given = new Set<string>();
  for (const branch of way.branches) {
    const link = way.fittings[branch.at];
    const ends = link && draft.context.parts && findFitting(draft.context.parts, link.id)?.ends;
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

/** The hose and its ends must be ones that can be had; a piece that was made before says how long it is. @throws {CommandError} bad-value */
export function checkPiece({ context }: JobDraft, piece: Piece): void {
  const { hose, endA, endB, source, hasMm } = piece;
  if (context.parts && hose !== null && !findHose(context.parts, hose))
    throw new CommandError('bad-value', `There is no hose "${hose}" in the catalogue.`, 'hose');
  for (const [field, id] of [
    ['endA', endA],
    ['endB', endB],
  ] as const)
    if (context.parts && id !== null && !findHoseEnd(context.parts, id))
      throw new CommandError('bad-value', `There is no hose end "${id}" in the catalogue.`, field);
  if (source === 'cut' && hasMm !== undefined)
    throw new CommandError('bad-value', 'A hose that is cut has no length of its own yet.', 'hasMm');
}

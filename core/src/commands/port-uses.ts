import { branchPorts, endsOn, type JobDocument, type Line } from '../job/index.js';
import type { JobDraft } from './job-draft.js';

/** The lines that end on one of the ports, by number. */
export function linesOn({ lines }: JobDocument, portIds: readonly string[]): Line[] {
  return lines.filter((l) => portIds.some((id) => endsOn(l, id))).sort((a, b) => a.number - b.number);
}

/** `L1, L4`. */
export function listed(lines: readonly Line[]): string {
  return lines.map((l) => `L${l.number}`).join(', ');
}

/** The line whose tee or cross has an open end that a port stands for. */
export function lineOfBranch({ lines }: JobDocument, portId: string): Line | undefined {
  return lines.find((l) => branchPorts(l).includes(portId));
}

/** Sensors that were to move to one of these ports have no place again. */
export function forgetPlaces(draft: JobDraft, portIds: readonly string[]): void {
  for (const port of draft.document.ports)
    if (port.sensor?.movedTo && portIds.includes(port.sensor.movedTo.portId))
      draft.put('port', { ...port, sensor: { ...port.sensor, movedTo: null } });
}

/** An open end's port lives as long as a branch names it or a line runs from it; what has neither goes. */
export function sweepOpenEnds(draft: JobDraft): void {
  const { document } = draft;
  const named = new Set(document.lines.flatMap((l) => [l.portA, l.portB, ...branchPorts(l)]));
  const left = document.ports.filter((p) => p.openEnd && !named.has(p.id)).map((p) => p.id);
  if (left.length > 0) forgetPlaces(draft, left);
  for (const id of left) draft.remove('port', id);
}

import { jobEntities, serviceById, type Line, type LineEnd } from '../job/index.js';
import { settleBranchPorts } from './branch-ports.js';
import { checkEnd, checkHose, checkPorts } from './check-ends.js';
import { CommandError } from './command-error.js';
import type { CommandOf } from './command-schemas.js';
import { MOST_ROWS, type JobDraft } from './job-draft.js';

/** Slack a new line starts with: hoses shorten and lengthen by −4 to +2 % under pressure (SAE J1273). */
const USUAL_SLACK_PERCENT = 2;

/** A line between two ports, all else still open. */
export function addLine(draft: JobDraft, command: CommandOf<'add-line'>): string {
  const { lines } = draft.document;
  if (lines.length >= MOST_ROWS.line) throw new CommandError('too-many', `A job holds at most ${MOST_ROWS.line} lines.`);
  const end = (portId: string): LineEnd => ({ portId, angleDeg: 0, fittings: null });
  const made: Line = {
    id: command.id ?? draft.context.newId(),
    jobId: draft.jobId,
    number: Math.max(0, ...lines.map((l) => l.number)) + 1,
    name: command.name?.trim() || serviceById(command.service).name,
    service: command.service,
    construction: null,
    dash: null,
    endA: end(command.fromPortId),
    endB: end(command.toPortId),
    tapedLengthMm: null,
    slackPercent: USUAL_SLACK_PERCENT,
    checked: false,
    note: '',
    position: draft.nextPosition(lines),
    version: 1,
  };
  checkPorts(draft, made);
  draft.add('line', made);
  return `Add L${made.number} ${made.name}`;
}

export function editLine(draft: JobDraft, { id, version, set }: CommandOf<'edit-line'>): string {
  const before = draft.editable('line', id, version);
  const { name } = set;
  const merged: Line = { ...before, ...set, ...(name === undefined ? {} : { name: name.trim() }) };
  changeLine(draft, before, merged, set);
  const fields = Object.keys(set).map((field) => jobEntities.line.fields[field as keyof typeof jobEntities.line.fields]);
  return `Edit L${before.number} ${before.name}: ${fields.join(', ')}`;
}

/** Takes a way at one end: its fittings, and what their open ends are given to. */
export function takeWay(draft: JobDraft, { id, version, side, fittings, branches }: CommandOf<'take-way'>): string {
  const before = draft.editable('line', id, version);
  const field = side === 'A' ? 'endA' : 'endB';
  const { branches: _, ...end } = before[field];
  const set = { [field]: { ...end, fittings, ...(branches.length > 0 ? { branches } : {}) } };
  changeLine(draft, before, { ...before, ...set }, set);
  return `Take a way at L${before.number} ${side}`;
}

export function deleteLine(draft: JobDraft, { id, version }: CommandOf<'delete-line'>): string {
  const line = draft.editable('line', id, version);
  draft.remove('line', id);
  return `Delete L${line.number} ${line.name}`;
}

function changeLine(draft: JobDraft, before: Line, merged: Line, set: Partial<Line>): void {
  const next = { ...merged, endA: wellFormed(merged.endA, before.endA), endB: wellFormed(merged.endB, before.endB) };
  checkPorts(draft, next, before);
  for (const field of ['endA', 'endB'] as const) if (set[field]) checkEnd(draft, before, next[field], field);
  if (set.construction !== undefined || set.dash !== undefined) checkHose(draft, next);
  const settled = settleBranchPorts(draft, before, next);
  const checked = set.checked ?? (settled.checked && madeAlike(before, settled));
  const { made, ...rest } = settled;
  draft.put('line', { ...rest, checked, ...(made && made.length > 0 ? { made } : {}) });
}

/** No branches without a way; what was pinned at another port does not fit this one. */
function wellFormed(end: LineEnd, was: LineEnd): LineEnd {
  const { branches, pinned, ...rest } = end;
  const moved = end.portId !== was.portId;
  return { ...rest, ...(branches && end.fittings !== null ? { branches } : {}), ...(pinned && !moved ? { pinned } : {}) };
}

/** What was checked is still what will be made: neither the hose nor its lengths, ports, angles or ways have changed. */
function madeAlike(a: Line, b: Line): boolean {
  const end = ({ portId, angleDeg, fittings, branches }: LineEnd) => [portId, angleDeg, fittings, branches ?? []];
  const made = (l: Line) => JSON.stringify([l.service, l.construction, l.dash, l.tapedLengthMm, l.slackPercent, end(l.endA), end(l.endB)]);
  return made(a) === made(b);
}

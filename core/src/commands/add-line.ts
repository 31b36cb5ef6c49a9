import { serviceById, type Line, type LineWay } from '../job/index.js';
import { checkPorts } from './check-line.js';
import { CommandError } from './command-error.js';
import type { CommandOf } from './command-schemas.js';
import { MOST_ROWS, type JobDraft } from './job-draft.js';
import { newPiece } from './line-commands.js';
import { editPiece } from './piece-commands.js';

/** A line between two ports with one hose, or with none; what is not said of the hose is still open. */
export function addLine(draft: JobDraft, command: CommandOf<'add-line'>): string {
  const { lines } = draft.document;
  if (lines.length >= MOST_ROWS.line) throw new CommandError('too-many', `A job holds at most ${MOST_ROWS.line} lines.`);
  const open = (): LineWay => ({ chosen: null });
  const made: Line = {
    id: command.id ?? draft.context.newId(),
    jobId: draft.jobId,
    number: Math.max(0, ...lines.map((l) => l.number)) + 1,
    name: command.name?.trim() || serviceById(command.service).name,
    service: command.service,
    portA: command.fromPortId,
    portB: command.toPortId,
    pieces: command.hose === false ? [] : [newPiece(draft)],
    ways: command.hose === false ? [open()] : [open(), open()],
    checked: null,
    note: '',
    order: draft.nextOrder(lines),
    version: 1,
  };
  checkPorts(draft, made);
  draft.add('line', made);
  const [piece] = made.pieces;
  if (command.piece) {
    if (!piece) throw new CommandError('bad-value', 'A line of fittings alone has no hose to decide on.', 'piece');
    editPiece(draft, { do: 'edit-piece', id: made.id, version: made.version, piece: piece.key, set: command.piece });
  }
  return `Add L${made.number} ${made.name}`;
}

import {
  jobEntities,
  jointIdsIn,
  keyedWay,
  placedIn,
  portMoved,
  withTapedOver,
  type Found,
  type Line,
  type LineWay,
  type Piece,
} from '../job/index.js';
import { settleBranchPorts } from './branch-ports.js';
import { checkLinks, checkPorts, checkWay, checkWished } from './check-line.js';
import { CommandError } from './command-error.js';
import type { CommandOf } from './command-schemas.js';
import type { JobDraft } from './job-draft.js';

/** Slack a new piece starts with: hoses shorten and lengthen by −4 to +2 % under pressure (SAE J1273). */
const USUAL_SLACK_PERCENT = 2;

/** A piece of which nothing is decided yet. */
export function newPiece(draft: JobDraft): Piece {
  return { key: draft.newKey(), hose: null, endA: null, endB: null, length: null, slackPercent: USUAL_SLACK_PERCENT, source: 'cut' };
}

/** A port that is changed takes the way at its end with it: it was found for the port before. */
export function editLine(draft: JobDraft, { id, version, set }: CommandOf<'edit-line'>): string {
  const before = draft.editable('line', id, version);
  const { name } = set;
  const last = before.ways.length - 1;
  const moved = (at: number): boolean =>
    (at === 0 && set.portA !== undefined && set.portA !== before.portA) ||
    (at === last && set.portB !== undefined && set.portB !== before.portB);
  const ways = before.ways.map((way, at): LineWay => (moved(at) ? { chosen: null, ...(way.wishes ? { wishes: way.wishes } : {}) } : way));
  const { fluid: said, flow = before.flow, ...rest } = set;
  const { fluid: was, flow: _flow, ...line } = before;
  const sides = (['A', 'B'] as const).filter((side) => set[`port${side}`] !== undefined && set[`port${side}`] !== before[`port${side}`]);
  if (set.found) checkFound(set.found);
  const fluid = said === undefined ? was : said;
  putLine(draft, before, {
    ...line,
    ...rest,
    ...(fluid ? { fluid } : {}),
    ...(flow && Object.keys(flow).length > 0 ? { flow } : {}),
    ways,
    ...(before.checked && sides.length > 0 ? { checked: portMoved(before.checked, sides) } : {}),
    ...(name === undefined ? {} : { name: name.trim() }),
  });
  const fields = Object.keys(set).map((field) => jobEntities.line.fields[field as keyof typeof jobEntities.line.fields]);
  return `Edit L${before.number} ${before.name}: ${fields.join(', ')}`;
}

/** A joint is recorded once. */
function checkFound(found: readonly Found[]): void {
  const twice = found.find((one, i) => found.findIndex((other) => other.joint === one.joint) !== i);
  if (twice) throw new CommandError('bad-value', 'A joint is recorded twice.', 'found');
}

/** Takes a way: its fittings, and what their open ends are given to. Parts that stand there already keep their keys. */
export function takeWay(draft: JobDraft, { id, version, at, fittings, branches }: CommandOf<'take-way'>): string {
  const before = draft.editable('line', id, version);
  const was = wayAt(before, at);
  checkWay(draft, before, { fittings, branches }, 'ways');
  const chosen = keyedWay({ fittings, branches }, was.chosen, () => draft.newKey());
  putLine(draft, before, withWay(before, at, { ...was, chosen }));
  return `Take a way at ${placeOf(before, at)}`;
}

/** What is wished of a way, and which ways are kept in sight. */
export function editWay(draft: JobDraft, { id, version, at, set }: CommandOf<'edit-way'>): string {
  const before = draft.editable('line', id, version);
  for (const way of set.pinned ?? []) checkWay(draft, before, way, 'ways');
  if (set.pinned)
    checkLinks(
      draft,
      set.pinned.flatMap((w) => w.fittings),
      'ways',
    );
  checkWished(draft, [...(set.wishes?.use ?? []), ...(set.wishes?.avoid ?? [])], 'wishes');
  putLine(draft, before, withWay(before, at, { ...wayAt(before, at), ...set }));
  const words = [...(set.wishes ? ['wishes'] : []), ...(set.pinned ? ['ways kept in sight'] : [])];
  return `Edit ${placeOf(before, at)}: ${words.join(', ')}`;
}

/** Signs a line off as it is now, or takes that back. @throws {CommandError} held, where something stands against it */
export function checkLine(draft: JobDraft, { id, version, checked }: CommandOf<'check-line'>): string {
  const before = draft.editable('line', id, version);
  const [held] = checked ? (draft.context.heldBy?.(draft.document, id) ?? []) : [];
  if (held !== undefined) throw new CommandError('held', `L${before.number} cannot be checked yet. ${held}`);
  draft.put('line', { ...before, checked });
  return `${checked ? 'Check' : 'Uncheck'} L${before.number} ${before.name}`;
}

export function deleteLine(draft: JobDraft, { id, version }: CommandOf<'delete-line'>): string {
  const line = draft.editable('line', id, version);
  draft.remove('line', id);
  return `Delete L${line.number} ${line.name}`;
}

/** The way at a place of the line. @throws {CommandError} not-found */
export function wayAt(line: Line, at: number): LineWay {
  const way = line.ways[at];
  if (!way) throw new CommandError('not-found', `L${line.number} has no such place: it has changed in the meantime.`, 'at');
  return way;
}

export function withWay(line: Line, at: number, way: LineWay): Line {
  return { ...line, ways: line.ways.map((w, i) => (i === at ? way : w)) };
}

/** `L4 A`, `L4 B`, `L4, second way`. */
export function placeOf({ number, ways }: Line, at: number): string {
  if (at === 0) return ways.length === 1 ? `L${number}` : `L${number} A`;
  return at === ways.length - 1 ? `L${number} B` : `L${number}, way ${at + 1}`;
}

/** Puts a line that was changed: its ports checked, its open ends given ports, marks of joints that are gone left behind. */
export function putLine(draft: JobDraft, before: Line, next: Line): void {
  checkPorts(draft, next, before);
  const { made = [], provisional = [], found = [], ...line } = settleBranchPorts(draft, before, withSeatsNoted(draft, before, next));
  const joints = new Set(jointIdsIn(line));
  const things = new Set([...joints, ...placedIn(line).map((p) => p.key)]);
  draft.put('line', {
    ...line,
    ...listed(
      'made',
      made.filter((id) => joints.has(id)),
    ),
    ...listed(
      'provisional',
      [...new Set(provisional)].filter((id) => things.has(id)),
    ),
    ...listed(
      'found',
      found.filter(({ joint }) => joints.has(joint)),
    ),
  });
}

/** What a hose was taped over is noted, at the latest, when a way beside it changes: the seats move with it. */
function withSeatsNoted({ context }: JobDraft, before: Line, next: Line): Line {
  if (!context.parts || next.ways.every((way, i) => way.chosen === before.ways[i]?.chosen)) return next;
  const taped = new Map(withTapedOver(before, context.parts).pieces.map(({ key, length }) => [key, length]));
  const pieces = next.pieces.map((piece): Piece => {
    const { length } = piece;
    const was = taped.get(piece.key);
    return length && !length.over && was?.over && was.mm === length.mm && was.as === length.as ? { ...piece, length: was } : piece;
  });
  return { ...next, pieces };
}

/** A list of a line; none where it is empty. */
function listed<F extends 'made' | 'provisional' | 'found'>(field: F, list: NonNullable<Line[F]>): Partial<Pick<Line, F>> {
  return list.length > 0 ? ({ [field]: list } as Partial<Pick<Line, F>>) : {};
}

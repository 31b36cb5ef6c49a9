import { connectorKey } from '../connectors/index.js';
import {
  endOfAngle,
  findHose,
  findHoseEnd,
  hoseJointId,
  MOST_PIECES,
  tapedOver,
  type Line,
  type LineWay,
  type Piece,
  type PieceLength,
} from '../job/index.js';
import { checkPiece, checkWished } from './check-line.js';
import { CommandError } from './command-error.js';
import type { CommandOf } from './command-schemas.js';
import type { JobDraft } from './job-draft.js';
import { newPiece, placeOf, putLine, wayAt } from './line-commands.js';

/**
 * Another hose keeps its ends' angles where they are made for it; a way stays where the hose end beside it has the same connector as
 * before. A length that is taped notes what stood on both sides.
 */
export function editPiece(draft: JobDraft, { id, version, piece: key, set }: CommandOf<'edit-piece'>): string {
  const before = draft.editable('line', id, version);
  const at = indexOf(before, key);
  const was = before.pieces[at]!;
  const { length, ...rest } = set;
  const { hasMm, ...merged }: Piece = { ...was, ...rest };
  const sized: Piece = { ...merged, ...(hasMm !== undefined && merged.source !== 'cut' ? { hasMm } : {}) };
  const fitted = set.hose === undefined || set.hose === was.hose ? sized : withEndsFor(draft, sized, was, set);
  const { wanted, ...decided } = fitted;
  const next: Piece = {
    ...decided,
    ...(wanted && fitted.hose === null && Object.keys(wanted).length > 0 ? { wanted } : {}),
    ...(length === undefined ? {} : { length: length && { ...length, ...overOf(draft, before, at, length) } }),
  };
  checkPiece(draft, next);
  const pieces = before.pieces.map((p, i) => (i === at ? next : p));
  const loose = (['A', 'B'] as const).filter((side) => next[`end${side}`] !== was[`end${side}`]);
  const stale = loose
    .filter((side) => !sameConnector(draft, was[`end${side}`], next[`end${side}`]))
    .map((side) => (side === 'A' ? at : at + 1));
  const ways = before.ways.map((way, i): LineWay => (stale.includes(i) ? { ...way, chosen: null } : way));
  const undone = new Set([
    ...(next.hose === was.hose ? [] : [hoseJointId(key, 'A'), hoseJointId(key, 'B')]),
    ...loose.map((side) => hoseJointId(key, side)),
  ]);
  const made = before.made?.filter((joint) => !undone.has(joint) && !loose.some((side) => joint.split('>').includes(`${key}.${side}`)));
  putLine(draft, before, { ...before, pieces, ways, ...(made ? { made } : {}) });
  return `Edit L${before.number} ${before.name}: ${wordsFor(set)}`;
}

/** A piece becomes two, with a way between them that is still to be chosen. What was taped runs over both, and says nothing of each. */
export function breakLine(draft: JobDraft, { id, version, piece: key, use }: CommandOf<'break-line'>): string {
  const before = draft.editable('line', id, version);
  const at = indexOf(before, key);
  roomForPiece(before);
  checkWished(draft, use ?? [], 'use');
  const { length: _, wanted, ...whole } = before.pieces[at]!;
  const middle = straightEnd(draft, whole);
  const { angleA, angleB, ...sized } = wanted ?? {};
  const want = (angles: Piece['wanted']): Pick<Piece, 'wanted'> => {
    const all = { ...sized, ...angles };
    return Object.keys(all).length > 0 ? { wanted: all } : {};
  };
  const first: Piece = { ...whole, endB: middle, length: null, ...want(angleA === undefined ? {} : { angleA }) };
  const second: Piece = {
    ...newPiece(draft),
    hose: whole.hose,
    endA: middle,
    endB: whole.endB,
    slackPercent: whole.slackPercent,
    ...want(angleB === undefined ? {} : { angleB }),
  };
  const between: LineWay = { chosen: null, ...(use ? { wishes: { use } } : {}) };
  putLine(draft, before, {
    ...before,
    pieces: [...before.pieces.slice(0, at), first, second, ...before.pieces.slice(at + 1)],
    ways: [...before.ways.slice(0, at + 1), between, ...before.ways.slice(at + 1)],
  });
  return `Break L${before.number} ${before.name}`;
}

/** Two pieces become one again: the hose of the first, the far end of the second. */
export function joinLine(draft: JobDraft, { id, version, at }: CommandOf<'join-line'>): string {
  const before = draft.editable('line', id, version);
  const [first, second] = [before.pieces[at - 1], before.pieces[at]];
  if (!first || !second) throw new CommandError('bad-value', `There is nothing between two hoses at ${placeOf(before, at)}.`, 'at');
  const same = second.hose === first.hose;
  const far = same || !draft.context.parts ? second.endB : refitted(draft, first.hose, second.endB);
  const one: Piece = { ...first, endB: far, length: null };
  const ways = before.ways
    .filter((_, i) => i !== at)
    .map((way, i): LineWay => (i === at && far !== second.endB ? { ...way, chosen: null } : way));
  putLine(draft, before, { ...before, pieces: [...before.pieces.slice(0, at - 1), one, ...before.pieces.slice(at + 1)], ways });
  return `Make L${before.number} ${before.name} whole again`;
}

export function addPiece(draft: JobDraft, { id, version, at }: CommandOf<'add-piece'>): string {
  const before = draft.editable('line', id, version);
  wayAt(before, at);
  roomForPiece(before);
  putLine(draft, before, {
    ...before,
    pieces: [...before.pieces.slice(0, at), newPiece(draft), ...before.pieces.slice(at)],
    ways: [...before.ways.slice(0, at), { chosen: null }, { chosen: null }, ...before.ways.slice(at + 1)],
  });
  return `Put a hose into L${before.number} ${before.name}`;
}

export function removePiece(draft: JobDraft, { id, version, piece: key }: CommandOf<'remove-piece'>): string {
  const before = draft.editable('line', id, version);
  const at = indexOf(before, key);
  putLine(draft, before, {
    ...before,
    pieces: before.pieces.filter((_, i) => i !== at),
    ways: [...before.ways.slice(0, at), { chosen: null }, ...before.ways.slice(at + 2)],
  });
  return `Take a hose out of L${before.number} ${before.name}`;
}

function indexOf(line: Line, key: string): number {
  const at = line.pieces.findIndex((p) => p.key === key);
  if (at < 0) throw new CommandError('not-found', `L${line.number} has no such hose, or no longer.`, 'piece');
  return at;
}

function roomForPiece({ pieces }: Line): void {
  if (pieces.length >= MOST_PIECES) throw new CommandError('too-many', `A line has at most ${MOST_PIECES} pieces of hose.`);
}

/** The ends of a piece for another hose, as far as the sender does not say them. */
function withEndsFor(draft: JobDraft, piece: Piece, was: Piece, set: CommandOf<'edit-piece'>['set']): Piece {
  const end = (side: 'A' | 'B'): string | null => {
    const said = set[`end${side}`];
    if (said !== undefined) return said;
    return refitted(draft, piece.hose, was[`end${side}`], was.wanted?.[`angle${side}`]);
  };
  return { ...piece, endA: end('A'), endB: end('B') };
}

/** An end for a hose at the angle of another one; straight where it is not made so. */
function refitted({ context }: JobDraft, hoseId: string | null, endId: string | null, angle = 0): string | null {
  const { parts } = context;
  const hose = parts && findHose(parts, hoseId);
  if (!hose) return null;
  const before = findHoseEnd(parts, endId);
  const made = endOfAngle(parts, hose, before?.angleDeg ?? angle, before) ?? endOfAngle(parts, hose, 0, before);
  return made?.id ?? null;
}

function straightEnd(draft: JobDraft, { hose, endA }: Pick<Piece, 'hose' | 'endA'>): string | null {
  const { parts } = draft.context;
  const made = parts && findHose(parts, hose);
  return made ? (endOfAngle(parts, made, 0, findHoseEnd(parts, endA))?.id ?? null) : null;
}

function sameConnector({ context }: JobDraft, a: string | null, b: string | null): boolean {
  if (!context.parts) return true;
  const [one, other] = [findHoseEnd(context.parts, a), findHoseEnd(context.parts, b)];
  return one !== undefined && other !== undefined && connectorKey(one.connector) === connectorKey(other.connector);
}

/** What stands on both sides of a piece as it is taped. */
function overOf({ context }: JobDraft, line: Line, at: number, { as }: PieceLength): Pick<PieceLength, 'over'> {
  if (as !== 'taped' || !context.parts) return {};
  const over = tapedOver(context.parts, [line.ways[at]!.chosen, line.ways[at + 1]!.chosen]);
  return over ? { over } : {};
}

const pieceWords: Record<keyof CommandOf<'edit-piece'>['set'], string> = {
  hose: 'hose',
  endA: 'end A',
  endB: 'end B',
  wanted: 'hose',
  length: 'length',
  slackPercent: 'slack',
  source: 'where it comes from',
  hasMm: 'length it has',
  provisional: 'provisional',
};

function wordsFor(set: CommandOf<'edit-piece'>['set']): string {
  return [...new Set(Object.keys(set).map((field) => pieceWords[field as keyof typeof pieceWords]))].join(', ');
}

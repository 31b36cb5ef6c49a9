import { CommandError } from '../commands/index.js';
import { agesOnTheRack, soldByLength } from '../job/index.js';
import {
  cutOff,
  freeMm,
  isFree,
  leftAs,
  reservedByOthers,
  reserveLengths,
  sameCut,
  takenOff,
  toLookOver,
  usualStoreRules,
  wholeAgain,
  type Ageing,
  type CutMade,
  type HoseLength,
  type StockCommandOf,
  type StoreRules,
} from '../stock/index.js';
import type { ShopDraft } from './shop-draft.js';
import { taped } from '../units/index.js';

/** Puts lengths; hose is drawn and counted in metres, so what changes on the rack is told with its part. */
export function putLengths(draft: ShopDraft, ...lengths: readonly HoseLength[]): void {
  for (const length of lengths) draft.put('length', length);
  for (const id of new Set(lengths.map((l) => l.part))) {
    if (!draft.find('part', id)) continue;
    const own = draft.changes('length').filter((c) => (c.now ?? c.before)?.part === id);
    const mm = own.reduce((sum, { before, now }) => sum + racked(now) - racked(before), draft.ask.rackedMm(id));
    draft.tellRacked(id, Math.max(0, Math.floor(mm / 1000)));
  }
}

const racked = (length: HoseLength | undefined): number => (length?.state === 'there' && length.kind !== 'made' ? length.mm : 0);

function storeRules(draft: ShopDraft): StoreRules {
  return { ...usualStoreRules, ...draft.find('storeRules', 'store-rules')?.rules };
}

function ageing(draft: ShopDraft, { part }: Pick<HoseLength, 'part'>): Ageing {
  return { oldYears: storeRules(draft).oldYears, today: draft.context.today, ages: agesOnTheRack(draft.part(part)) };
}

/** @throws {CommandError} bad-value */
function madeBefore(draft: ShopDraft, day: string | null | undefined): void {
  if (day != null && day > draft.context.today) throw new CommandError('bad-value', 'It was not made in the future.', 'madeOn');
}

export function addLength(draft: ShopDraft, { length }: StockCommandOf<'add-length'>): string {
  const part = draft.part(length.part);
  if (!soldByLength(part)) throw new CommandError('bad-value', `${part.part.name} is not cut to length.`, 'part');
  if (length.mm <= 0) throw new CommandError('bad-value', 'A length has a length.', 'mm');
  madeBefore(draft, length.madeOn);
  if ((length.kind === 'made') !== (length.ends !== undefined))
    throw new CommandError(
      'bad-value',
      length.kind === 'made' ? 'A made hose has two ends: say which.' : 'Only a made hose has its ends on.',
      'ends',
    );
  for (const end of length.ends ?? [])
    if (draft.part(end).kind !== 'hose end') throw new CommandError('bad-value', `"${end}" is no hose end.`, 'ends');
  if (length.jobId !== undefined) draft.jobIsThere(length.jobId);
  const id = draft.nextNumber('length');
  putLengths(draft, { id, ...length, since: draft.context.today, state: 'there', version: 1 });
  return `Put ${id} on the rack: ${part.part.name}`;
}

export function editLength(draft: ShopDraft, { id, version, set }: StockCommandOf<'edit-length'>): string {
  const before = draft.editable('length', id, version, movedWords);
  if (before.state !== 'there') throw new CommandError('not-enough', `${id} is not on the rack any more.`);
  if (set.jobId) draft.jobIsThere(set.jobId);
  madeBefore(draft, set.madeOn);
  const { mm, ...rest } = set;
  const merged: Record<string, unknown> = { ...before };
  for (const [field, value] of Object.entries(rest)) {
    if (value === null) delete merged[field];
    else if (value !== undefined) merged[field] = value;
  }
  const next = merged as unknown as HoseLength;
  const measured =
    mm === undefined || before.kind === 'made' ? { ...next, ...(mm === undefined ? {} : { mm }) } : leftAs(next, mm, storeRules(draft));
  putLengths(draft, trimmedToLength(measured));
  return mm === undefined ? `Change ${id}` : measured.state === 'used' ? `Throw the rest of ${id} away` : `Measure ${id}`;
}

/** No more is reserved of a length than there is: who reserved last goes without first. */
function trimmedToLength(length: HoseLength): HoseLength {
  if (!length.reserved) return length;
  let left = length.state === 'there' ? length.mm : 0;
  const reserved = length.reserved.flatMap((r) => {
    const mm = Math.min(r.mm, left);
    left -= mm;
    return mm > 0 ? [{ ...r, mm }] : [];
  });
  const { reserved: _, ...rest } = length;
  return reserved.length > 0 ? { ...rest, reserved } : rest;
}

/** Who said so and why, behind what was done; the history has no other place for it. */
function said({ by, note }: { readonly by?: string | undefined; readonly note?: string | undefined }): string {
  return `${note ? `: ${note}` : ''}${by ? ` (${by})` : ''}`;
}

export function scrapLength(draft: ShopDraft, { id, version, ...words }: StockCommandOf<'scrap-length'>): string {
  const { reserved: _, ...before } = draft.editable('length', id, version, movedWords);
  if (before.state !== 'there') throw new CommandError('not-enough', `${id} is not on the rack any more.`);
  putLengths(draft, { ...before, state: 'scrapped' });
  return `Throw ${id} away${said(words)}`;
}

/** What a job plans to cut is kept for it, on these lengths and on no others. @throws {CommandError} not-found, not-enough */
export function reserveForJob(draft: ShopDraft, { jobId, lengths }: StockCommandOf<'reserve-lengths'>): string {
  draft.jobIsThere(jobId);
  const wanted = new Map(lengths.map(({ id, mm }) => [id, mm]));
  if (wanted.size < lengths.length) throw new CommandError('bad-value', 'A length stands twice.', 'lengths');
  const before = draft.ask.lengthsReservedFor(jobId).map((l) => l.id);
  for (const id of new Set([...wanted.keys(), ...before]))
    putLengths(draft, reserveLengths(draft.row('length', id), jobId, wanted.get(id) ?? 0));
  const number = draft.ask.jobNumber(jobId);
  return wanted.size === 0
    ? `Give the lengths free that were reserved for ${number}`
    : `Reserve ${wanted.size} ${wanted.size === 1 ? 'length' : 'lengths'} for ${number}`;
}

/** A piece is sawn off a length: the length gets shorter, the piece is recorded. Two who cut from one length: the second is told. */
export function cutPiece(draft: ShopDraft, command: StockCommandOf<'cut-piece'>): string {
  const { do: _, id = draft.context.newId(), lengthId, lengthVersion, trimmedMm, leftMm, by, ...what } = command;
  const length = draft.editable('length', lengthId, lengthVersion, movedWords);
  lineIsOfJob(draft, what);
  const age = ageing(draft, length);
  if (!isFree(length, what.jobId, age))
    throw new CommandError('not-enough', toLookOver(length, age) ?? notFree(draft, length, what.jobId), 'lengthId');
  notCutYet(draft, { ...what, part: length.part });
  const rules = storeRules(draft);
  const sawn = { measuredMm: what.measuredMm, trimmedMm, ...(leftMm === undefined ? {} : { leftMm }) };
  const left = ownServed(cutOff(length, sawn, rules), what.jobId, takenOff(sawn, rules));
  if (reservedByOthers(length, what.jobId) > left.mm + 0.5)
    throw new CommandError('not-enough', notFree(draft, length, what.jobId), 'lengthId');
  putLengths(draft, trimmedToLength({ ...keptForOthers(left, what.jobId), sawnOn: draft.context.today }));
  draft.add('cut', {
    ...what,
    id,
    part: length.part,
    lengthId,
    tookMm: Math.round((length.mm - left.mm) * 10) / 10,
    state: 'cut',
    at: draft.context.now,
    ...(by ? { by } : {}),
    version: 1,
  });
  return `Cut ${what.ticket} off ${lengthId}`;
}

/** What is left is too short to be kept by the rule of the house, and is kept all the same where another job has reserved it. */
function keptForOthers(left: HoseLength, jobId: string): HoseLength {
  if (left.state === 'there' || reservedByOthers(left, jobId) === 0) return left;
  return { ...left, state: 'there', kind: left.kind === 'length' ? 'offcut' : left.kind };
}

/** What was reserved for a job is less by what was cut for it, and goes without first where what is left is shorter than was thought. */
function ownServed(length: HoseLength, jobId: string, tookMm: number): HoseLength {
  const { reserved = [], ...rest } = length;
  const most = length.mm - reservedByOthers(length, jobId);
  const next = reserved.flatMap((r) => {
    if (r.jobId !== jobId) return [r];
    const mm = Math.round(Math.min(r.mm - tookMm, most) * 10) / 10;
    return mm > 0 ? [{ jobId, mm }] : [];
  });
  return next.length > 0 ? { ...rest, reserved: next } : rest;
}

function notFree(draft: ShopDraft, length: HoseLength, jobId: string): string {
  if (length.state !== 'there') return `${length.id} is not on the rack any more.`;
  if (length.jobId !== undefined && length.jobId !== jobId) return `${length.id} is kept for another job.`;
  const others = (length.reserved ?? []).filter((r) => r.jobId !== jobId).map((r) => draft.ask.jobNumber(r.jobId) ?? 'another job');
  return `Of ${length.id} ${taped(Math.floor(freeMm(length, jobId)))} are free: the rest is reserved for ${others.join(', ')}.`;
}

/** @throws {CommandError} not-found, bad-value */
function lineIsOfJob(draft: ShopDraft, { jobId, lineId }: Pick<CutMade, 'jobId' | 'lineId'>): void {
  draft.jobIsThere(jobId);
  const owner = draft.ask.jobOfLine(lineId);
  if (owner === undefined) throw new CommandError('not-found', 'The line that this is cut for is not there any more.', 'lineId');
  if (owner !== jobId) throw new CommandError('bad-value', 'The line that this is cut for is of another job.', 'lineId');
}

/** Every hose is cut once: a piece that lies cut already is told as spoiled before it is cut anew. @throws {CommandError} conflict */
function notCutYet(draft: ShopDraft, cut: Pick<CutMade, 'lineId' | 'piece' | 'ticket' | 'part' | 'of'>): void {
  const stored = draft.ask.cutsOfLine(cut.lineId).map((c) => draft.find('cut', c.id)!);
  const own = draft.changes('cut').flatMap(({ now }) => (now?.lineId === cut.lineId ? [now] : []));
  const there = [...stored, ...own].find((c) => c.state === 'cut' && sameCut(c, cut));
  if (there)
    throw new CommandError(
      'conflict',
      `${cut.ticket} is cut already, off ${there.lengthId}. If that piece is no good, say it is spoiled first.`,
    );
}

export function spoilCut(draft: ShopDraft, { id, version, keepMm, ...words }: StockCommandOf<'spoil-cut'>): string {
  const cut = stillCut(draft, id, version);
  const has = cut.finalMm ?? cut.measuredMm;
  if (keepMm !== undefined && keepMm > has)
    throw new CommandError('bad-value', `Of a piece of ${taped(has)} no ${taped(keepMm)} are left.`, 'keepMm');
  draft.put('cut', { ...cut, state: 'spoiled' });
  if (keepMm === undefined || keepMm < storeRules(draft).leastOffcutMm) return `${cut.ticket} is spoiled${said(words)}`;
  return `${cut.ticket} is spoiled${said(words)}; ${pieceToRack(draft, cut, keepMm)} goes back to the rack`;
}

/** A piece hangs on the rack as an offcut, as old as what it was cut from. @returns its number */
function pieceToRack(draft: ShopDraft, cut: CutMade, mm: number): string {
  const from = draft.find('length', cut.lengthId);
  const number = draft.nextNumber('length');
  putLengths(draft, {
    id: number,
    part: cut.part,
    kind: 'offcut',
    mm,
    ...(from?.madeOn ? { madeOn: from.madeOn } : {}),
    ...(from?.salvaged ? { salvaged: true } : {}),
    ...(from?.inspected ? { inspected: from.inspected } : {}),
    since: from?.since ?? draft.context.today,
    from: cut.lengthId,
    state: 'there',
    version: 1,
  });
  return number;
}

/** @throws {CommandError} not-found, conflict, bad-value */
function stillCut(draft: ShopDraft, id: string, version: number): CutMade {
  const cut = draft.editable('cut', id, version);
  if (cut.state === 'spoiled') throw new CommandError('bad-value', `${cut.ticket} is told as spoiled already.`);
  if (cut.state === 'back') throw new CommandError('bad-value', `The cut of ${cut.ticket} was taken back already.`);
  return cut;
}

/** A cut's own way back. Not sawn yet, its length gets all of it again; sawn, the piece hangs on the rack, and the kerf is gone. */
export function takeBackCut(draft: ShopDraft, { id, version, sawn, ...words }: StockCommandOf<'take-back-cut'>): string {
  const cut = stillCut(draft, id, version);
  if (cut.of === 'made')
    throw new CommandError('bad-value', `${cut.ticket} is a hose that was made before: say it is spoiled, or put it on the rack.`);
  draft.put('cut', { ...cut, state: 'back' });
  if (sawn) return `${cut.ticket} is not needed${said(words)}; ${pieceToRack(draft, cut, cut.finalMm ?? cut.measuredMm)} goes to the rack`;
  const length = draft.row('length', cut.lengthId);
  if (length.state === 'scrapped')
    throw new CommandError('bad-value', `${length.id} was thrown away: what was cut off it cannot be put back.`);
  const others = draft.ask.cutsOfLength(length.id).filter((c) => c.id !== id && c.state !== 'back').length;
  putLengths(draft, wholeAgain(length, cut, others));
  return `Take back the cut of ${cut.ticket}: ${cut.lengthId} is whole again${said(words)}`;
}

export function trimCut(draft: ShopDraft, { id, version, finalMm, ...words }: StockCommandOf<'trim-cut'>): string {
  const cut = stillCut(draft, id, version);
  const has = cut.finalMm ?? cut.measuredMm;
  if (finalMm <= 0 || finalMm > has)
    throw new CommandError('bad-value', `A piece of ${taped(has)} is not trimmed to ${taped(finalMm)}.`, 'finalMm');
  draft.put('cut', { ...cut, finalMm });
  return `Trim ${cut.ticket} to ${taped(finalMm)}${said(words)}`;
}

/** A hose that is made already goes to a job; what is cut off it goes back to the rack. */
export function useMade(
  draft: ShopDraft,
  { id, version, jobId, lineId, piece, ticket, cutMm, restMm, by }: StockCommandOf<'use-made'>,
): string {
  lineIsOfJob(draft, { jobId, lineId });
  const made = draft.editable('length', id, version, movedWords);
  if (made.kind !== 'made' || made.state !== 'there') throw new CommandError('not-enough', `${id} is no made hose on the rack.`);
  if (made.jobId !== undefined && made.jobId !== jobId) throw new CommandError('not-enough', `${id} is kept for another job.`);
  notCutYet(draft, { lineId, piece, ticket, part: made.part, of: 'made' });
  const look = toLookOver(made, { ...ageing(draft, made), ages: true });
  if (look !== undefined) throw new CommandError('bad-value', look);
  if (restMm !== undefined && restMm >= made.mm)
    throw new CommandError('bad-value', `Of ${taped(made.mm)} no ${taped(restMm)} come off.`, 'restMm');
  putLengths(draft, { ...made, state: 'used' });
  draft.add('cut', {
    id: draft.context.newId(),
    jobId,
    lineId,
    piece,
    of: 'made',
    ticket,
    part: made.part,
    lengthId: id,
    plannedMm: cutMm,
    trimMm: 0,
    measuredMm: cutMm,
    state: 'cut',
    at: draft.context.now,
    ...(by ? { by } : {}),
    version: 1,
  });
  if (restMm === undefined || restMm < storeRules(draft).leastOffcutMm) return `Use ${id} for ${ticket}`;
  const number = draft.nextNumber('length');
  const { ends: _ends, jobId: _job, ...rest } = made;
  putLengths(draft, { ...rest, id: number, kind: 'offcut', mm: restMm, from: id, state: 'there', version: 1 });
  return `Use ${id} for ${ticket}; ${number} goes back to the rack`;
}

/** Why a length is not what the sender saw. */
function movedWords({ id, mm, state }: HoseLength): string {
  if (state !== 'there') return `${id} is not on the rack any more: somebody else has used it. Nothing was booked.`;
  return `Somebody else has changed ${id} meanwhile: ${taped(Math.round(mm * 10) / 10)} are left of it. Nothing was booked; the plan is made anew.`;
}

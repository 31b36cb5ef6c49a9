import {
  agesOnTheRack,
  CommandError,
  cutOff,
  isFree,
  leftAs,
  soldByLength,
  toLookOver,
  usualStoreRules,
  type CataloguePart,
  type CutMade,
  type HoseLength,
  type StockCommandOf,
  type StoreRules,
} from '@gewinde/core';
import { randomUUID } from 'node:crypto';
import { listRows } from '../database/entities.js';
import { lockPartRows } from '../database/part-rows.js';
import { jobIsThere, lockPart } from './shelf-commands.js';
import { nextNumber, type StockDraft } from './stock-draft.js';
import { today } from './today.js';

/** Puts lengths; hose is drawn and counted in metres, so what changes on the rack is told with its part. */
export async function putLengths(draft: StockDraft, ...lengths: readonly HoseLength[]): Promise<void> {
  for (const length of lengths) draft.put('length', length);
  for (const id of new Set(lengths.map((l) => l.part))) {
    const part = (await lockPartRows(draft.trx, [id])).get(id);
    if (!part) continue;
    const stored = (await draft
      .trx('hose_lengths')
      .where({ part_id: id, state: 'there' })
      .whereNot({ kind: 'made' })
      .sum('mm as n')
      .first()) as { n: string | null } | undefined;
    const own = draft.changes('length').filter((c) => (c.now ?? c.before)?.part === id);
    const mm = own.reduce((sum, { before, now }) => sum + racked(now) - racked(before), Number(stored?.n ?? 0));
    draft.tell({ ...part, part: { ...part.part, shelf: Math.max(0, Math.floor(mm / 1000)) } } as CataloguePart);
  }
}

const racked = (length: HoseLength | undefined): number => (length?.state === 'there' && length.kind !== 'made' ? length.mm : 0);

export async function storeRules(draft: StockDraft): Promise<StoreRules> {
  const row = await draft.find('storeRules', 'store-rules');
  return { ...usualStoreRules, ...row?.rules };
}

/** @throws {CommandError} bad-value */
function madeBefore(day: string | null | undefined): void {
  if (day != null && day > today()) throw new CommandError('bad-value', 'It was not made in the future.', 'madeOn');
}

export async function addLength(draft: StockDraft, { length }: StockCommandOf<'add-length'>): Promise<string> {
  const part = await lockPart(draft, length.part);
  if (!soldByLength(part)) throw new CommandError('bad-value', `${part.part.name} is not cut to length.`, 'part');
  if (length.mm <= 0) throw new CommandError('bad-value', 'A length has a length.', 'mm');
  madeBefore(length.madeOn);
  if ((length.kind === 'made') !== (length.ends !== undefined))
    throw new CommandError(
      'bad-value',
      length.kind === 'made' ? 'A made hose has two ends: say which.' : 'Only a made hose has its ends on.',
      'ends',
    );
  for (const end of length.ends ?? [])
    if ((await lockPart(draft, end)).kind !== 'hose end') throw new CommandError('bad-value', `"${end}" is no hose end.`, 'ends');
  if (length.jobId !== undefined) await jobIsThere(draft, length.jobId);
  const id = await nextNumber(draft.trx, 'hose_lengths', 'id', 'H');
  await putLengths(draft, { id, ...length, since: today(), state: 'there', version: 1 });
  return `Put ${id} on the rack: ${part.part.name}`;
}

export async function editLength(draft: StockDraft, { id, version, set }: StockCommandOf<'edit-length'>): Promise<string> {
  const before = await draft.editable('length', id, version, movedWords);
  if (before.state !== 'there') throw new CommandError('not-enough', `${id} is not on the rack any more.`);
  if (set.jobId) await jobIsThere(draft, set.jobId);
  madeBefore(set.madeOn);
  const { mm, ...rest } = set;
  const merged: Record<string, unknown> = { ...before };
  for (const [field, value] of Object.entries(rest)) {
    if (value === null) delete merged[field];
    else if (value !== undefined) merged[field] = value;
  }
  const next = merged as unknown as HoseLength;
  const measured =
    mm === undefined || before.kind === 'made'
      ? { ...next, ...(mm === undefined ? {} : { mm }) }
      : leftAs(next, mm, await storeRules(draft));
  await putLengths(draft, measured);
  return mm === undefined ? `Change ${id}` : measured.state === 'used' ? `Throw the rest of ${id} away` : `Measure ${id}`;
}

/** Who said so and why, behind what was done; the history has no other place for it. */
function said({ by, note }: { readonly by?: string | undefined; readonly note?: string | undefined }): string {
  return `${note ? `: ${note}` : ''}${by ? ` (${by})` : ''}`;
}

export async function scrapLength(draft: StockDraft, { id, version, ...words }: StockCommandOf<'scrap-length'>): Promise<string> {
  const before = await draft.editable('length', id, version, movedWords);
  if (before.state !== 'there') throw new CommandError('not-enough', `${id} is not on the rack any more.`);
  await putLengths(draft, { ...before, state: 'scrapped' });
  return `Throw ${id} away${said(words)}`;
}

/** A piece is sawn off a length: the length gets shorter, the piece is recorded. Two who cut from one length: the second is told. */
export async function cutPiece(draft: StockDraft, command: StockCommandOf<'cut-piece'>): Promise<string> {
  const { do: _, id, lengthId, lengthVersion, trimmedMm, leftMm, by, ...said } = command;
  await jobIsThere(draft, said.jobId);
  const length = await draft.editable('length', lengthId, lengthVersion, movedWords);
  const rules = await storeRules(draft);
  const ageing = { oldYears: rules.oldYears, today: today(), ages: agesOnTheRack(await lockPart(draft, length.part)) };
  if (!isFree(length, said.jobId, ageing)) {
    const words = length.state !== 'there' ? `${lengthId} is not on the rack any more.` : `${lengthId} is kept for another job.`;
    throw new CommandError('not-enough', toLookOver(length, ageing) ?? words, 'lengthId');
  }
  await notCutYet(draft, { ...said, part: length.part });
  const cutId = id ?? randomUUID();
  if (await draft.find('cut', cutId)) throw new CommandError('id-taken', 'This piece is recorded already.', 'id');
  const sawn = { measuredMm: said.measuredMm, trimmedMm, ...(leftMm === undefined ? {} : { leftMm }) };
  const left = cutOff(length, sawn, rules);
  await putLengths(draft, { ...left, sawnOn: today() });
  draft.put('cut', {
    ...said,
    id: cutId,
    part: length.part,
    lengthId,
    state: 'cut',
    at: new Date().toISOString(),
    ...(by ? { by } : {}),
    version: 1,
  });
  return `Cut ${said.ticket} off ${lengthId}`;
}

/** Every hose is cut once: a piece that lies cut already is told as spoiled before it is cut anew. @throws {CommandError} conflict */
async function notCutYet(draft: StockDraft, { jobId, ticket, part, of }: Pick<CutMade, 'jobId' | 'ticket' | 'part' | 'of'>): Promise<void> {
  const sleeve = of === 'sleeve';
  const there = (await listRows(draft.trx, 'cut', { job_id: jobId })).find(
    (c) => c.state === 'cut' && c.ticket === ticket && c.part === part && (c.of === 'sleeve') === sleeve,
  );
  if (there)
    throw new CommandError(
      'conflict',
      `${ticket} is cut already, off ${there.lengthId}. If that piece is no good, say it is spoiled first.`,
    );
}

export async function spoilCut(draft: StockDraft, { id, version, keepMm, ...words }: StockCommandOf<'spoil-cut'>): Promise<string> {
  const cut = await draft.editable('cut', id, version);
  if (cut.state === 'spoiled') throw new CommandError('bad-value', `${cut.ticket} is told as spoiled already.`);
  const has = cut.finalMm ?? cut.measuredMm;
  if (keepMm !== undefined && keepMm > has)
    throw new CommandError('bad-value', `Of a piece of ${has} mm no ${keepMm} mm are left.`, 'keepMm');
  draft.put('cut', { ...cut, state: 'spoiled' });
  const { leastOffcutMm } = await storeRules(draft);
  if (keepMm === undefined || keepMm < leastOffcutMm) return `${cut.ticket} is spoiled${said(words)}`;
  const from = await draft.find('length', cut.lengthId);
  const number = await nextNumber(draft.trx, 'hose_lengths', 'id', 'H');
  await putLengths(draft, {
    id: number,
    part: cut.part,
    kind: 'offcut',
    mm: keepMm,
    ...(from?.madeOn ? { madeOn: from.madeOn } : {}),
    ...(from?.salvaged ? { salvaged: true } : {}),
    ...(from?.inspected ? { inspected: from.inspected } : {}),
    since: from?.since ?? today(),
    from: cut.lengthId,
    state: 'there',
    version: 1,
  });
  return `${cut.ticket} is spoiled${said(words)}; ${number} goes back to the rack`;
}

export async function trimCut(draft: StockDraft, { id, version, finalMm, ...words }: StockCommandOf<'trim-cut'>): Promise<string> {
  const cut = await draft.editable('cut', id, version);
  if (cut.state === 'spoiled') throw new CommandError('bad-value', `${cut.ticket} is spoiled.`);
  const has = cut.finalMm ?? cut.measuredMm;
  if (finalMm <= 0 || finalMm > has)
    throw new CommandError('bad-value', `A piece of ${has} mm is not trimmed to ${finalMm} mm.`, 'finalMm');
  draft.put('cut', { ...cut, finalMm });
  return `Trim ${cut.ticket} to ${finalMm} mm${said(words)}`;
}

/** A hose that is made already goes to a job; what is cut off it goes back to the rack. */
export async function useMade(
  draft: StockDraft,
  { id, version, jobId, lineId, piece, ticket, cutMm, restMm, by }: StockCommandOf<'use-made'>,
): Promise<string> {
  await jobIsThere(draft, jobId);
  const made = await draft.editable('length', id, version, movedWords);
  if (made.kind !== 'made' || made.state !== 'there') throw new CommandError('not-enough', `${id} is no made hose on the rack.`);
  if (made.jobId !== undefined && made.jobId !== jobId) throw new CommandError('not-enough', `${id} is kept for another job.`);
  await notCutYet(draft, { jobId, ticket, part: made.part, of: 'made' });
  const rules = await storeRules(draft);
  const look = toLookOver(made, { oldYears: rules.oldYears, today: today(), ages: true });
  if (look !== undefined) throw new CommandError('bad-value', look);
  if (restMm !== undefined && restMm >= made.mm)
    throw new CommandError('bad-value', `Of ${made.mm} mm no ${restMm} mm come off.`, 'restMm');
  await putLengths(draft, { ...made, state: 'used' });
  draft.put('cut', {
    id: randomUUID(),
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
    at: new Date().toISOString(),
    ...(by ? { by } : {}),
    version: 1,
  });
  const { leastOffcutMm } = rules;
  if (restMm === undefined || restMm < leastOffcutMm) return `Use ${id} for ${ticket}`;
  const number = await nextNumber(draft.trx, 'hose_lengths', 'id', 'H');
  const { ends: _ends, jobId: _job, ...rest } = made;
  await putLengths(draft, { ...rest, id: number, kind: 'offcut', mm: restMm, from: id, state: 'there', version: 1 });
  return `Use ${id} for ${ticket}; ${number} goes back to the rack`;
}

/** Why a length is not what the sender saw. */
function movedWords({ id, mm, state }: HoseLength): string {
  if (state !== 'there') return `${id} is not on the rack any more: somebody else has used it. Nothing was booked.`;
  return `Somebody else has changed ${id} meanwhile: ${Math.round(mm * 10) / 10} mm are left of it. Nothing was booked; the plan is made anew.`;
}

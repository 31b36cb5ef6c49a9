import { agesOnTheRack, findEntry, type Catalogue } from '../job/index.js';
import type { JudgedJob } from '../audit/index.js';
import { freeMm, isFree, sameCut, toLookOver, type CutMade, type HoseLength, type StoreRules } from '../stock/index.js';
import { figureOf, type Supply } from '../supplies/index.js';
import { cutTickets, type CutTicket, type NotReady } from './cut-tickets.js';

/** Something to be sawn: a hose of a line, or what goes over it. */
export interface CutPiece {
  /** `2403-L4/2`, `2403-L4/2 sleeve`, `2403-L4/2 shrink 1`: one for every piece. */
  readonly id: string;
  readonly ticket: string;
  readonly of: 'hose' | 'sleeve';
  readonly part: string;
  readonly lineId: string;
  readonly lineNumber: number;
  readonly lineName: string;
  readonly service: string;
  /** Which hose of the line. */
  readonly piece: string;
  /** As the ticket has it, mm. */
  readonly cutMm: number;
  /** So much longer, to be trimmed at the car. */
  readonly trimMm: number;
  /** What comes off the rack. */
  readonly lengthMm: number;
  readonly provisional: boolean;
}

/** A piece that was sawn, and whether it still is what the line asks for. */
export interface CutDone {
  readonly piece: CutPiece;
  readonly made: CutMade;
  /** Too short by so much for what the line asks for by now, mm. */
  readonly shortMm?: number;
  /** Longer than the ticket by so much: to be trimmed, mm. */
  readonly longMm?: number;
}

/** All that is cut of one part. */
export interface CutGroup {
  readonly part: string;
  readonly name: string;
  readonly toCut: readonly CutPiece[];
  readonly done: readonly CutDone[];
  /** What it can be cut from. */
  readonly lengths: readonly HoseLength[];
  /** On the rack, but not to be taken: kept for another job, or not looked over. */
  readonly kept: readonly HoseLength[];
}

export interface CutWork {
  readonly groups: readonly CutGroup[];
  readonly tickets: readonly CutTicket[];
  /** Lines that cannot be cut yet, and why. */
  readonly waiting: readonly NotReady[];
  /** Sawn for a hose that the job does not ask for any more: it goes back to the rack. */
  readonly over: readonly CutMade[];
  /** Hoses to be sleeved for which the catalogue has no sleeve or shrink that goes over. */
  readonly noSleeve: readonly string[];
}

/** A piece may differ from its ticket by so much, mm; common practice for hose over a metre is twice that. */
const WITHIN_MM = 3;

/**
 * What is to be cut for a job, by the part it is cut from: hoses by their tickets, sleeves over those that lie in one, shrink over the sleeves' ends; less
 * what was cut already and still is as long as the line asks for.
 */
export function cutWork(
  job: JudgedJob,
  {
    lengths,
    cuts,
    rules,
    today,
  }: {
    readonly lengths: readonly HoseLength[];
    readonly cuts: readonly CutMade[];
    readonly rules: StoreRules;
    /** The day it is, `2026-11-26`: hose ages. */
    readonly today: string;
  },
): CutWork {
  const { tickets, notReady } = cutTickets(job);
  const noSleeve: string[] = [];
  const pieces = tickets.flatMap((ticket) => piecesOf(ticket, job.catalogue, rules, noSleeve));
  const jobId = job.document.job.id;
  const mine = cuts.filter((c) => c.jobId === jobId && c.state === 'cut');
  const used = new Set<string>();
  const groups = new Map<string, { toCut: CutPiece[]; done: CutDone[] }>();
  for (const piece of pieces) {
    const group = groups.get(piece.part) ?? { toCut: [], done: [] };
    groups.set(piece.part, group);
    const made = mine.find((c) => !used.has(c.id) && sameCut(c, { ...piece, ticket: piece.id }));
    if (!made) {
      group.toCut.push(piece);
      continue;
    }
    used.add(made.id);
    const has = made.finalMm ?? made.measuredMm;
    const shortMm = piece.cutMm - has > WITHIN_MM ? piece.cutMm - has : undefined;
    const longMm = has - piece.cutMm > WITHIN_MM ? has - piece.cutMm : undefined;
    group.done.push({ piece, made, ...(shortMm === undefined ? {} : { shortMm }), ...(longMm === undefined ? {} : { longMm }) });
  }
  return {
    groups: [...groups].map(([part, { toCut, done }]) => {
      const entry = findEntry(job.catalogue, part);
      const ageing = { oldYears: rules.oldYears, today, ages: entry !== undefined && agesOnTheRack(entry) };
      const own = lengths.filter((l) => l.part === part && l.state === 'there' && l.kind !== 'made');
      return {
        part,
        name: entry?.part.name ?? part,
        toCut,
        done,
        // what others have reserved is not there for this job
        lengths: own.filter((l) => isFree(l, jobId, ageing)).map((l) => ({ ...l, mm: freeMm(l, jobId) })),
        kept: own.filter((l) => !isFree(l, jobId, ageing)),
      };
    }),
    tickets,
    waiting: notReady,
    over: mine.filter((c) => !used.has(c.id)),
    noSleeve,
  };
}

function piecesOf(ticket: CutTicket, catalogue: Catalogue, rules: StoreRules, noSleeve: string[]): CutPiece[] {
  const { assembled, piece, number, cutMm } = ticket;
  const { hose, piece: row } = piece;
  if (!hose || row.source !== 'cut') return [];
  const { line } = assembled;
  const head = {
    ticket: number,
    lineId: line.id,
    lineNumber: line.number,
    lineName: line.name,
    service: line.service,
    piece: row.key,
    provisional: ticket.provisional,
  };
  const made: CutPiece[] = [
    { ...head, id: number, of: 'hose', part: hose.id, cutMm, trimMm: rules.trimMm, lengthMm: cutMm + rules.trimMm },
  ];
  if (!line.flow?.sleeved) return made;
  const over = sleeveFor(catalogue, hose.outsideMm);
  if (!over.sleeve) {
    noSleeve.push(number);
    return made;
  }
  const sleeveMm = Math.max(1, cutMm - 2 * rules.sleeveBackMm);
  const extra = { ...head, of: 'sleeve' as const, trimMm: 0 };
  made.push({ ...extra, id: `${number} sleeve`, part: over.sleeve.id, cutMm: sleeveMm, lengthMm: sleeveMm });
  if (rules.shrinkMm > 0) {
    if (!over.shrink) noSleeve.push(number);
    else
      for (const end of ['A', 'B'])
        made.push({ ...extra, id: `${number} shrink ${end}`, part: over.shrink.id, cutMm: rules.shrinkMm, lengthMm: rules.shrinkMm });
  }
  return made;
}

/** A wall of woven sleeve, mm, both sides: what shrink has to go over. Common practice. */
export const SLEEVE_WALLS_MM = 4;

/** The narrowest sleeve that goes over a hose, and the narrowest shrink that goes over the two and grips them. */
export function sleeveFor(
  { supplies }: Pick<Catalogue, 'supplies'>,
  outsideMm: number,
): { readonly sleeve?: Supply; readonly shrink?: Supply } {
  const inside = (s: Supply): number => Number(figureOf(s, 'insideMm'));
  const narrowest = (list: Supply[]): Supply | undefined => list.sort((a, b) => inside(a) - inside(b))[0];
  const sleeve = narrowest(supplies.filter((s) => !s.retired && s.kind === 'sleeve' && inside(s) >= outsideMm));
  const over = outsideMm + SLEEVE_WALLS_MM;
  const shrink = narrowest(
    supplies.filter((s) => !s.retired && s.kind === 'shrink' && inside(s) > over && Number(figureOf(s, 'shrunkMm')) <= outsideMm),
  );
  return { ...(sleeve ? { sleeve } : {}), ...(shrink ? { shrink } : {}) };
}

/** What is said of a length: that it is to be looked over, or was. */
export function lengthCautions(
  length: HoseLength,
  catalogue: Catalogue,
  { oldYears }: Pick<StoreRules, 'oldYears'>,
  today: string,
): string[] {
  const entry = findEntry(catalogue, length.part);
  const words = toLookOver(length, { oldYears, today, ages: entry !== undefined && agesOnTheRack(entry) });
  if (words !== undefined) return [words];
  return length.salvaged ? ['Off a car, looked over: press it before it is used.'] : [];
}

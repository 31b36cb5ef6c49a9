import { connectorKey } from '../connectors/index.js';
import type { CutPiece, CutWork, GroupPlan } from '../cutting/index.js';
import { holds } from '../findings/index.js';
import { findEntry, findSupply, type Catalogue } from '../job/index.js';
import type { JudgedJob } from '../audit/index.js';
import { comingFor, freeFor, type Coming, type Stockroom, type StoreRules } from '../stock/index.js';
import { figureOf } from '../supplies/index.js';
import { clipsFor } from './clips-for.js';
import { netNeed, type NetNeed } from './net-need.js';
import { BESIDE, partGroups, partsList, type PartGroup, type PartsList } from './parts-list.js';

/** A part that a job needs, and where it comes from. Quantities in pieces; of what is cut, in millimetres. */
export interface NeedRow extends NetNeed {
  readonly name: string;
  readonly group: PartGroup;
  readonly unit: 'pc' | 'mm';
  readonly lines: readonly number[];
  readonly components: readonly string[];
  /** Taken off the shelf for the job already; of what stands under the shelf. */
  readonly issued?: number;
  /** It is not in the catalogue: to be found and added, or bought by hand. */
  readonly unknown?: true;
  /** Nobody says how many joints a pack of it makes. */
  readonly packUnknown?: true;
  /** What others have ordered too much of: whoever takes it first has it. */
  readonly over?: Coming['over'];
  /** Pieces that nothing on the rack or on offer is long enough for: they are in the need, and in nothing else. */
  readonly tooLong?: number;
}

export interface JobNeeds {
  readonly rows: readonly NeedRow[];
  /** Lines that are not whole yet: only what is chosen so far is counted. */
  readonly incomplete: readonly number[];
  /** Lines that something holds: nothing is ordered for them. */
  readonly held: readonly number[];
}

/**
 * Everything a job needs with its spares by the rules of the shop, less what the shelf has for it, less what is on its way: seals, sealant by the
 * pack, hose and sleeve by the cut plan, clips by their spacing, caps for what stands open meanwhile.
 */
export function jobNeeds(
  job: JudgedJob,
  work: CutWork,
  plans: readonly GroupPlan[],
  room: Pick<Stockroom, 'stock' | 'orders' | 'rules'>,
): JobNeeds {
  // what leaks or is a risk is put right or accepted before anything is ordered for it
  const held = job.lines.filter((l) => l.findings.some(holds));
  const ordered = held.length === 0 ? job : { ...job, lines: job.lines.filter((l) => !held.includes(l)) };
  const list = withoutMade(partsList(ordered), work, job);
  const { catalogue, document } = job;
  const jobId = document.job.id;
  const planned = new Map(plans.map((p) => [p.part, p]));
  const rows: Omit<NeedRow, keyof NetNeed>[] = [];
  const needs: { part: string; quantity: number }[] = [];
  const put = (part: string, quantity: number, row: Omit<NeedRow, keyof NetNeed>): void => {
    needs.push({ part, quantity });
    rows.push(row);
  };
  for (const row of list.rows) {
    if (row.unit === 'mm') continue;
    const known = findEntry(catalogue, row.id) !== undefined;
    const perPack = row.unit === 'joint' ? jointsOf(catalogue, row.id) : 1;
    put(row.id, Math.ceil(row.quantity / (perPack ?? row.quantity)), {
      name: row.name,
      group: row.group,
      unit: 'pc',
      lines: row.lines,
      components: row.components,
      ...(known ? {} : { unknown: true as const }),
      ...(perPack === undefined ? { packUnknown: true as const } : {}),
    });
  }
  const cutOf = new Map(work.groups.map((g) => [g.part, [...g.toCut, ...g.done.map((d) => d.piece)]]));
  for (const { part, name } of work.groups) {
    const pieces = cutOf.get(part)!;
    put(
      part,
      pieces.reduce((sum, p) => sum + p.lengthMm, 0),
      { name, group: 'hose', unit: 'mm', lines: [...new Set(pieces.map((p) => p.lineNumber))], components: [] },
    );
  }
  // what is cut and was added by hand is on no ticket: it is bought by its length
  const byHand = new Map(
    list.rows.flatMap((row) => (row.unit === 'mm' && row.components.includes(BESIDE) ? [[row.id, row] as const] : [])),
  );
  const lengthOf = (part: string): number => document.job.beside?.find((b) => b.part === part)?.quantity ?? 0;
  for (const { id, name, group } of byHand.values())
    if (!cutOf.has(id)) put(id, 0, { name, group, unit: 'mm', lines: [], components: [BESIDE] });
  for (const cap of capsFor(job, room.rules))
    put(cap.part, cap.quantity, { ...cap, group: 'clamps and sealant', unit: 'pc', components: [] });
  for (const { part, quantity, ...row } of clipsFor(job, room.rules))
    put(part, quantity, { ...row, group: 'clamps and sealant', unit: 'pc', components: [] });
  const coming = new Map(comingFor(room.orders, jobId).map((c) => [c.part, c]));
  const onOrder = [...coming].map(([part, { mine }]) => ({ part, quantity: mine }));
  const overOf = (part: string, toBuy: number): Pick<NeedRow, 'over'> => {
    const over = toBuy > 0 ? (coming.get(part)?.over ?? []) : [];
    return over.length > 0 ? { over } : {};
  };
  const shelves = new Map(room.stock.map((s) => [s.part, s]));
  const issuedOf = (part: string): number => shelves.get(part)?.issued?.find((i) => i.jobId === jobId)?.quantity ?? 0;
  // what was taken off the shelf for the job counts as if it lay there still
  const shelf = needs.map(({ part }) => ({
    part,
    quantity:
      issuedOf(part) + freeFor({ onHand: findEntry(catalogue, part)?.part.shelf ?? 0, reserved: shelves.get(part)?.reserved ?? [] }, jobId),
  }));
  const pieces = new Set(rows.flatMap((r, i) => (r.unit === 'pc' ? [needs[i]!.part] : [])));
  const net = netNeed(
    needs.filter((n) => pieces.has(n.part)),
    {
      shelf: shelf.filter((s) => pieces.has(s.part)),
      onOrder: onOrder.filter((o) => pieces.has(o.part)),
      spares: needs.map(({ part }, i) => spareOf(part, rows[i]!, job, room.rules)),
    },
  );
  const netOf = new Map(net.map((n) => [n.part, n]));
  const all = needs.map(({ part }, i): NeedRow => {
    const row = rows[i]!;
    const issued = issuedOf(part);
    const found =
      row.unit === 'pc'
        ? netOf.get(part)!
        : withMore(hoseNet(part, cutOf.get(part) ?? [], planned.get(part), onOrder), byHand.has(part) ? lengthOf(part) : 0);
    return { ...found, ...row, ...overOf(part, found.toBuy), ...(row.unit === 'pc' && issued > 0 ? { issued } : {}) };
  });
  return {
    rows: all.sort(
      (a, b) => partGroups.indexOf(a.group) - partGroups.indexOf(b.group) || a.name.localeCompare(b.name, 'en', { numeric: true }),
    ),
    incomplete: list.incomplete,
    held: held.map((l) => l.line.number),
  };
}

/** A hose that was made already has its ends on: they are not bought again. */
function withoutMade(list: PartsList, work: CutWork, { lines }: JudgedJob): PartsList {
  const ends = new Map<string, number>();
  for (const { piece, made } of work.groups.flatMap((g) => g.done)) {
    if (made.of !== 'made') continue;
    const own = lines.find((l) => l.line.id === piece.lineId)?.pieces.find((p) => p.piece.key === piece.piece);
    for (const end of [own?.endA, own?.endB]) if (end) ends.set(end.id, (ends.get(end.id) ?? 0) + 1);
  }
  if (ends.size === 0) return list;
  const rows = list.rows.map((row) => ({ ...row, quantity: row.quantity - (ends.get(row.id) ?? 0) })).filter((row) => row.quantity > 0);
  return { ...list, rows };
}

/** Of hose the cut plan says what is bought: whole packs, less what is on its way. */
function hoseNet(
  part: string,
  pieces: readonly Pick<CutPiece, 'id' | 'lengthMm'>[],
  plan: GroupPlan | undefined,
  onOrder: readonly { part: string; quantity: number }[],
): NetNeed & Pick<NeedRow, 'tooLong'> {
  const sum = (list: readonly { readonly lengthMm: number }[]): number => list.reduce((mm, p) => mm + p.lengthMm, 0);
  const fresh = plan?.bars.filter((b) => b.kind === 'new') ?? [];
  const nowhere = new Set(plan?.unmet);
  const unmet = pieces.filter((p) => nowhere.has(p.id));
  const [needed, bought] = [sum(pieces), sum(fresh)];
  const coming = Math.min(bought, onOrder.find((o) => o.part === part)?.quantity ?? 0);
  const fromShelf = needed - sum(fresh.flatMap((b) => b.pieces)) - sum(unmet);
  const tooLong = unmet.length > 0 ? { tooLong: unmet.length } : {};
  return { part, needed, spare: 0, fromShelf, onOrder: coming, toBuy: bought - coming, ...tooLong };
}

/** What is needed beside the cut plan is bought with it. */
function withMore<N extends NetNeed>(net: N, mm: number): N {
  return { ...net, needed: net.needed + mm, toBuy: net.toBuy + mm };
}

function jointsOf(catalogue: Catalogue, id: string): number | undefined {
  const supply = findSupply(catalogue, id);
  const joints = supply && figureOf(supply, 'joints');
  return typeof joints === 'number' ? joints : undefined;
}

function spareOf(
  part: string,
  { group }: { readonly group: PartGroup },
  { catalogue }: JudgedJob,
  rules: StoreRules,
): { part: string; least?: number; percent?: number } {
  if (group === 'seals') return { part, least: rules.spareSealsLeast, percent: rules.spareSealsPercent };
  const entry = findEntry(catalogue, part);
  // a pack of sealant or a can of oil is not doubled
  if (group === 'clamps and sealant')
    return { part, percent: entry?.kind === 'supply' && ['sealant', 'lubricant'].includes(entry.part.kind) ? 0 : rules.spareSmallPercent };
  if (entry?.kind === 'hose end' && entry.part.angleDeg > 0) return { part, least: rules.spareBentEnds };
  return { part };
}

/** A cap or plug for each end of a hose and each port that stands open until it is built; of the sizes that the catalogue has. */
function capsFor(
  { lines, catalogue }: JudgedJob,
  { caps }: StoreRules,
): { part: string; name: string; quantity: number; lines: number[] }[] {
  if (!caps) return [];
  const made = new Map(catalogue.supplies.filter((s) => s.kind === 'cap' && !s.retired).map((s) => [figureOf(s, 'size'), s]));
  const sums = new Map<string, { name: string; quantity: number; lines: number[] }>();
  for (const { line, pieces } of lines)
    for (const { piece, endA, endB } of pieces)
      for (const end of [endA, endB]) {
        if (!end || piece.source === 'kept') continue;
        const cap = /^flare|^orfs|^orb/.test(connectorKey(end.connector)) ? made.get(`-${end.connector.size}`) : undefined;
        if (!cap) continue;
        const sum = sums.get(cap.id) ?? { name: cap.name, quantity: 0, lines: [] };
        // one on the hose, one on what it goes to
        sums.set(cap.id, { ...sum, quantity: sum.quantity + 2, lines: [...new Set([...sum.lines, line.number])] });
      }
  return [...sums].map(([part, sum]) => ({ part, ...sum }));
}

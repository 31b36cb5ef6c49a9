import { connectorName, sameConnector } from '../connectors/index.js';
import type { Hose, HoseEnd } from '../hose/index.js';
import { kindOf, type Fitting } from '../fittings/index.js';
import {
  findEntry,
  findFitting,
  fluidOfPort,
  soldByLength,
  type Catalogue,
  type JobDocument,
  type PartEntry,
  type Port,
} from '../job/index.js';
import { holdsLine, type JudgedJob } from '../audit/index.js';
import { lookupsIn, sealUseOf, sensorMove } from '../lines/index.js';
import { mate, type Consumable } from '../seals/index.js';
import { figureOf, specify, supplyKind, type SealUse } from '../supplies/index.js';

export type PartGroup = 'plates, filters, coolers' | 'hose ends' | 'adapters' | 'seals' | 'hose' | 'clamps and sealant';

/** The order in which parts are picked from the shelf. */
export const partGroups: readonly PartGroup[] = [
  'plates, filters, coolers',
  'hose ends',
  'adapters',
  'seals',
  'hose',
  'clamps and sealant',
];

export interface PartRow {
  readonly group: PartGroup;
  /** Catalogue id, or the item with its size for consumables. */
  readonly id: string;
  readonly name: string;
  /** Pieces, joints for sealant, or millimetres of hose. */
  readonly quantity: number;
  readonly unit: 'pc' | 'mm' | 'joint';
  /** For one piece, or for a metre of hose; undefined where the catalogue has none. */
  readonly unitPriceMinor?: number;
  readonly priceMinor?: number;
  /** On the shelf, full metres of hose; and the days until more is there. Absent where nobody has said. */
  readonly shelf?: number;
  readonly leadDays?: number;
  /** Numbers of the lines that use it. */
  readonly lines: readonly number[];
  /** Names of the components that it is. */
  readonly components: readonly string[];
}

export interface PartsList {
  readonly rows: readonly PartRow[];
  readonly totalMinor: number;
  /** Rows without a price. */
  readonly unpriced: number;
  /** Lines left out because they are not whole yet. */
  readonly incomplete: readonly number[];
}

/**
 * Everything a job needs, seals included, each part once with its quantity and what it is for: the lines, and the components that are
 * parts of the catalogue and not there yet. Parts that are already
 * chosen count even where the rest of the line is open; those lines are named as incomplete. Hose counts by its cut length.
 */
export function partsList(job: JudgedJob): PartsList {
  const { lines, document, catalogue, userByPort, componentById } = job;
  const around = lookupsIn(document, catalogue);
  const rows = new Map<string, PartRow>();
  const incomplete: number[] = [];
  const put = (row: NewRow, user: number | string): void => {
    const known = rows.get(row.id);
    const quantity = row.quantity + (known?.quantity ?? 0);
    const perUnit = row.unit === 'mm' ? 1000 : 1;
    const price = row.unitPriceMinor === undefined ? {} : { priceMinor: Math.round((row.unitPriceMinor * quantity) / perUnit) };
    const users = <T>(before: readonly T[] | undefined, mine: boolean): readonly T[] => [
      ...new Set([...(before ?? []), ...(mine ? [user as T] : [])]),
    ];
    rows.set(row.id, {
      ...row,
      quantity,
      ...price,
      lines: users(known?.lines, typeof user === 'number'),
      components: users(known?.components, typeof user === 'string'),
    });
  };
  for (const { part, name } of document.components) {
    const fitting = part && !part.there && findFitting(catalogue, part.id);
    if (fitting) put(fittingRow(fitting), name);
  }
  for (const { fitting, component } of bungsOf(document, catalogue)) put(fitting, component);
  for (const port of document.ports)
    if (!userByPort.has(port.id)) for (const row of closingRows(port, job)) put(row, componentById.get(port.componentId)!.name);
  for (const { part, quantity } of document.job.beside ?? []) put(besideRow(part, quantity, catalogue), BESIDE);
  for (const { line, ways, pieces, portA, portB, joints, findings } of lines) {
    if (findings.some(holdsLine)) incomplete.push(line.number);
    const add = (row: NewRow): void => put(row, line.number);
    // a filler cap brings its own ring
    const caps = ways.flatMap((way) => way.fittings ?? []).filter(({ fitting }) => kindOf(fitting) === 'filler cap');
    const brought = new Set(joints.filter(({ parts }) => caps.some(({ fitting }) => parts.includes(fitting.name))).map((j) => j.mating));
    const matings = joints.map((joint) => joint.mating);
    const fittings = ways.flatMap((way) => [...(way.fittings ?? []), ...way.branches.flatMap((b) => b.fittings)]).map((p) => p.fitting);
    for (const { port } of [portA, portB]) {
      const moved = sensorMove(port, around);
      matings.push(...(moved?.joints ?? []));
      fittings.push(...(moved?.fittings ?? []));
    }
    for (const fitting of fittings) add(fittingRow(fitting));
    for (const { piece, hose, endA, endB, cut } of pieces) {
      if (piece.source === 'kept') continue;
      if (piece.source === 'bought') {
        if (hose && cut) add(madeUp(hose, endA, endB, piece.hasMm ?? cut.assemblyMm));
        continue;
      }
      for (const end of [endA, endB])
        if (end && end.socketLengthMm > 0)
          add({ group: 'hose ends', id: end.id, name: end.name, quantity: 1, unit: 'pc', ...priced(end.priceMinor) });
      if (hose && cut)
        add({ group: 'hose', id: hose.id, name: hose.name, quantity: cut.cutMm, unit: 'mm', ...priced(hose.pricePerMetreMinor) });
    }
    const use = sealUseOf(line, document.job);
    for (const mating of matings)
      for (const c of mating.seal?.consumables ?? []) {
        // a spin-on filter brings its own gasket
        const brings = [portA, portB].some((t) => t.part && kindOf(t.part) === 'spin-on filter');
        if ((brings && c.item === 'filter or plate gasket') || (brought.has(mating) && c.item === 'face gasket')) continue;
        for (const row of sealRows(c, use, job)) add(row);
      }
  }
  const list = [...rows.values()].sort(
    (a, b) => partGroups.indexOf(a.group) - partGroups.indexOf(b.group) || a.name.localeCompare(b.name, 'en', { numeric: true }),
  );
  return {
    rows: list.map((row) => ({ ...row, ...keptOf(findEntry(catalogue, row.id)) })),
    totalMinor: list.reduce((sum, row) => sum + (row.priceMinor ?? 0), 0),
    unpriced: list.filter((row) => row.priceMinor === undefined).length,
    incomplete,
  };
}

/** Whom a part is for that was added by hand. */
export const BESIDE = 'beside the lines';

type NewRow = Omit<PartRow, 'lines' | 'components' | 'priceMinor'>;

/** What a joint takes beside its two parts; nothing where nothing is to be put there. */
function sealRows(c: Consumable, use: SealUse, { catalogue, shop }: Pick<JudgedJob, 'catalogue' | 'shop'>): NewRow[] {
  const sealant = c.item === 'thread sealant';
  const { part, name, none } = specify(c, use, catalogue.supplies, shop.seals);
  if (none) return [];
  const group = part ? supplyKind(part.kind).group : sealant || c.item === 'hose clamp' ? 'clamps and sealant' : 'seals';
  // a pack of sealant is shared by many joints: it is counted in joints, and has no price a joint unless the pack says how many
  const joints = part && sealant ? figureOf(part, 'joints') : undefined;
  const price = part?.priceMinor;
  const each = price === undefined || !sealant ? price : typeof joints === 'number' ? Math.round(price / joints) : undefined;
  return [{ group, id: part?.id ?? name, name, quantity: c.quantity, unit: sealant ? 'joint' : 'pc', ...priced(each) }];
}

/** By what is named on a port; fuel on the strict side: it may hold alcohol. */
const FLUID_OF = { oil: 'engine oil', fuel: 'petrol with alcohol', coolant: 'coolant', air: 'air', 'brake fluid': 'brake fluid' } as const;

/** What closes a port that nothing runs from, with what it seals by. */
function closingRows(port: Port, job: JudgedJob): NewRow[] {
  let exposed = port.connector ?? undefined;
  const rows: NewRow[] = [];
  for (const { id, inEnd, outEnd } of port.closed?.fittings ?? []) {
    const fitting = findFitting(job.catalogue, id);
    const inner = fitting?.ends[inEnd];
    if (!fitting || !inner || !exposed) return rows;
    const use = { fluid: FLUID_OF[fluidOfPort(port, job.document) ?? 'oil'] };
    rows.push(fittingRow(fitting), ...(mate(exposed, inner).seal?.consumables ?? []).flatMap((c) => sealRows(c, use, job)));
    exposed = fitting.ends[outEnd];
  }
  return rows;
}

/** A part that was added by hand, by the piece or by its length. */
function besideRow(id: string, quantity: number, catalogue: Catalogue): NewRow {
  const entry = findEntry(catalogue, id);
  const name = entry?.part.name ?? id;
  if (entry?.kind === 'hose') return { group: 'hose', id, name, quantity, unit: 'mm', ...priced(entry.part.pricePerMetreMinor) };
  if (entry?.kind === 'fitting') return { ...fittingRow(entry.part), quantity };
  const group = entry?.kind === 'supply' ? supplyKind(entry.part.kind).group : entry?.kind === 'hose end' ? 'hose ends' : 'adapters';
  const unit = entry && soldByLength(entry) ? 'mm' : 'pc';
  return { group, id, name, quantity, unit, ...priced(entry?.part.priceMinor) };
}

/** A port that is a weld bung is bought: the bung that goes with the metal it is welded into. */
function bungsOf({ components, ports }: JobDocument, catalogue: Catalogue): { readonly fitting: NewRow; readonly component: string }[] {
  return ports.flatMap(({ connector, componentId, end }) => {
    const component = components.find((c) => c.id === componentId);
    if (connector?.family !== 'bung' || !component || end !== undefined) return [];
    const made = catalogue.fittings.filter((f) => !f.retired && f.ends.length === 1 && sameConnector(f.ends[0]!, connector));
    const metal = component.metal === 'cast iron' ? 'steel' : (component.metal ?? 'aluminium');
    const fitting = made.find((f) => (f.material ?? '').includes(metal));
    if (fitting) return [{ fitting: fittingRow(fitting), component: component.name }];
    const name = `${capital(connectorName(connector))}, ${metal}`;
    return [{ fitting: { group: 'adapters' as const, id: name, name, quantity: 1, unit: 'pc' as const }, component: component.name }];
  });
}

function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}

function fittingRow({ id, name, body, priceMinor }: Fitting): NewRow {
  return { group: body ? 'plates, filters, coolers' : 'adapters', id, name, quantity: 1, unit: 'pc', ...priced(priceMinor) };
}

/** A hose that is bought with its ends on: one piece of its own, without a price until it has an offer. */
function madeUp(hose: Hose, endA: HoseEnd | undefined, endB: HoseEnd | undefined, mm: number): NewRow {
  const ends = [endA, endB].map((end) => end?.name ?? 'no end').join(' and ');
  return {
    group: 'hose',
    id: `made up ${hose.id} ${endA?.id ?? ''} ${endB?.id ?? ''} ${mm}`,
    name: `${hose.name}, made up, ${mm} mm seat to seat, with ${ends}`,
    quantity: 1,
    unit: 'pc',
  };
}

function keptOf(entry: PartEntry | undefined): Pick<PartRow, 'shelf' | 'leadDays'> {
  const { shelf, leadDays } = entry?.part ?? {};
  return { ...(shelf === undefined ? {} : { shelf }), ...(leadDays === undefined ? {} : { leadDays }) };
}

function priced(unitPriceMinor: number | undefined): { unitPriceMinor?: number } {
  return unitPriceMinor === undefined ? {} : { unitPriceMinor };
}

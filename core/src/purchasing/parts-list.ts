import type { Hose, HoseEnd } from '../hose/index.js';
import type { Fitting } from '../fittings/index.js';
import { findEntry, findFitting, fluidOf, type Line, type PartEntry, type ServiceId } from '../job/index.js';
import { holds, lookupsIn, sensorMove, type AssembledJob } from '../lines/index.js';
import type { SealantPlace } from '../seals/index.js';
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
export function partsList({ lines, document, catalogue, shop }: AssembledJob): PartsList {
  const around = lookupsIn(document, catalogue);
  const rows = new Map<string, PartRow>();
  const incomplete: number[] = [];
  const put = (row: Omit<PartRow, 'lines' | 'components' | 'priceMinor'>, user: number | string): void => {
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
  for (const { line, ways, pieces, portA, portB, joints, findings } of lines) {
    if (findings.some(holds)) incomplete.push(line.number);
    const add = (row: Omit<PartRow, 'lines' | 'components' | 'priceMinor'>): void => put(row, line.number);
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
    const use = sealUseOf(line);
    for (const { seal } of matings)
      for (const c of seal?.consumables ?? []) {
        const sealant = c.item === 'thread sealant';
        const { part, name } = specify(c, use, catalogue.supplies, shop.seals);
        const group = part ? supplyKind(part.kind).group : sealant || c.item === 'hose clamp' ? 'clamps and sealant' : 'seals';
        // a pack of sealant is shared by many joints: it is counted in joints, and has no price a joint unless the pack says how many
        const joints = part && sealant ? figureOf(part, 'joints') : undefined;
        const price = part?.priceMinor;
        const each = price === undefined || !sealant ? price : typeof joints === 'number' ? Math.round(price / joints) : undefined;
        add({ group, id: part?.id ?? name, name, quantity: c.quantity, unit: sealant ? 'joint' : 'pc', ...priced(each) });
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

function fittingRow({ id, name, body, priceMinor }: Fitting): Omit<PartRow, 'lines' | 'components' | 'priceMinor'> {
  return { group: body ? 'plates, filters, coolers' : 'adapters', id, name, quantity: 1, unit: 'pc', ...priced(priceMinor) };
}

/** A hose that is bought with its ends on: one piece of its own, without a price until it has an offer. */
function madeUp(
  hose: Hose,
  endA: HoseEnd | undefined,
  endB: HoseEnd | undefined,
  mm: number,
): Omit<PartRow, 'lines' | 'components' | 'priceMinor'> {
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

/** What the seals of a line must bear. */
export function sealUseOf(line: Line): SealUse {
  return { fluid: fluidOf(line), place: placeOf(line.service) };
}

function placeOf(service: ServiceId): SealantPlace {
  if (service === 'turbo-feed') return 'turbo feed';
  if (service.startsWith('fuel')) return 'fuel';
  return service.startsWith('coolant') || service === 'heater' ? 'coolant' : 'general';
}

import { formatConnector, type Connector } from '../connectors/index.js';
import type { Fitting } from '../fittings/index.js';
import { hoseEndFields, hoseFields, supplyKind, supplyKinds, type PartField, type Supply, type SupplyKindId } from '../supplies/index.js';
import { findFitting, findHose, findHoseEnd, findSupply, type Catalogue } from './catalogue.js';
import type { PartEntry } from './catalogue-part.js';

/** The sections of the store: fittings, hoses, hose ends, and a section a kind of supply. */
export type PartSection = 'fitting' | 'hose' | 'hose end' | SupplyKindId;

export const partSections: readonly { readonly id: PartSection; readonly one: string; readonly many: string }[] = [
  { id: 'fitting', one: 'fitting', many: 'fittings' },
  { id: 'hose', one: 'hose', many: 'hoses' },
  { id: 'hose end', one: 'hose end', many: 'hose ends' },
  ...supplyKinds.map(({ id, one, many }) => ({ id, one, many })),
];

export function sectionOf(entry: PartEntry): PartSection {
  return entry.kind === 'supply' ? entry.part.kind : entry.kind;
}

/** The figures that a part of a section says beside its name; a fitting has a form of its own, and none here. */
export function fieldsOf(section: PartSection): readonly PartField[] {
  if (section === 'fitting') return [];
  return section === 'hose' ? hoseFields : section === 'hose end' ? hoseEndFields : supplyKind(section).fields;
}

/** What a part says in its fields, by their names. */
export function figuresIn(entry: PartEntry): Readonly<Record<string, unknown>> {
  return entry.kind === 'supply' ? entry.part.figures : entry.part;
}

/** A field of a part as it is written into a list; empty where it says nothing. */
export function writtenField(entry: PartEntry, { name }: PartField): string {
  const value = figuresIn(entry)[name];
  if (Array.isArray(value)) return value.join('; ');
  return typeof value === 'string' || typeof value === 'number' ? String(value) : '';
}

/** What a part of any kind says beside its figures. */
export type PartHead = Pick<
  Fitting,
  'id' | 'name' | 'priceMinor' | 'listed' | 'supplier' | 'code' | 'shelf' | 'leadDays' | 'retired' | 'source'
>;

/** A part of a section but fittings, from its head and figures; a hose end needs its connector. Its shape is still to be checked. */
export function entryFrom(
  section: Exclude<PartSection, 'fitting'>,
  head: PartHead,
  figures: Readonly<Record<string, unknown>>,
  connector?: Connector,
): PartEntry {
  const { priceMinor, source = '', ...rest } = head;
  if (section === 'hose')
    return {
      kind: 'hose',
      part: { ...rest, ...figures, source, ...(priceMinor === undefined ? {} : { pricePerMetreMinor: priceMinor }) },
    } as unknown as PartEntry;
  const priced = priceMinor === undefined ? {} : { priceMinor };
  if (section === 'hose end')
    return { kind: 'hose end', part: { ...rest, ...figures, ...priced, source, connector } } as unknown as PartEntry;
  return { kind: 'supply', part: { ...rest, ...priced, ...(source ? { source } : {}), kind: section, figures } } as unknown as PartEntry;
}

/** The head of a part of any kind: a hose has its price by the metre. */
export function headOf({ kind, part }: PartEntry): PartHead {
  const { id, name, listed, supplier, code, shelf, leadDays, retired, source } = part;
  const priceMinor = kind === 'hose' ? part.pricePerMetreMinor : part.priceMinor;
  return Object.fromEntries(
    Object.entries({ id, name, priceMinor, listed, supplier, code, shelf, leadDays, retired, source }).filter(
      ([, value]) => value !== undefined,
    ),
  ) as unknown as PartHead;
}

/** The parts of a section in the order of the catalogue. */
export function entriesIn(catalogue: Catalogue, section: PartSection): PartEntry[] {
  if (section === 'fitting') return catalogue.fittings.map((part) => ({ kind: 'fitting', part }));
  if (section === 'hose') return catalogue.hoses.map((part) => ({ kind: 'hose', part }));
  if (section === 'hose end') return catalogue.hoseEnds.map((part) => ({ kind: 'hose end', part }));
  return catalogue.supplies.filter((s) => s.kind === section).map((part) => ({ kind: 'supply', part }));
}

/** The entry with an id, of whatever kind. */
export function findEntry(catalogue: Catalogue, id: string): PartEntry | undefined {
  const fitting = findFitting(catalogue, id);
  if (fitting) return { kind: 'fitting', part: fitting };
  const hose = findHose(catalogue, id);
  if (hose) return { kind: 'hose', part: hose };
  const end = findHoseEnd(catalogue, id);
  if (end) return { kind: 'hose end', part: end };
  const supply = findSupply(catalogue, id);
  return supply && { kind: 'supply', part: supply };
}

/** Is it sold and cut by its length: its price is for a metre. */
export function soldByLength(entry: PartEntry): boolean {
  return cutToLength(sectionOf(entry));
}

/** Does it age on the rack: hose does, tube of metal and sleeve do not. */
export function agesOnTheRack(entry: PartEntry): boolean {
  return entry.kind === 'hose' && !entry.part.construction.endsWith('-tube');
}

/** Are the parts of a section cut to length. */
export function cutToLength(section: PartSection): boolean {
  if (section === 'fitting' || section === 'hose end') return false;
  return section === 'hose' || supplyKind(section).byLength === true;
}

/** Those of a section whose name, code, id, supplier or figures have all the words. */
export function findInSection(
  catalogue: Catalogue,
  section: PartSection,
  filter: { readonly words?: string; readonly onShelf?: boolean; readonly retired?: boolean },
): PartEntry[] {
  const words = (filter.words ?? '').toLowerCase().split(/\s+/).filter(Boolean);
  return entriesIn(catalogue, section).filter((entry) => {
    const { id, name, code = '', supplier = '', shelf = 0, retired = false } = entry.part;
    const said = `${id} ${name} ${code} ${supplier} ${wordsOf(entry)}`.toLowerCase();
    return retired === (filter.retired ?? false) && (!filter.onShelf || shelf > 0) && words.every((word) => said.includes(word));
  });
}

function wordsOf({ kind, part }: PartEntry): string {
  if (kind === 'supply') return Object.values((part as Supply).figures).join(' ');
  return kind === 'hose end' ? formatConnector(part.connector) : '';
}

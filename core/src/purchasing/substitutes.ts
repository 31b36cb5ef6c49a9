import { connectorKey } from '../connectors/index.js';
import { kindOf, type Fitting } from '../fittings/index.js';
import { sameSize } from '../hose/index.js';
import { endsForHose, findEntry, type Catalogue, type PartEntry } from '../job/index.js';
import { quantity } from '../units/index.js';

/** A part that mates the same way: told, never taken unasked. */
export interface Substitute {
  readonly part: string;
  readonly name: string;
  /** What is other about it: `steel instead of aluminium`, `14 mm longer`. */
  readonly differs: readonly string[];
  readonly shelf: number;
  readonly priceMinor?: number;
  readonly leadDays?: number;
}

/** Parts in whose place another stands without a thought for the joint; shorter and longer ones are told by their difference. */
export function substitutesFor(part: string, catalogue: Catalogue): Substitute[] {
  const entry = findEntry(catalogue, part);
  if (!entry) return [];
  return alike(entry, catalogue)
    .filter((e) => e.part.id !== part && !e.part.retired)
    .map((e): Substitute => {
      const { leadDays, shelf = 0 } = e.part;
      const priceMinor = e.kind === 'hose' ? e.part.pricePerMetreMinor : e.part.priceMinor;
      return {
        part: e.part.id,
        name: e.part.name,
        differs: differences(entry, e),
        shelf,
        ...(priceMinor === undefined ? {} : { priceMinor }),
        ...(leadDays === undefined ? {} : { leadDays }),
      };
    })
    .sort((a, b) => b.shelf - a.shelf || (a.priceMinor ?? Infinity) - (b.priceMinor ?? Infinity));
}

function alike(entry: PartEntry, catalogue: Catalogue): PartEntry[] {
  switch (entry.kind) {
    case 'fitting':
      // a body is what it is: its flow and its faces are not told by its ends
      if (entry.part.body) return [];
      return sameShape(entry.part, catalogue).map((part) => ({ kind: 'fitting', part }));
    case 'hose':
      return catalogue.hoses
        .filter(
          (h) =>
            h.construction === entry.part.construction &&
            sameSize(h, entry.part) &&
            h.workingBar >= entry.part.workingBar &&
            (entry.part.core !== 'conductive' || h.core === 'conductive'),
        )
        .map((part) => ({ kind: 'hose', part }));
    case 'hose end': {
      const hose = catalogue.hoses.find((h) => h.construction === entry.part.construction && sameSize(h, entry.part));
      return (hose ? endsForHose(catalogue, hose) : [])
        .filter((e) => e.angleDeg === entry.part.angleDeg && connectorKey(e.connector) === connectorKey(entry.part.connector))
        .map((part) => ({ kind: 'hose end', part }));
    }
    case 'supply': {
      // a seal is its size and its compound: there is no other
      if (entry.part.kind === 'o-ring' || entry.part.kind === 'washer' || entry.part.kind === 'sealant') return [];
      const said = (p: typeof entry.part): string =>
        JSON.stringify(
          Object.entries(p.figures)
            .filter(([k]) => k !== 'material')
            .sort(),
        );
      return catalogue.supplies
        .filter((s) => s.kind === entry.part.kind && said(s) === said(entry.part))
        .map((part) => ({ kind: 'supply', part }));
    }
  }
}

const shapes = new WeakMap<readonly Fitting[], ReadonlyMap<string, Fitting[]>>();
const shapeOf = (f: Fitting): string => `${kindOf(f)} ${f.angleDeg ?? 0} ${f.ends.map(connectorKey).sort().join(' + ')}`;

/** Fittings of the same kind, ends and angle, whatever they are made of. */
function sameShape(fitting: Fitting, { fittings }: Catalogue): Fitting[] {
  let index = shapes.get(fittings);
  if (!index) {
    const made = new Map<string, Fitting[]>();
    for (const f of fittings) {
      if (f.body) continue;
      const list = made.get(shapeOf(f));
      if (list) list.push(f);
      else made.set(shapeOf(f), [f]);
    }
    shapes.set(fittings, (index = made));
  }
  return index.get(shapeOf(fitting)) ?? [];
}

function differences(one: PartEntry, other: PartEntry): string[] {
  const words: string[] = [];
  const [from, to] = [one.part, other.part] as unknown as [Record<string, unknown>, Record<string, unknown>];
  const material = ({ material: said }: Record<string, unknown>): string => (typeof said === 'string' ? said : 'aluminium');
  if (one.kind !== 'hose' && one.kind !== 'supply' && material(from) !== material(to))
    words.push(`${material(to)} instead of ${material(from)}`);
  const figure = (name: string, more: string, less: string): void => {
    const [a, b] = [from[name], to[name]];
    if (typeof a !== 'number' || typeof b !== 'number' || Math.abs(a - b) < 0.05) return;
    words.push(`${quantity(Math.round(Math.abs(b - a) * 10) / 10, 'mm')} ${b > a ? more : less}`);
  };
  figure('lengthMm', 'longer', 'shorter');
  figure('boreMm', 'wider inside', 'narrower inside');
  if (one.kind === 'hose end') figure('aMm', 'longer along the hose', 'shorter along the hose');
  return words.length > 0 ? words : ['another maker or code'];
}

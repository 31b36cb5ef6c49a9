import { sameConnector } from '../connectors/index.js';
import type { Fitting } from '../fittings/index.js';
import { hoseSize, type Hose, type HoseEnd } from '../hose/index.js';
import type { Supply } from '../supplies/index.js';
import type { PartEntry } from './catalogue-part.js';

/** What lines are made of and made up with: all that the shop can get. */
export interface Catalogue {
  readonly fittings: readonly Fitting[];
  readonly hoses: readonly Hose[];
  readonly hoseEnds: readonly HoseEnd[];
  /** Seals, clamps, sealants and what else is used up. */
  readonly supplies: readonly Supply[];
}

/** The parts of a catalogue by kind, as rows tell them. */
export function entriesOf({ fittings, hoses, hoseEnds, supplies }: Catalogue): PartEntry[] {
  return [
    ...fittings.map((part): PartEntry => ({ kind: 'fitting', part })),
    ...hoses.map((part): PartEntry => ({ kind: 'hose', part })),
    ...hoseEnds.map((part): PartEntry => ({ kind: 'hose end', part })),
    ...supplies.map((part): PartEntry => ({ kind: 'supply', part })),
  ];
}

/** The catalogue that these parts are. */
export function catalogueOf(entries: readonly PartEntry[]): Catalogue {
  return {
    fittings: entries.flatMap((e) => (e.kind === 'fitting' ? [e.part] : [])),
    hoses: entries.flatMap((e) => (e.kind === 'hose' ? [e.part] : [])),
    hoseEnds: entries.flatMap((e) => (e.kind === 'hose end' ? [e.part] : [])),
    supplies: entries.flatMap((e) => (e.kind === 'supply' ? [e.part] : [])),
  };
}

type Part = { readonly id: string };
const indices = new WeakMap<readonly Part[], ReadonlyMap<string, Part>>();

function byId<T extends Part>(list: readonly T[], id: string | null): T | undefined {
  if (id === null) return undefined;
  let index = indices.get(list);
  if (!index) indices.set(list, (index = new Map(list.map((part) => [part.id, part]))));
  return index.get(id) as T | undefined;
}

/** The fitting with this id, retired ones too. */
export function findFitting({ fittings }: Pick<Catalogue, 'fittings'>, id: string | null): Fitting | undefined {
  return byId(fittings, id);
}

/** The hose with this id; null is none. */
export function findHose({ hoses }: Pick<Catalogue, 'hoses'>, id: string | null): Hose | undefined {
  return byId(hoses, id);
}

/** The hose end with this id; null is none. */
export function findHoseEnd({ hoseEnds }: Pick<Catalogue, 'hoseEnds'>, id: string | null): HoseEnd | undefined {
  return byId(hoseEnds, id);
}

/** The supply with this id. */
export function findSupply({ supplies }: Pick<Catalogue, 'supplies'>, id: string | null): Supply | undefined {
  return byId(supplies, id);
}

/** The hoses of one construction and size, `-10` or `16 mm`, as different makers have them. */
export function hosesOfSize({ hoses }: Pick<Catalogue, 'hoses'>, construction: string, size: string): Hose[] {
  return hoses.filter((h) => !h.retired && h.construction === construction && hoseSize(h) === size);
}

/** Ends by what they are made for: looked for many times in the same list. */
const endsMadeFor = new WeakMap<readonly HoseEnd[], ReadonlyMap<string, HoseEnd[]>>();
const madeFor = ({ construction, dash, metricMm }: Pick<HoseEnd, 'construction' | 'dash' | 'metricMm'>): string =>
  `${construction} ${dash} ${metricMm ?? ''}`;

/** The ends that go on a hose, of any angle and connector. */
export function endsForHose({ hoseEnds }: Pick<Catalogue, 'hoseEnds'>, hose: Hose): HoseEnd[] {
  let index = endsMadeFor.get(hoseEnds);
  if (!index) {
    const made = new Map<string, HoseEnd[]>();
    for (const end of hoseEnds) {
      if (end.retired) continue;
      const list = made.get(madeFor(end));
      if (list) list.push(end);
      else made.set(madeFor(end), [end]);
    }
    endsMadeFor.set(hoseEnds, (index = made));
  }
  return index.get(madeFor(hose)) ?? [];
}

/** An end for a hose at an angle: one with the same connector as before where there is a choice. */
export function endOfAngle(catalogue: Pick<Catalogue, 'hoseEnds'>, hose: Hose, angleDeg: number, before?: HoseEnd): HoseEnd | undefined {
  const made = endsForHose(catalogue, hose).filter((e) => e.angleDeg === angleDeg);
  // a nut of the hose's own size stays one on another size of hose; any other connector stays what it is
  const own = (e: HoseEnd): boolean => e.connector.size === String(e.dash);
  const same =
    before &&
    made.find((e) =>
      own(before) ? own(e) && e.connector.family === before.connector.family : sameConnector(e.connector, before.connector),
    );
  return same ?? made.find((e) => e.connector.family === before?.connector.family) ?? made[0];
}

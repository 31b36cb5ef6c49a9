import { ConnectorSyntaxError, formatConnector, parseConnector, type Connector } from '../connectors/index.js';
import { mate } from '../seals/index.js';
import { kindOf, type Fitting } from './fitting.js';
import type { FittingKindId } from './fitting-kinds.js';

/** What is looked for in the catalogue; what is absent does not narrow. */
export interface PartFilter {
  /** Words that all must be in name, code, id, supplier or ends. */
  readonly words?: string;
  /** A connector in notation, or the beginning of one. */
  readonly end?: string;
  /** `has`: a part with this end. `fits`: a part that seals on it. */
  readonly endMode?: 'has' | 'fits';
  readonly kind?: FittingKindId;
  readonly material?: string;
  readonly onShelf?: boolean;
  readonly retired?: boolean;
}

interface Indexed {
  readonly fitting: Fitting;
  readonly text: string;
  readonly ends: readonly string[];
  readonly kind: FittingKindId;
}

const indexed = new WeakMap<readonly Fitting[], readonly Indexed[]>();

/** The parts that meet a filter, in the order of the catalogue. Retired ones only when they are asked for. */
export function findParts(fittings: readonly Fitting[], filter: PartFilter): Fitting[] {
  let list = indexed.get(fittings);
  if (!list) indexed.set(fittings, (list = fittings.map(index)));
  const words = (filter.words ?? '').toLowerCase().split(/\s+/).filter(Boolean);
  const endMatches = matchesEnd(filter);
  return list
    .filter(
      ({ fitting, text, ends, kind }) =>
        (fitting.retired ?? false) === (filter.retired ?? false) &&
        (!filter.kind || kind === filter.kind) &&
        (!filter.material || fitting.material === filter.material) &&
        (!filter.onShelf || (fitting.shelf ?? 0) > 0) &&
        words.every((word) => text.includes(word)) &&
        (!endMatches || fitting.ends.some((end, i) => endMatches(end, ends[i]!))),
    )
    .map(({ fitting }) => fitting);
}

function index(fitting: Fitting): Indexed {
  const ends = fitting.ends.map(formatConnector);
  const { name, code = '', id, supplier = '' } = fitting;
  return { fitting, ends, kind: kindOf(fitting), text: `${name} ${code} ${id} ${supplier} ${ends.join(' ')}`.toLowerCase() };
}

/** A whole notation is compared as a connector, whose seat and swivel need not be said; the beginning of one as text. */
function matchesEnd({ end = '', endMode = 'has' }: PartFilter): ((c: Connector, written: string) => boolean) | undefined {
  const typed = end.trim().toLowerCase();
  if (typed === '') return undefined;
  const wanted = read(typed);
  if (!wanted) return endMode === 'has' ? (_, written) => written.startsWith(typed) : () => false;
  if (endMode === 'fits') {
    const known = new Map<string, boolean>();
    return (c, written) => {
      let seals = known.get(written);
      if (seals === undefined) known.set(written, (seals = mate(wanted, c).outcome === 'seals'));
      return seals;
    };
  }
  return (c) =>
    c.family === wanted.family &&
    c.size === wanted.size &&
    c.gender === wanted.gender &&
    (wanted.seat === undefined || c.seat === wanted.seat) &&
    (!wanted.swivel || c.swivel === true);
}

function read(text: string): Connector | undefined {
  try {
    return parseConnector(text);
  } catch (error) {
    if (error instanceof ConnectorSyntaxError) return undefined;
    throw error;
  }
}

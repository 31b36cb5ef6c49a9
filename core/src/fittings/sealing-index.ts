import { connectorKey, type Connector } from '../connectors/index.js';
import { mate, type Mating } from '../seals/index.js';
import type { Fitting } from './fitting.js';

/** A way through a fitting: in at one end, out at another. */
export interface Passage {
  readonly fitting: Fitting;
  readonly inEnd: number;
  readonly outEnd: number;
}

/** Answers "which passages seal on this connector" for one catalogue, each connector worked out once. */
export class SealingIndex {
  private readonly byEnd = new Map<string, { connector: Connector; passages: Passage[] }>();
  private readonly next = new Map<string, readonly Passage[]>();
  private readonly matings = new Map<string, Mating>();

  constructor(fittings: readonly Fitting[]) {
    for (const fitting of fittings) {
      fitting.ends.forEach((end, inEnd) => {
        const key = connectorKey(end);
        const entry = this.byEnd.get(key) ?? { connector: end, passages: [] };
        this.byEnd.set(key, entry);
        fitting.ends.forEach((other, outEnd) => {
          const mirrored = connectorKey(other) === key && inEnd > outEnd;
          if (outEnd !== inEnd && !mirrored) entry.passages.push({ fitting, inEnd, outEnd });
        });
      });
    }
  }

  /** Passages whose inner end seals on the connector. */
  passagesFrom(c: Connector): readonly Passage[] {
    const key = connectorKey(c);
    let found = this.next.get(key);
    if (!found) {
      found = [...this.byEnd.values()]
        .filter((entry) => this.mating(c, entry.connector).outcome === 'seals')
        .flatMap((entry) => entry.passages);
      this.next.set(key, found);
    }
    return found;
  }

  mating(a: Connector, b: Connector): Mating {
    const key = `${connectorKey(a)}>${connectorKey(b)}`;
    let found = this.matings.get(key);
    if (!found) {
      found = mate(a, b);
      this.matings.set(key, found);
    }
    return found;
  }
}

const indexes = new WeakMap<readonly Fitting[], SealingIndex>();

/** The index of a catalogue, kept as long as the catalogue array itself. */
export function sealingIndex(fittings: readonly Fitting[]): SealingIndex {
  let index = indexes.get(fittings);
  if (!index) {
    index = new SealingIndex(fittings);
    indexes.set(fittings, index);
  }
  return index;
}

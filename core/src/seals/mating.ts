import type { ThreadFit } from '../threads/index.js';
import type { MakeUp } from './make-up.js';

export interface Consumable {
  readonly item: string;
  readonly size?: string;
  readonly quantity: number;
}

/** What holds a two-bolt flange: the one consumable that seals nothing. */
export const FLANGE_BOLT = 'flange bolt';

/** What the glyph of a joint shows. */
export type SealKind = 'cone' | 'o-ring' | 'washer' | 'two-washers' | 'taper' | 'gasket' | 'push' | 'clamp' | 'olive' | 'socket' | 'none';

/** Two connectors made up together. `leaks`: the threads engage, and nothing reliable seals. */
export interface Mating {
  readonly outcome: 'seals' | 'leaks' | 'does-not-join';
  readonly kind: SealKind;
  readonly seal?: { readonly method: string; readonly consumables: readonly Consumable[] };
  /** Plain words a fabricator would use. */
  readonly reason: string;
  readonly makeUp?: MakeUp;
  /** It seals, and another part would do it better: what can go wrong. */
  readonly risk?: string;
  /** How the two threads fit, where they do not seal. */
  readonly fit?: ThreadFit;
  /** What must or must not go on the threads. */
  readonly dressing?: string;
  /** Where the figures come from. */
  readonly source?: string;
}

import type { EntityType, JobChange, ShopChange } from '@gewinde/core';
import type { Entity } from '../database/entities.js';

/** Whose rows a change is about: one job's, or those that all jobs share. */
export type Scope = { readonly job: string } | 'shop';

export function scopeName(scope: Scope): string {
  return scope === 'shop' ? 'shop' : scope.job;
}

/** Who sends a change, and by which key it is known again when it is sent twice. */
export interface Sender {
  /** One tab of a browser. */
  readonly client: string;
  /** An UUID. */
  readonly key: string;
}

/** What a piece of work wrote: the rows as they were and as they are now. Absent before: made; absent after: deleted. */
export interface Written {
  readonly label: string;
  readonly before: readonly Entity[];
  readonly after: readonly Entity[];
}

/** A change as it is answered and streamed. */
export interface Change {
  readonly id: number;
  readonly key: string;
  readonly kind: JobChange['kind'];
  readonly label: string;
  readonly client: string;
  readonly at: string;
  readonly put: readonly Entity[];
  readonly removed: readonly { readonly type: EntityType; readonly id: string }[];
}

/** A change of a job holds rows of a job only: the scope it was made in sees to that. */
export const asJobChange = (change: Change): JobChange => change as JobChange;
export const asShopChange = (change: Change): ShopChange => change as ShopChange;

import type { EntityType, JobChange, ShopChange } from '@gewinde/core';
import type { Entity } from '../database/entities.js';

/** Whose rows a change is about: one job's, or those that all jobs share. */
export type Scope = { readonly job: string } | 'shop';

export function scopeName(scope: Scope): string {
  return scope === 'shop' ? 'shop' : scope.job;
}

/** The row that is held while a change of the scope is made, and that says how far it has come. */
export function rowOf(scope: Scope): { readonly table: string; readonly where: Record<string, string> } {
  return scope === 'shop' ? { table: 'marks', where: { name: 'catalogue' } } : { table: 'jobs', where: { id: scope.job } };
}

/** A scope that is held, the number of the change to be made in it, and its row as it stands. */
export interface Held {
  readonly scope: Scope;
  readonly revision: number;
  readonly row: Readonly<Record<string, unknown>>;
}

/** Who sends a change, and by which key it is known again when it is sent twice. */
export interface Sender {
  /** One tab of a browser. */
  readonly client: string;
  /** An UUID. */
  readonly key: string;
  /** Of what is sent under the key; absent where the server itself is the sender. */
  readonly digest?: string;
}

/** What a piece of work wrote: the rows as they were and as they are now. Absent before: made; absent after: deleted. */
export interface Written {
  readonly label: string;
  readonly before: readonly Entity[];
  readonly after: readonly Entity[];
}

/** A change as it is answered and streamed. */
export interface Change {
  /** How many there have been in its scope, itself counted. */
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

import { createHash } from 'node:crypto';
import type { Sender } from './change.js';

/** Who sends a change, under which key, and what it says: a key is good for that and for nothing else. */
export function sentBy(client: string, route: string, body: { readonly key: string }): Sender {
  return { client, key: body.key, digest: digestOf(route, body) };
}

/** A short word for what is said: two that differ have another. */
export function digestOf(...said: readonly unknown[]): string {
  return createHash('sha256').update(JSON.stringify(said)).digest('base64url');
}

import type { Connector } from './connector-schema.js';

export type { Connector, Gender } from './connector-schema.js';

/** Same family, size, gender, seat and swivel. */
export function sameConnector(a: Connector, b: Connector): boolean {
  return connectorKey(a) === connectorKey(b);
}

/** A key that two connectors share exactly when they are the same. */
export function connectorKey(c: Connector): string {
  return `${c.family}|${c.size}|${c.gender}|${c.swivel ? 's' : ''}|${c.seat ?? ''}`;
}

export type Gender = 'male' | 'female';

/**
 * One end of a port, fitting or hose end. `family` is an id of {@link families}; `size` is written as that family writes it:
 * a dash number (`6`), a pipe size (`1/8`), a metric thread (`M14x1.5`), an inch thread (`7/16-20`) or a bore (`3/8`, `10mm`).
 */
export interface Connector {
  readonly family: string;
  readonly size: string;
  readonly gender: Gender;
  readonly swivel?: boolean;
  readonly seat?: string;
}

/** Same family, size, gender, seat and swivel. */
export function sameConnector(a: Connector, b: Connector): boolean {
  return connectorKey(a) === connectorKey(b);
}

/** A key that two connectors share exactly when they are the same. */
export function connectorKey(c: Connector): string {
  return `${c.family}|${c.size}|${c.gender}|${c.swivel ? 's' : ''}|${c.seat ?? ''}`;
}

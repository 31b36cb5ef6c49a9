import type { Catalogue, Connector, HoseEnd, MissingLink, Way } from '@gewinde/core';

export type WaysRequest = { kind: 'catalogue'; catalogue: Catalogue } | { kind: 'ways'; id: number; from: Connector; hoseEnd: HoseEnd };

export interface WaysAnswer {
  readonly id: number;
  readonly ways: Way[];
  readonly missingLinks: MissingLink[];
  readonly explanation: string;
}

import type {
  Catalogue,
  Connector,
  HoseEnd,
  JobDocument,
  JobQuery,
  Port,
  SensorPlace,
  SolvedJob,
  SolveProgress,
  WaysAnswer,
  WaysOptions,
} from '@gewinde/core';

/** What is asked about one end of a line. */
export interface WaysQuestion {
  readonly port: Pick<Port, 'connector' | 'sensor'>;
  readonly hoseEnd: HoseEnd;
  readonly options: WaysOptions;
}

export type WaysRequest =
  | { readonly kind: 'catalogue'; readonly catalogue: Catalogue }
  | { readonly kind: 'ways'; readonly id: number; readonly question: WaysQuestion }
  | { readonly kind: 'places'; readonly id: number; readonly sensor: Connector; readonly from: Port; readonly document: JobDocument }
  | { readonly kind: 'job'; readonly id: number; readonly document: JobDocument; readonly query: JobQuery }
  | { readonly kind: 'cancel'; readonly id: number };

export type WaysReply =
  | { readonly id: number; readonly kind: 'ways'; readonly answer: WaysAnswer }
  | { readonly id: number; readonly kind: 'places'; readonly places: SensorPlace[] }
  | { readonly id: number; readonly kind: 'progress'; readonly progress: SolveProgress }
  | { readonly id: number; readonly kind: 'job'; readonly solved: SolvedJob }
  | { readonly id: number; readonly kind: 'failed'; readonly message: string };

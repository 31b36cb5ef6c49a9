import type {
  CasesAnswer,
  Catalogue,
  Connector,
  FittingKindId,
  Gap,
  GapCase,
  JobDocument,
  JobQuery,
  PartBetween,
  Port,
  SensorPlace,
  SolvedJob,
  SolveProgress,
  WaysAnswer,
  WaysOptions,
} from '@gewinde/core';

/** What is asked about one way of a line. */
export interface WaysQuestion {
  readonly gap: Gap;
  readonly options: WaysOptions;
}

/** What is asked about a way whose ports are not certain. */
export interface CasesQuestion {
  readonly cases: readonly GapCase[];
  readonly options: WaysOptions;
}

/** Which parts could be put in at a place. */
export interface PartsQuestion extends WaysQuestion {
  readonly kind: FittingKindId | null;
}

export type WaysRequest =
  | { readonly kind: 'catalogue'; readonly catalogue: Catalogue }
  | { readonly kind: 'ways'; readonly id: number; readonly question: WaysQuestion }
  | { readonly kind: 'cases'; readonly id: number; readonly question: CasesQuestion }
  | { readonly kind: 'parts'; readonly id: number; readonly question: PartsQuestion }
  | { readonly kind: 'places'; readonly id: number; readonly sensor: Connector; readonly from: Port; readonly document: JobDocument }
  | { readonly kind: 'job'; readonly id: number; readonly document: JobDocument; readonly query: JobQuery }
  | { readonly kind: 'cancel'; readonly id: number };

export type WaysReply =
  | { readonly id: number; readonly kind: 'ways'; readonly answer: WaysAnswer }
  | { readonly id: number; readonly kind: 'cases'; readonly answer: CasesAnswer }
  | { readonly id: number; readonly kind: 'parts'; readonly parts: PartBetween[] }
  | { readonly id: number; readonly kind: 'places'; readonly places: SensorPlace[] }
  | { readonly id: number; readonly kind: 'progress'; readonly progress: SolveProgress }
  | { readonly id: number; readonly kind: 'job'; readonly solved: SolvedJob }
  | { readonly id: number; readonly kind: 'failed'; readonly message: string };

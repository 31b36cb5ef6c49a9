/** What the store says of a job's parts: who looks into it gives it; the audit does not know how it is counted. */
export interface StoreFacts {
  /** The day that it is, and the day by which all must be there, where that is said. */
  readonly today: string;
  readonly neededBy?: string;
  /** Parts that the shelf does not hold once other jobs have taken theirs, with the soonest that more can be there. */
  readonly short: readonly {
    readonly part: string;
    readonly name: string;
    readonly quantity: number;
    readonly lines: readonly number[];
    /** Undefined where no offer is known. */
    readonly soonest?: string;
    /** Ordered for the job, to come on a day. */
    readonly due?: string;
  }[];
  /** Lengths that other jobs plan to cut from as well. */
  readonly shared: readonly { readonly lengthId: string; readonly words: string }[];
  /** What was ordered for the job and is not needed any more. */
  readonly overOrdered: readonly { readonly orderId: string; readonly number: string; readonly name: string; readonly quantity: number }[];
  /** Pieces that were cut to another length than their hose has now. */
  readonly offCut: readonly {
    readonly lineId: string;
    readonly piece: string;
    readonly ticket: string;
    readonly cutMm: number;
    readonly nowMm: number;
  }[];
}

import type { FlowQuestion, JobSystem, LineSizing } from '../flow/index.js';
import type { AssembledJob, AssembledLine, Lookups } from '../lines/index.js';
import type { Schools } from '../shop-rules/index.js';
import type { StoreFacts } from './store-facts.js';

/** What is known of a line by itself: put together, with what may be asked of the job and the catalogue around it. */
export interface LineFacts {
  readonly line: AssembledLine;
  readonly around: Lookups;
  /** By which it is judged. */
  readonly schools: Schools;
}

/** A line with what runs in it. */
export interface FlowFacts {
  readonly line: AssembledLine;
  readonly sizing: LineSizing;
  readonly question: FlowQuestion;
  readonly schools: Schools;
}

/** A job as a whole: its ports, what balances in it, what it takes from the store. */
export interface JobFacts {
  readonly job: AssembledJob;
  readonly question: FlowQuestion;
  readonly sizings: readonly LineSizing[];
  readonly system: JobSystem;
  /** Absent where nobody looked into the store. */
  readonly store?: StoreFacts;
}

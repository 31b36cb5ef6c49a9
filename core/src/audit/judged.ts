import type { Finding } from '../findings/index.js';
import type { JobSystem, LineSizing } from '../flow/index.js';
import type { Schools } from '../shop-rules/index.js';
import type { StoreFacts } from './store-facts.js';
import type { AssembledJob, AssembledLine, JointPlace } from '../lines/index.js';

/** What the shop does its own way, where it bears on how a job is judged. */
export type JudgingSchools = Schools;

/** `leaks`: it will not do. `open`: something is not chosen yet, or a risk is neither put right nor accepted. */
export type LineState = 'open' | 'leaks' | 'seals' | 'checked';

/** A line with all that is found about it, the worst first. */
export interface JudgedLine extends AssembledLine {
  readonly findings: readonly Finding[];
  readonly state: LineState;
}

/** A job with all that is found about it: what every room hears. */
export interface JudgedJob extends AssembledJob {
  readonly lines: readonly JudgedLine[];
  readonly lineById: ReadonlyMap<string, JudgedLine>;
  readonly jointByKey: ReadonlyMap<string, JudgedJointPlace>;
  /** Of the lines and of the job as a whole, the worst first. */
  readonly findings: readonly Finding[];
  /** What it was judged by: the schools of the shop, and what its store says. */
  readonly schools: JudgingSchools;
  readonly store: StoreFacts | undefined;
  /** The same as facts alone, from which it was judged. */
  readonly facts: AssembledJob;
  readonly system: JobSystem;
  /** Of each line the size that is taken, by the line's id. */
  readonly sizings: ReadonlyMap<string, LineSizing>;
}
export interface JudgedJointPlace extends JointPlace {
  readonly line: JudgedLine;
}

import type { FindingPlace, WhatIsFound, RuleWords } from '../findings/index.js';
import type { FlowFacts, JobFacts, LineFacts } from './facts.js';

/** Tells what was found, under the rule that it breaks. */
export type Say<Id extends string = string> = (
  rule: Id,
  at: FindingPlace,
  message: string,
  more?: Pick<WhatIsFound, 'hint' | 'remedies' | 'severity'>,
) => void;

export interface FactsOf {
  readonly line: LineFacts;
  readonly flow: FlowFacts;
  readonly job: JobFacts;
}
/** What a rule reads: a line by itself, a line with what runs in it, the job as a whole. */
export type Reads = keyof FactsOf;

/** Looks for what breaks some rules that are looked for in one go. */
export interface Check<R extends Reads = Reads> {
  readonly reads: R;
  readonly look: (facts: FactsOf[R], say: Say) => void;
}

/** All about a rule in one entry: what it says, what it reads, how it is looked for. */
export interface Rule extends RuleWords {
  readonly id: string;
  readonly check: Check;
}

/** Rules that are looked for in one go. */
export function rulesOf<Id extends string, R extends Reads>(
  reads: R,
  words: { readonly [I in Id]: RuleWords },
  look: (facts: FactsOf[R], say: Say<NoInfer<Id>>) => void,
): { readonly [I in Id]: Rule } {
  const check: Check<R> = { reads, look: look as Check<R>['look'] };
  return Object.fromEntries(
    Object.entries<RuleWords>(words).map(([id, entry]) => [id, { id, ...entry, check: check as unknown as Check }]),
  ) as { readonly [I in Id]: Rule };
}

export const PRACTICE = 'Common practice';

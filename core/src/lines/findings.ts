import type { Command } from '../commands/index.js';

/** `leak`: oil would come out. `attention`: something is wrong with it. `open`: not decided yet. `advice`: worth a look, and nothing waits for it. */
export type Severity = 'leak' | 'attention' | 'open' | 'advice';

interface Rule {
  readonly severity: Severity;
  /** What to do about it, where a finding does not say it better itself. */
  readonly hint: string;
}

/** What can be open or wrong in a line: one rule a fault. */
export const lineRules = {
  'hose-not-chosen': { severity: 'open', hint: 'Choose construction and size.' },
  'hose-not-known': { severity: 'open', hint: 'Choose another hose or size.' },
  'end-not-chosen': { severity: 'open', hint: 'Choose another angle.' },
  'end-off-hose': { severity: 'leak', hint: 'Choose an end that is made for this hose.' },
  'way-not-chosen': { severity: 'open', hint: 'Choose one of the ways below the sheet.' },
  'part-gone': { severity: 'leak', hint: 'Add the part in the store again, or choose another way there.' },
  'part-retired': { severity: 'attention', hint: 'Choose another way, or put the part back in the store.' },
  'joint-leaks': { severity: 'leak', hint: 'Choose another way at this end.' },
  'joint-does-not-join': { severity: 'leak', hint: 'Choose another way at this end.' },
  'joint-at-risk': { severity: 'advice', hint: 'Take a way without it where there is one.' },
  'hose-cannot-turn': {
    severity: 'attention',
    hint: 'Take an end with a swivel nut on one side, or put a swivel between: the second end cannot be screwed in without turning the hose.',
  },
  'drain-narrow': { severity: 'attention', hint: 'Take a wider hose, end or fitting: nothing but the fall drives a drain.' },
  'drain-under-usual': { severity: 'advice', hint: 'A wider one carries froth more easily, where it can be had.' },
  'branch-open': { severity: 'leak', hint: 'Give it to a plug, a sensor or another line, or choose another way.' },
  'branch-sensor-gone': { severity: 'attention', hint: 'Choose another way, or log the sensor again.' },
  'branch-port-changed': { severity: 'leak', hint: 'Choose the way again.' },
  'branch-line-missing': { severity: 'open', hint: 'Draw it from there, or close the branch with a plug or a valve.' },
  'port-uncertain': { severity: 'open', hint: 'Settle it in the survey: what may come off tells, or the thread bench.' },
  'component-part-gone': { severity: 'attention', hint: 'Add the part in the store again, or take it off the component in the survey.' },
  'port-off-part': { severity: 'attention', hint: 'Take the threads of the part, or take the part off the component in the survey.' },
  'no-passage': { severity: 'attention', hint: 'Choose another way, or say in the store how its ends are joined inside.' },
  'open-end-gone': { severity: 'leak', hint: 'Take the line to another port, or put the tee back.' },
  'sensor-without-place': {
    severity: 'open',
    hint: 'Keep it on a tee at this end, or move it to a free port: see the ways below the sheet.',
  },
  'sensor-place-gone': { severity: 'open', hint: 'Find it another place.' },
  'sensor-place-taken': { severity: 'open', hint: 'Find it another place.' },
  'sensor-place-leaks': { severity: 'leak', hint: 'Find it another place, or other adapters.' },
  'sensor-off-port': { severity: 'attention', hint: 'Look at both threads again, and put the survey right.' },
  'length-not-given': { severity: 'open', hint: 'Tape from seat to seat over the mock-up.' },
  'length-too-short': { severity: 'attention', hint: 'Tape longer, take shorter ends, or join the ports with adapters alone.' },
  'taped-over-another-way': { severity: 'attention', hint: 'The seats moved with the fittings: tape again over the mock-up.' },
  'made-hose-length-not-given': { severity: 'open', hint: 'Measure it from seat to seat.' },
  'made-hose-too-short': { severity: 'leak', hint: 'Take a longer one, or cut one from the reel.' },
  'made-hose-little-slack': { severity: 'advice', hint: 'It goes where nothing moves and no bend is tight: else take a longer one.' },
  'made-hose-too-long': { severity: 'attention', hint: 'Take a shorter one, or lead it the longer way and tape that.' },
  'fluid-refused': { severity: 'leak', hint: 'Take it out of the job.' },
  'crimped-by-supplier': { severity: 'attention', hint: 'Say that it comes from a shop, made up; tell them clocking as well.' },
  'hose-not-for-fluid': { severity: 'attention', hint: 'Choose a construction rated for the fluid.' },
  'fitting-not-for-fluid': { severity: 'leak', hint: 'Choose another way at this end.' },
  provisional: { severity: 'advice', hint: 'Put the final one in before the engine is started.' },
  'as-found-open': { severity: 'advice', hint: 'Put it right and say what was done, before the engine is started.' },
  'changed-since-checked': { severity: 'advice', hint: 'Look it over and check it again.' },
} as const satisfies Record<string, Rule>;
export type LineRule = keyof typeof lineRules;

/** Where in the job a finding is. */
export interface FindingPlace {
  readonly lineId: string;
  readonly way?: number;
  readonly piece?: string;
  readonly joint?: string;
  readonly portId?: string;
}

/** Something that puts a finding right for certain: commands that make one change. */
export interface Remedy {
  /** What it does, as it stands on its button. */
  readonly label: string;
  readonly commands: readonly Command[];
}

export interface Finding {
  readonly rule: LineRule;
  readonly severity: Severity;
  readonly at: FindingPlace;
  /** What is found, in words a fabricator would use. */
  readonly message: string;
  readonly hint: string;
  readonly remedies: readonly Remedy[];
}

/** A finding of a rule, with the hint of the rule where there is no better one. */
export function finding(
  rule: LineRule,
  at: FindingPlace,
  message: string,
  more: { hint?: string; remedies?: readonly Remedy[] } = {},
): Finding {
  const { severity, hint } = lineRules[rule];
  return { rule, severity, at, message, hint: more.hint ?? hint, remedies: more.remedies ?? [] };
}

/** Holds the line back: it is not only advice. */
export function holds({ severity }: Finding): boolean {
  return severity !== 'advice';
}

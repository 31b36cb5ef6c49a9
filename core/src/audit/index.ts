export {
  brokenExample,
  examples,
  jobOfSetUp,
  ordinary,
  sideBySide,
  standsBeside,
  soundExample,
  soundJob,
  soundSetUps,
  type Example,
  type SetUp,
  type SetUpLine,
  type SoundName,
} from './examples/index.js';
export { auditJob } from './audit-job.js';
export { judgeJob, judgeLine, usualSchools } from './judge-job.js';
export type { JudgedJob, JudgedJointPlace, JudgedLine, JudgingSchools, LineState } from './judged.js';
export { ruleById, ruleIds, rules, type RuleId } from './registry.js';
export { certainRemedy, judgedAfter, putRightWhatIsCertain, type PutRight } from './put-right.js';
export { remediesFor, type SolvingContext } from './solved-remedies.js';
export { judgedIf, supposed, type Suppose } from './what-if.js';
export { leakAt } from './leak-at.js';
export { holdsLine, standsAgainstCheck, standsBefore } from './standing.js';
export type { Check, Reads, Rule } from './rule.js';
export type { FlowFacts, JobFacts, LineFacts } from './facts.js';
export type { StoreFacts } from './store-facts.js';
export {
  faultsToFind,
  lineToLookOver,
  nameOfQuestion,
  NOTHING_WRONG,
  questionNamed,
  rightAnswer,
  type FaultAnswer,
  type FaultQuestion,
  type LineToLookOver,
} from './find-the-fault.js';
export { saidOfLine, type SaidOfLine } from './said-of-line.js';
export { shownJob, type ShownJob } from './shown-job.js';

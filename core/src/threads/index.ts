export { UnknownThreadError, type Thread, type ThreadSystem } from './thread.js';
export { threadSystems, threadSystem, type SystemEntry } from './thread-systems.js';
export { parseThread, unThread } from './parse-thread.js';
export { metricThread, kegThread } from './metric-thread.js';
export { nptThread, npsmThread, britishThread } from './pipe-thread.js';
export { nptSizes, britishPipeSizes, kegSizes } from './pipe-tables.js';
export { metricPitches, unifiedSeries, unifiedSizes } from './straight-tables.js';
export { threadData, type ThreadData } from './thread-data.js';
export { threadLimits, type ThreadLimits, type Limits } from './thread-limits.js';
export { threadLibrary, measurableThreads, alsoCalled, type Side } from './thread-library.js';
export { taperEngagement, taperBetween, isTapered, type TaperEngagement } from './engagement.js';
export { fit, areMadeForEachOther, type ThreadFit } from './fit.js';
export { areLookAlikes, lookAlikesOf, lookAlikesInWords, type LookAlike } from './look-alikes.js';
export { howToTell } from './how-to-tell.js';
export { measuredSpan, basicDiameter } from './measured-span.js';
export { expectedTrial, trialInWords, trialProblem, trialResults, type ThreadTrial, type TrialOutcome, type TrialResult } from './trial.js';
export {
  MOST_TRIALS,
  ThreadMeasurementError,
  checkMeasurement,
  pitchWords,
  type ThreadMeasurement,
  type MeasurementField,
} from './measurement.js';
export { metInPlumbing, plumbingPrior, type MetInPlumbing } from './plumbing-prior.js';
export { drillInWords } from './tap-drills.js';
export { identifyThread, type IdentifyOptions, type ThreadCandidate, type TrialOfCandidate } from './identify-thread.js';

export { assembleLine, jointNames } from './assemble-line.js';
export type {
  AssembledBranch,
  AssembledEnd,
  AssembledLine,
  CutArithmetic,
  JointState,
  LineJoint,
  LineProblem,
  PlacedFitting,
} from './assembled-line.js';
export {
  asWay,
  branchesOf,
  differenceBetween,
  keptWay,
  partsOf,
  takeOffsOf,
  USUAL_MOST_FITTINGS,
  waysToHoseEnd,
  type Way,
  type WaysAnswer,
  type WaysOptions,
} from './ways.js';
export { sensorMisfit } from './sensor-misfit.js';
export { placesForSensor, sensorMove, type SensorMove, type SensorPlace } from './sensors.js';
export { chooseTogether, type Choice } from './choose-together.js';
export { solveJob, type JobQuery, type SolvedEnd, type SolvedJob, type SolveProgress } from './solve-job.js';

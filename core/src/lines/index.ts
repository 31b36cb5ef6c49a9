export { assembleJob, jointKey, type AssembledJob, type JointPlace, type ShopSchools } from './assemble-job.js';
export { assembleLine, jointNames } from './assemble-line.js';
export {
  terminalCases,
  terminalName,
  type AssembledBranch,
  type AssembledLine,
  type AssembledPiece,
  type AssembledWay,
  type CutArithmetic,
  type HoseTerminal,
  type JointState,
  type KeyedFitting,
  type LineJoint,
  type PlacedFitting,
  type PortTerminal,
  type Terminal,
} from './assembled-line.js';
export { sealUseOf } from './seal-use.js';
export { partsIn, placedParts } from './looked-at.js';
export { isFinal, overBy } from './assemble-piece.js';
export { passes, placeLinks } from './assemble-way.js';
export { changedSince } from './digest.js';
export { isFormed } from './other-ends.js';
export { graphOf, type GraphEdge, type GraphNode, type JobGraph } from './job-graph.js';
export {
  asKept,
  differenceBetween,
  keptWay,
  USUAL_MOST_FITTINGS,
  waysAcross,
  waysToHoseEnd,
  type Way,
  type WaysAnswer,
  type WaysOptions,
} from './ways.js';
export { gapOf, gapToHoseEnd, takeOffsOf, type Gap, type GapSide } from './gap.js';
export { wayName } from './way-name.js';
export { gapsByCase, waysByCase, type CasesAnswer, type CaseWays, type GapCase } from './ways-by-case.js';
export { answersStand, lookupsIn, noting, type Asked, type Lookups } from './lookups.js';
export { howToSettle } from './uncertain-ports.js';
export { canBeScrewedOn, otherEnds, type EndOnHose, type OtherEnd } from './other-ends.js';
export { partsBetween, type PartBetween } from './parts-between.js';
export { sensorMisfit } from './sensor-misfit.js';
export { placesForSensor, sensorMove, type SensorMove, type SensorPlace } from './sensors.js';
export { chooseTogether, type WayOfEnd } from './choose-together.js';
export { solveJob, type JobQuery, type SolvedJob, type SolvedWay, type SolveProgress } from './solve-job.js';
export { placedEnds, wayFrames } from './way-frames.js';
export { portOffPart, takeThreads } from './part-ports.js';
export { takeWayCommands, type TakeWayCommand } from './take-way.js';
export { boreLeads, DRAIN_BORE_MM } from './drain-bore.js';

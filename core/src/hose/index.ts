export {
  constructions,
  constructionById,
  fluidProblem,
  hoseLimits,
  hoseSize,
  isCutEnd,
  joinsHose,
  sameSize,
  type Construction,
  type Hose,
  type HoseEnd,
} from './hose.js';
export { tubeMetals, tubePressure } from './hard-lines.js';
export { HoseSchema, HoseEndSchema } from './hose-schema.js';
export { standardHoses } from './standard-hoses.js';
export { standardHoseEnds, hoseEndAngles } from './standard-hose-ends.js';
export {
  cutLength,
  CutLengthError,
  formatCut,
  minCutMm,
  LONGEST_LINE_MM,
  SHORTEST_CUT_MM,
  SOCKET_GAP_MM,
  type CutEnd,
  type CutLengthQuery,
} from './cut-length.js';
export { roundMinusStraight, straightened } from './taped-round.js';
export { hoseJoint, hoseEndProblem } from './hose-joint.js';
export { dashOfBore } from './metric-hoses.js';

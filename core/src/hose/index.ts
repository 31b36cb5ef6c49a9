export { constructions, constructionById, type Construction, type Hose, type HoseEnd } from './hose.js';
export { HoseSchema, HoseEndSchema } from './hose-schema.js';
export { standardHoses } from './standard-hoses.js';
export { standardHoseEnds, hoseEndAngles } from './standard-hose-ends.js';
export { cutLength, CutLengthError, SHORTEST_CUT_MM, LONGEST_LINE_MM, type CutLengthQuery } from './cut-length.js';
export { hoseJoint, hoseEndProblem } from './hose-joint.js';

export { services, serviceById, type Service } from './services.js';
export { assembleLine, jointNames } from './assemble-line.js';
export type { AssembledLine, AssembledEnd, LineJoint, LineProblem, CutArithmetic, PlacedFitting } from './assembled-line.js';
export { waysToHoseEnd, type Way } from './ways.js';

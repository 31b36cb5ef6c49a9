export type { Branch, Chain, ChainLink, ChainQuery, TakeOff } from './chain.js';
export { ChainConstraintsSchema, constraintsSet, type ChainConstraints } from './chain-constraints.js';
export { ChainConstraintError } from './chain-constraint-error.js';
export { ChainWeightsSchema, leadStep, leadSteps, priceOnly, smallThreadShare, usualWeights, type ChainWeights } from './chain-weights.js';
export { turnsFreely } from './chain-steps.js';
export { counterpart } from './counterpart.js';
export type { MissingLink, ShopMade } from './missing-links.js';
export { partFigures, solveChains, type ChainAnswer } from './solve-chains.js';
export { whyNone, type InTheWay } from './why-none.js';

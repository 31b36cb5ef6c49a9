export type { Fitting } from './fitting.js';
export { FittingSchema } from './fitting-schema.js';
export { standardAdapters, adapter, adapterId } from './standard-adapters.js';
export { solveChains, type Chain, type ChainLink, type ChainQuery } from './solve-chains.js';
export { counterpart, type MissingLink } from './missing-links.js';

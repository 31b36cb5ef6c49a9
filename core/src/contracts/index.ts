export { contract, type AnswerOf, type BodyOf, type Contract, type ParamsOf, type QueryOf } from './contract.js';
export { ErrorBodySchema, type ErrorBody } from './error-contract.js';
export { jobContracts, type JobPage, type JobSummary } from './job-contracts.js';
export { LIST_LIMIT, shopContracts, type ListPreview, type PartCard, type ShopChange } from './shop-contracts.js';
export { benchContracts } from './bench-contracts.js';
export { liveContracts, type LiveMessage } from './live-contracts.js';
export { entities, type EntityType } from './entities.js';
export { stockContracts, type OfferPreview } from './stock-contracts.js';
export { planContracts } from './plan-contracts.js';

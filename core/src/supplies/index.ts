export type { PartField } from './part-field.js';
export { hoseEndFields, hoseFields } from './hose-fields.js';
export { supplyKind, supplyKinds, type SupplyKind, type SupplyKindId } from './supply-kinds.js';
export { figureOf, fieldSchema, madeFor, SupplySchema, type Supply } from './supply-schema.js';
export { standardSupplies } from './standard-supplies.js';
export { SealRulesSchema, usualSealRules, type SealRules } from './seal-rules.js';
export { ringCompound, type SealUse } from './compound-choice.js';
export { specify, type Specified } from './specify.js';
export { checkRing, ringWords, specifyRing, type RingFit, type RingSpecified } from './specify-ring.js';

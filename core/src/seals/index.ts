export { mate } from './mate.js';
export type { Mating, Consumable, SealKind } from './mating.js';
export { flareTorques, studTorques, type MakeUp, type TorqueChoice } from './make-up.js';
export { formatMakeUp } from './format-make-up.js';
export { bossRings, metricPortRings, studRings, type ORing } from './o-rings.js';
export { washerFor, bondedWasherFor, bondedWashers, flatWashers, type Washer } from './washers.js';
export { compounds, compoundsFor, type Compound, type Suits } from './compounds.js';
export { sealants, type Sealant, type SealantPlace } from './sealants.js';
export { matingMatrix, type MatingMatrix } from './mating-matrix.js';

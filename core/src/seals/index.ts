export { mate } from './mate.js';
export type { Mating, Consumable, SealKind } from './mating.js';
export { type MakeUp } from './make-up.js';
export { formatMakeUp } from './format-make-up.js';
export { bossRings, metricPortRings, washerFor, type Washer } from './seal-data.js';

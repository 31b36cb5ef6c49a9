import type { Rule } from './rule.js';
import { coolingRules } from './rules/cooling.js';
import { directionRules } from './rules/directions.js';
import { drainBoreRules } from './rules/drain-bore.js';
import { drainRules } from './rules/drains.js';
import { feedRules } from './rules/feeds.js';
import { fluidRules } from './rules/fluids.js';
import { foundRules } from './rules/found.js';
import { handRules } from './rules/hands.js';
import { hoseRules } from './rules/hoses.js';
import { jointRules } from './rules/joints.js';
import { lengthRules } from './rules/lengths.js';
import { looseEndRules } from './rules/loose-ends.js';
import { partRules } from './rules/parts.js';
import { portRules } from './rules/ports.js';
import { sealRules } from './rules/seals.js';
import { sensorRules } from './rules/sensors.js';
import { sizeRules } from './rules/sizes.js';
import { storeRules } from './rules/store.js';
import { systemRules } from './rules/system.js';
import { wayRules } from './rules/ways.js';

/** Every rule by which a job is judged: screens, guide, proof and drill read this one table. */
export const rules = {
  ...hoseRules,
  ...fluidRules,
  ...portRules,
  ...partRules,
  ...wayRules,
  ...sensorRules,
  ...jointRules,
  ...lengthRules,
  ...handRules,
  ...drainBoreRules,
  ...directionRules,
  ...foundRules,
  ...sizeRules,
  ...feedRules,
  ...drainRules,
  ...coolingRules,
  ...sealRules,
  ...systemRules,
  ...looseEndRules,
  ...storeRules,
};
export type RuleId = keyof typeof rules;
export const ruleIds = Object.keys(rules) as RuleId[];

/** @throws {RangeError} for one that is not in the table */
export function ruleById(id: string): Rule {
  const rule = (rules as Readonly<Record<string, Rule>>)[id];
  if (!rule) throw new RangeError(`There is no rule "${id}".`);
  return rule;
}

import type { TSchema } from 'typebox';
import { Value } from 'typebox/value';
import { ChainWeightsSchema, usualWeights } from '../chains/index.js';
import { FlowRulesSchema, usualFlowRules } from '../job/index.js';
import { StoreRulesSchema, usualStoreRules } from '../stock/index.js';
import { SealRulesSchema, usualSealRules } from '../supplies/index.js';
import { shopRules } from './entries.js';
import type { RuleGroup, ShopRuleEntry } from './entry.js';
import { JudgingRulesSchema, usualJudgingRules } from './judging-rules.js';

const ROWS: { readonly [G in RuleGroup]: readonly [TSchema, object] } = {
  judging: [JudgingRulesSchema, usualJudgingRules],
  flow: [FlowRulesSchema, usualFlowRules],
  seals: [SealRulesSchema, usualSealRules],
  ways: [ChainWeightsSchema, usualWeights],
  store: [StoreRulesSchema, usualStoreRules],
};

/** Why a rule cannot have a value, in words; undefined where it can. */
export function ruleValueProblem(
  { group, field, name }: Pick<ShopRuleEntry, 'group' | 'field' | 'name'>,
  value: unknown,
): string | undefined {
  const [schema, usual] = ROWS[group];
  return Value.Check(schema, { ...usual, [field]: value }) ? undefined : `${name}: that is not a value it can have.`;
}

/** The same of a rule that a job does another way. */
export function deviationProblem(rule: string, value: unknown): string | undefined {
  const entry = shopRules.find((e) => e.id === rule);
  return entry?.perJob ? ruleValueProblem(entry, value) : `"${rule}" is no rule that a job can do another way.`;
}

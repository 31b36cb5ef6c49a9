export { schoolsOfJob, type Schools } from './deviate.js';
export { shopRuleById, shopRules } from './entries.js';
export { ruleGroups, type RuleForm, type RuleGroup, type RuleValue, type ShopRuleEntry } from './entry.js';
export { deviationProblem, ruleValueProblem } from './rule-problem.js';
export { JudgingRulesSchema, usualJudgingRules, type JudgingRules } from './judging-rules.js';

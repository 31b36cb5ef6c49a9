import { Type, type Static } from 'typebox';
import { ChainWeightsSchema, usualWeights } from '../chains/index.js';
import { FlowRulesSchema, usualFlowRules, type CataloguePart } from '../job/index.js';
import type { Frozen } from '../schema/index.js';
import { noStoreRules, type StockEntities, type StoreRulesRow } from '../stock/index.js';
import { JudgingRulesSchema, usualJudgingRules } from '../shop-rules/index.js';
import { SealRulesSchema, usualSealRules } from '../supplies/index.js';

const strict = { additionalProperties: false } as const;

/** What the shop weighs when ways are ranked; version 0 is the start that nobody has changed yet. */
export const WeightsRowSchema = Type.Object(
  { id: Type.Literal('chain-weights'), weights: ChainWeightsSchema, version: Type.Integer({ minimum: 0 }) },
  { ...strict, title: 'WeightsRow' },
);
export type WeightsRow = Frozen<Static<typeof WeightsRowSchema>>;

/** Which seals the shop takes where several would do; version 0 is the start that nobody has changed yet. */
export const SealRulesRowSchema = Type.Object(
  { id: Type.Literal('seal-rules'), rules: SealRulesSchema, version: Type.Integer({ minimum: 0 }) },
  { ...strict, title: 'SealRulesRow' },
);
export type SealRulesRow = Frozen<Static<typeof SealRulesRowSchema>>;

/** What the shop reckons flow with; version 0 is the start that nobody has changed yet. */
export const FlowRulesRowSchema = Type.Object(
  { id: Type.Literal('flow-rules'), rules: FlowRulesSchema, version: Type.Integer({ minimum: 0 }) },
  { ...strict, title: 'FlowRulesRow' },
);
export type FlowRulesRow = Frozen<Static<typeof FlowRulesRowSchema>>;

/** Limits and habits by which jobs are judged; version 0 is the start that nobody has changed yet. */
export const JudgingRulesRowSchema = Type.Object(
  { id: Type.Literal('judging-rules'), rules: JudgingRulesSchema, version: Type.Integer({ minimum: 0 }) },
  { ...strict, title: 'JudgingRulesRow' },
);
export type JudgingRulesRow = Frozen<Static<typeof JudgingRulesRowSchema>>;

/** Rows of which the shop has one each, as they stand while nobody has set them. */
export const usualRuleRows: RuleRows = {
  weights: { id: 'chain-weights', weights: usualWeights, version: 0 },
  sealRules: { id: 'seal-rules', rules: usualSealRules, version: 0 },
  flowRules: { id: 'flow-rules', rules: usualFlowRules, version: 0 },
  judgingRules: { id: 'judging-rules', rules: usualJudgingRules, version: 0 },
  storeRules: noStoreRules,
};
export interface RuleRows {
  weights: WeightsRow;
  sealRules: SealRulesRow;
  flowRules: FlowRulesRow;
  judgingRules: JudgingRulesRow;
  storeRules: StoreRulesRow;
}

/** What all jobs share, row by row. */
export type ShopRows = StockEntities & RuleRows & { part: CataloguePart };
export type ShopRowType = keyof ShopRows;
export type ShopRow = { [T in ShopRowType]: { readonly type: T; readonly row: ShopRows[T] } }[ShopRowType];

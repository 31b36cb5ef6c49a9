export {
  catalogueCommandSchemas,
  RuleName,
  RuleValueSchema,
  type CatalogueCommand,
  type CatalogueCommandName,
  type CatalogueCommandOf,
} from './catalogue-command-schemas.js';
export {
  FlowRulesRowSchema,
  JudgingRulesRowSchema,
  SealRulesRowSchema,
  usualRuleRows,
  WeightsRowSchema,
  type FlowRulesRow,
  type JudgingRulesRow,
  type RuleRows,
  type SealRulesRow,
  type ShopRow,
  type ShopRows,
  type ShopRowType,
  type WeightsRow,
} from './shop-rows.js';
export {
  numberedRows,
  rowNumber,
  type NumberedRow,
  type ShopContext,
  type ShopOutcome,
  type ShopQuestions,
  type StockMovement,
} from './shop-draft.js';
export { runShopCommands } from './run-shop-commands.js';
export {
  shopCommands,
  ShopCommandSchema,
  type ShopCommand,
  type ShopCommandEntry,
  type ShopCommandName,
  type ShopCommandOf,
} from './shop-commands.js';
export { shopEntityWords } from './shop-words.js';

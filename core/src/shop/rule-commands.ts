import { CommandError } from '../commands/index.js';
import { ruleValueProblem, shopRules, type RuleGroup } from '../shop-rules/index.js';
import type { StockCommandOf } from '../stock/index.js';
import type { CatalogueCommandOf } from './catalogue-command-schemas.js';
import type { ShopDraft } from './shop-draft.js';
import { usualRuleRows, type RuleRows, type ShopRows } from './shop-rows.js';

/** Sets a row of which the shop has one. @throws {CommandError} conflict, with the row as it stands */
function setRow<T extends keyof RuleRows>(draft: ShopDraft, type: T, version: number, set: Partial<RuleRows[T]>): void {
  const usual = usualRuleRows[type];
  const before = draft.find(type, usual.id);
  if ((before?.version ?? 0) !== version)
    throw new CommandError('conflict', 'Somebody else has changed this in the meantime.', undefined, before ?? usual);
  draft.put(type, { ...usual, ...set } as ShopRows[T]);
}

export function setWeights(draft: ShopDraft, { version, weights }: CatalogueCommandOf<'set-weights'>): string {
  setRow(draft, 'weights', version, { weights });
  return 'Set what counts when ways are ranked';
}

export function setSealRules(draft: ShopDraft, { version, rules }: CatalogueCommandOf<'set-seal-rules'>): string {
  setRow(draft, 'sealRules', version, { rules });
  return 'Set which seals are taken';
}

export function setFlowRules(draft: ShopDraft, { version, rules }: CatalogueCommandOf<'set-flow-rules'>): string {
  setRow(draft, 'flowRules', version, { rules });
  return 'Set what flow is reckoned with';
}

export function setStoreRules(draft: ShopDraft, { version, rules }: StockCommandOf<'set-store-rules'>): string {
  setRow(draft, 'storeRules', version, { rules });
  return 'Set how it is cut, kept and bought';
}

/** Where the rules of a group are kept, and under which field of their row. */
const ROW_OF = {
  judging: ['judgingRules', 'rules'],
  flow: ['flowRules', 'rules'],
  seals: ['sealRules', 'rules'],
  ways: ['weights', 'weights'],
  store: ['storeRules', 'rules'],
} as const satisfies Readonly<Record<RuleGroup, readonly [keyof RuleRows, string]>>;

/** Sets one rule of the shop, whichever row it is kept in; what its schema does not take is refused. @throws {CommandError} not-found, bad-value, conflict */
export function setShopRule(draft: ShopDraft, { rule, version, value }: CatalogueCommandOf<'set-shop-rule'>): string {
  const entry = shopRules.find((e) => e.id === rule);
  if (!entry) throw new CommandError('not-found', `There is no shop rule "${rule}".`, 'rule');
  const problem = ruleValueProblem(entry, value);
  if (problem) throw new CommandError('bad-value', problem, 'value');
  const [type, field] = ROW_OF[entry.group];
  const usual = usualRuleRows[type] as unknown as Record<string, object>;
  const before = (draft.find(type, usualRuleRows[type].id) ?? usual) as unknown as Record<string, object>;
  const next = { ...usual[field], ...before[field], [entry.field]: value };
  setRow(draft, type, version, { [field]: next } as never);
  return `Set a rule of the shop: ${entry.name}`;
}

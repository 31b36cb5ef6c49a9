import { CommandError } from '../commands/index.js';
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

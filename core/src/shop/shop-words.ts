import type { ShopRowType } from './shop-rows.js';

/** What one row of each type is called. */
export const shopEntityWords = {
  part: 'part',
  weights: 'set of weights',
  sealRules: 'set of seal rules',
  flowRules: 'set of flow rules',
  judgingRules: 'set of judging rules',
  storeRules: 'set of store rules',
  supplier: 'supplier',
  offer: 'offer',
  stock: 'shelf',
  length: 'length of hose',
  cut: 'piece cut',
  order: 'order',
} as const satisfies Record<ShopRowType, string>;

import { Type, type Static } from 'typebox';
import { OneKindOf, type Frozen } from '../schema/index.js';
import { CutMadeSchema, LengthSchema, type CutMade, type HoseLength } from './length-schema.js';
import { StockSchema, type StockRow } from './move-stock.js';
import { PurchaseOrderSchema, type PurchaseOrder } from './order-schema.js';
import { StoreRulesSchema, usualStoreRules, type StoreRules } from './store-rules.js';
import { OfferSchema, SupplierSchema, type OfferRow, type SupplierRow } from './supplier-schema.js';

/** Version 0 is the start that nobody has changed yet. */
export const StoreRulesRowSchema = Type.Object(
  { id: Type.Literal('store-rules'), rules: StoreRulesSchema, version: Type.Integer({ minimum: 0 }) },
  { additionalProperties: false, title: 'StoreRulesRow' },
);
export type StoreRulesRow = Frozen<Static<typeof StoreRulesRowSchema>>;
export const noStoreRules: StoreRulesRow = { id: 'store-rules', rules: usualStoreRules, version: 0 };

/** The rows of the stockroom, each with its type. */
export const stockEntitySchemas = [
  Type.Object({ type: Type.Literal('supplier'), row: SupplierSchema }),
  Type.Object({ type: Type.Literal('offer'), row: OfferSchema }),
  Type.Object({ type: Type.Literal('stock'), row: StockSchema }),
  Type.Object({ type: Type.Literal('length'), row: LengthSchema }),
  Type.Object({ type: Type.Literal('cut'), row: CutMadeSchema }),
  Type.Object({ type: Type.Literal('order'), row: PurchaseOrderSchema }),
  Type.Object({ type: Type.Literal('storeRules'), row: StoreRulesRowSchema }),
] as const;
export const StockEntitySchema = OneKindOf('type', stockEntitySchemas, 'StockEntity');
export interface StockEntities {
  supplier: SupplierRow;
  offer: OfferRow;
  stock: StockRow;
  length: HoseLength;
  cut: CutMade;
  order: PurchaseOrder;
  storeRules: StoreRulesRow;
}
export type StockEntity = { [T in keyof StockEntities]: { readonly type: T; readonly row: StockEntities[T] } }[keyof StockEntities];

/** All that is bought, kept and cut. */
export interface Stockroom {
  readonly suppliers: readonly SupplierRow[];
  readonly offers: readonly OfferRow[];
  readonly stock: readonly StockRow[];
  readonly lengths: readonly HoseLength[];
  /** Pieces cut of the job that is open. */
  readonly cuts: readonly CutMade[];
  readonly orders: readonly PurchaseOrder[];
  readonly rules: StoreRules;
  readonly rulesVersion: number;
}

export const emptyStockroom: Stockroom = {
  suppliers: [],
  offers: [],
  stock: [],
  lengths: [],
  cuts: [],
  orders: [],
  rules: usualStoreRules,
  rulesVersion: 0,
};

const lists = { supplier: 'suppliers', offer: 'offers', stock: 'stock', length: 'lengths', cut: 'cuts', order: 'orders' } as const;
type Listed = keyof typeof lists;

/** The stockroom after some of its rows were put and some removed; rows of other types are nobody's business here. */
export function withStockRows(
  room: Stockroom,
  put: readonly { readonly type: string; readonly row: { readonly id: string } }[],
  removed: readonly { readonly type: string; readonly id: string }[] = [],
): Stockroom {
  let next = room;
  for (const type of Object.keys(lists) as Listed[]) {
    const rows = put.filter((e) => e.type === type).map((e) => e.row);
    const gone = new Set(removed.filter((r) => r.type === type).map((r) => r.id));
    if (rows.length === 0 && gone.size === 0) continue;
    const now = new Map<string, { readonly id: string }>(next[lists[type]].map((row) => [row.id, row]));
    for (const id of gone) now.delete(id);
    for (const row of rows) now.set(row.id, row);
    next = { ...next, [lists[type]]: [...now.values()] };
  }
  const rules = put.findLast((e) => e.type === 'storeRules')?.row as StoreRulesRow | undefined;
  if (rules) return { ...next, rules: rules.rules, rulesVersion: rules.version };
  return removed.some((r) => r.type === 'storeRules') ? { ...next, rules: usualStoreRules, rulesVersion: 0 } : next;
}

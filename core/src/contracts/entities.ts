import { CataloguePartSchema, jobEntities, type EntityEntry } from '../job/index.js';
import {
  CutMadeSchema,
  LengthSchema,
  OfferSchema,
  PurchaseOrderSchema,
  StockSchema,
  StoreRulesRowSchema,
  SupplierSchema,
} from '../stock/index.js';
import { FlowRulesRowSchema, JudgingRulesRowSchema, SealRulesRowSchema, WeightsRowSchema } from '../shop/index.js';

/** Every type of row the app keeps and changes: those of a job, and those that all jobs share. */
export const entities = {
  ...jobEntities,
  part: { schema: CataloguePartSchema, parent: null, one: 'part', many: 'parts', undo: 'taken back', fields: {} },
  weights: {
    schema: WeightsRowSchema,
    parent: null,
    one: 'set of weights',
    many: 'sets of weights',
    undo: 'taken back',
    fields: { weights: 'what counts' },
  },
  sealRules: {
    schema: SealRulesRowSchema,
    parent: null,
    one: 'set of seal rules',
    many: 'sets of seal rules',
    undo: 'taken back',
    fields: { rules: 'seals taken' },
  },
  flowRules: {
    schema: FlowRulesRowSchema,
    parent: null,
    one: 'set of flow rules',
    many: 'sets of flow rules',
    undo: 'taken back',
    fields: { rules: 'what flow is reckoned with' },
  },
  judgingRules: {
    schema: JudgingRulesRowSchema,
    parent: null,
    one: 'set of judging rules',
    many: 'sets of judging rules',
    undo: 'taken back',
    fields: { rules: 'what jobs are judged by' },
  },
  supplier: {
    schema: SupplierSchema,
    parent: null,
    one: 'supplier',
    many: 'suppliers',
    undo: 'taken back',
    fields: {
      name: 'name',
      currency: 'money',
      euros: 'in euros',
      carriageMinor: 'carriage',
      freeFromMinor: 'no carriage from',
      leadDays: 'lead days',
    },
  },
  offer: {
    schema: OfferSchema,
    parent: 'supplier',
    one: 'offer',
    many: 'offers',
    undo: 'taken back',
    fields: { code: 'code', holds: 'what is in it', prices: 'prices', leadDays: 'lead days' },
  },
  storeRules: {
    schema: StoreRulesRowSchema,
    parent: null,
    one: 'set of store rules',
    many: 'sets of store rules',
    undo: 'taken back',
    fields: { rules: 'how it is cut, kept and bought' },
  },
  // what is kept, cut and ordered is a record: it is countered by another movement, never taken back
  stock: { schema: StockSchema, parent: 'part', one: 'shelf', many: 'shelves', undo: 'countered', fields: {} },
  length: { schema: LengthSchema, parent: 'part', one: 'length of hose', many: 'lengths of hose', undo: 'countered', fields: {} },
  cut: { schema: CutMadeSchema, parent: 'job', one: 'piece cut', many: 'pieces cut', undo: 'countered', fields: {} },
  order: { schema: PurchaseOrderSchema, parent: 'supplier', one: 'order', many: 'orders', undo: 'countered', fields: {} },
} as const satisfies Record<string, EntityEntry>;

export type EntityType = keyof typeof entities;

export {
  HeldSchema,
  eurosOf,
  OfferFields,
  offerProblem,
  OfferSchema,
  SupplierFields,
  supplierProblem,
  SupplierSchema,
  type OfferRow,
  type StockProblem,
  type SupplierRow,
} from './supplier-schema.js';
export {
  ageInYears,
  CutMadeSchema,
  freeMm,
  isFree,
  reservedByOthers,
  sameCut,
  lengthKinds,
  toLookOver,
  type Ageing,
  LengthFields,
  LengthSchema,
  type CutMade,
  type HoseLength,
} from './length-schema.js';
export {
  AcknowledgementSchema,
  DeliverySchema,
  orderStates,
  PurchaseOrderSchema,
  type Acknowledgement,
  type Claim,
  type Delivery,
  type PurchaseLine,
  type PurchaseOrder,
  type Unanswered,
} from './order-schema.js';
export { StoreRulesSchema, usualStoreRules, type StoreRules } from './store-rules.js';
export {
  freeFor,
  moved,
  moveKinds,
  reservedFor,
  shelfId,
  StockSchema,
  type Move,
  type MoveKind,
  type Shelf,
  type StockRow,
} from './move-stock.js';
export { cutOff, leftAs, takenOff, type Sawn } from './cut-length.js';
export {
  acknowledged,
  byNumber,
  gaveUp,
  isUnderWay,
  lateLines,
  lineTotal,
  openPacks,
  orderStateWords,
  isHadAfterAll,
  isUnconfirmed,
  notAnswered,
  orderWords,
  orderTotal,
  received,
} from './receive-order.js';
export { isAcknowledgement } from './is-acknowledgement.js';
export { claimOver, claimsReceived, comingFor, type Coming } from './claims.js';
export { reserveLengths, wholeAgain } from './reserve-lengths.js';
export { incomingChecks, type IncomingCheck } from './incoming-checks.js';
export {
  StockEntityNameSchema,
  stockEntityNames,
  stockCommandSchemas,
  type StockCommand,
  type StockCommandName,
  type StockCommandOf,
  type StockEntityName,
} from './stock-commands.js';
export {
  emptyStockroom,
  noStoreRules,
  StockEntitySchema,
  stockEntitySchemas,
  StoreRulesRowSchema,
  withStockRows,
  type StockEntities,
  type StockEntity,
  type Stockroom,
  type StoreRulesRow,
} from './stockroom.js';

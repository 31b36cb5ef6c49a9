export { storeFactsOf } from './store-facts.js';
export { leastChange, type LeastChange } from './least-change.js';
export { differenceBetweenJobs, previewOf, type Preview } from './preview-remedy.js';
export { partGroups, partsList, type PartGroup, type PartRow, type PartsList } from './parts-list.js';
export { AmountError, netNeed, type Amount, type NetNeed, type SpareRule } from './net-need.js';
export { OrderFigureError, type Offer, type OrderGoal, type OrderProblem, type PriceBreak, type Supplier } from './order-problem.js';
export { planOrder, singleSuppliers, type OrderLine, type OrderPlan, type SupplierOrder } from './plan-order.js';
export { jobNeeds, type JobNeeds, type NeedRow } from './job-needs.js';
export {
  changedPrices,
  offersFor,
  orderProblemFor,
  plannedOffer,
  plannedSupplier,
  priceFor,
  type BuyableOffer,
  type ChangedPrice,
} from './offers-for.js';
export { substitutesFor, type Substitute } from './substitutes.js';
export { cheapestFor, kitCheck, type KitCheck } from './kit-check.js';
export { sparesProblem } from './spares-problem.js';
export { carryOne, sparesSet, type Carried, type LineNeed, type SparesSet } from './spares.js';
export { eitherOr, type CasePart, type EitherOr, type EitherOrPlan, type PossibleCase } from './either-or.js';
export { madeForLine, madeHosesFor, type MadeHose } from './made-hoses.js';
export { guessPriceColumns, priceColumns, readPriceList, type ReadPrices } from './price-list.js';

export { partGroups, partsList, sealUseOf, type PartGroup, type PartRow, type PartsList } from './parts-list.js';
export { AmountError, netNeed, type Amount, type NetNeed, type SpareRule } from './net-need.js';
export { OrderFigureError, type Offer, type OrderGoal, type OrderProblem, type PriceBreak, type Supplier } from './order-problem.js';
export { planOrder, singleSuppliers, type OrderLine, type OrderPlan, type SupplierOrder } from './plan-order.js';

export { cutTickets, type CutTicket, type TicketEnd, type NotReady } from './cut-tickets.js';
export { CutFigureError, type CutProblem, type Demand, type StockLength } from './cut-problem.js';
export { Deadline } from './deadline.js';
export { hasValues, highsSolver, lpText, readResult, type Mip, type MipAnswer, type MipRow, type MipSolver, type Terms } from './mip.js';
export { planCuts, planCutsAtOnce, type Cut, type CutPlan } from './plan-cuts.js';
export {
  cutWork,
  lengthCautions,
  SLEEVE_WALLS_MM,
  sleeveFor,
  type CutDone,
  type CutGroup,
  type CutPiece,
  type CutWork,
} from './cut-work.js';
export {
  BY_THE_METRE,
  groupStages,
  newLengthEach,
  planGroup,
  planGroupAtOnce,
  type Bar,
  type CutRules,
  type GroupPlan,
  type GroupProblem,
  type NewLength,
} from './plan-group.js';

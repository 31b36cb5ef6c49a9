export { cutTickets, type CutTicket, type TicketEnd, type NotReady } from './cut-tickets.js';
export { CutFigureError, type CutProblem, type Demand, type StockLength } from './cut-problem.js';
export { highsSolver, lpText, readResult, type Mip, type MipAnswer, type MipRow, type MipSolver, type Terms } from './mip.js';
export { planCuts, planCutsAtOnce, type Cut, type CutPlan } from './plan-cuts.js';

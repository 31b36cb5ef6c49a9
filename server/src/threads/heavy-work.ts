import { readShop, undoShop } from '../catalogue/catalogue-store.js';
import { exportList, importList, previewList } from '../catalogue/part-list.js';
import { ruleExample } from '../catalogue/rule-example.js';
import { answerFault, nextLine } from '../drill/fault-store.js';
import { catchUp } from '../jobs/catch-up.js';
import { previewRule } from '../jobs/preview-rule.js';
import { orderPaper, partsPaper, ticketsPaper } from '../stockroom/papers-of.js';
import { planCutsOf, planOrdersOf, planSparesOf } from '../stockroom/plans.js';
import { importOffers, previewOffers } from '../stockroom/price-lists.js';
import { importJob } from '../transfer/import-job.js';

/** What a worker can be told to do, by its name: reading lists and files, telling everything at once, working out plans, drawing papers. */
export const heavyWork = {
  readShop,
  undoShop,
  previewList,
  importList,
  exportList,
  importJob,
  catchUp,
  previewRule,
  ruleExample,
  nextLine,
  answerFault,
  planCutsOf,
  planOrdersOf,
  planSparesOf,
  previewOffers,
  importOffers,
  partsPaper,
  ticketsPaper,
  orderPaper,
} as const;
export type HeavyName = keyof typeof heavyWork;

/** Threads apart: what pages need to open waits for nobody's plan, and no list for somebody's papers. */
export type Kind = 'pages' | 'lists' | 'plans' | 'papers';

interface Bounds {
  readonly kind: Kind;
  /** After which it is ended, s. */
  readonly seconds: number;
  /** It changes something: once begun it goes on to its end, whether its client waits or not. */
  readonly changes?: true;
}

export const boundsOf: Readonly<Record<HeavyName, Bounds>> = {
  readShop: { kind: 'pages', seconds: 60 },
  catchUp: { kind: 'pages', seconds: 900, changes: true },
  previewRule: { kind: 'plans', seconds: 60 },
  ruleExample: { kind: 'lists', seconds: 30 },
  nextLine: { kind: 'lists', seconds: 30 },
  answerFault: { kind: 'lists', seconds: 30, changes: true },
  undoShop: { kind: 'lists', seconds: 120, changes: true },
  previewList: { kind: 'lists', seconds: 60 },
  importList: { kind: 'lists', seconds: 120, changes: true },
  exportList: { kind: 'lists', seconds: 60 },
  importJob: { kind: 'lists', seconds: 120, changes: true },
  previewOffers: { kind: 'lists', seconds: 60 },
  importOffers: { kind: 'lists', seconds: 120, changes: true },
  planCutsOf: { kind: 'plans', seconds: 30 },
  planOrdersOf: { kind: 'plans', seconds: 30 },
  planSparesOf: { kind: 'plans', seconds: 30 },
  partsPaper: { kind: 'papers', seconds: 60 },
  ticketsPaper: { kind: 'papers', seconds: 60 },
  orderPaper: { kind: 'papers', seconds: 60 },
};

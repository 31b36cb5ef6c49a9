import { readShop, undoShop } from '../catalogue/catalogue-store.js';
import { exportList, importList, previewList } from '../catalogue/part-list.js';
import { catchUp } from '../jobs/catch-up.js';
import { planCutsOf, planOrdersOf, planSparesOf } from '../stockroom/plans.js';
import { importOffers, previewOffers } from '../stockroom/price-lists.js';
import { importJob } from '../transfer/import-job.js';

/** What a worker can be told to do, by its name: reading lists and files, telling everything at once, and working out plans. */
export const heavyWork = {
  readShop,
  undoShop,
  previewList,
  importList,
  exportList,
  importJob,
  catchUp,
  planCutsOf,
  planOrdersOf,
  planSparesOf,
  previewOffers,
  importOffers,
} as const;

import { jobContracts, shopContracts } from '@gewinde/core';
import { changeJob } from './change-job.js';
import { asJobChange } from '../history/change.js';
import { sentBy } from '../history/sent-by.js';
import { nextSteps, stepHistory } from '../history/step-history.js';
import type { App } from '../plugins/app-type.js';
import type { Feature } from '../plugins/feature.js';
import { serve } from '../plugins/serve.js';
import { findJobs, jobOfNumber } from './find-jobs.js';
import { createJob } from './job-store.js';
import { previewRule } from './preview-rule.js';
import { readJobAt } from './read-document.js';

/** Jobs: the board, one whole, and every change to one. */
export async function jobRoutes(app: App, { db, heavy }: Feature): Promise<void> {
  serve(app, jobContracts.listJobs, async ({ query: { archived, find = '', number, from = '0', most = '30' } }) =>
    number === undefined
      ? findJobs(db, { archived: archived === 'true', find, from: Number(from), most: Number(most) }, heavy)
      : jobOfNumber(db, number),
  );
  serve(app, jobContracts.createJob, async ({ body }) => createJob(db, body));
  serve(app, jobContracts.readJob, async ({ params }) => readJobAt(db, params.id));
  serve(app, jobContracts.changeJob, async ({ params, body, client }) =>
    changeJob(db, params.id, sentBy(client, 'change', body), body.commands),
  );
  serve(app, shopContracts.previewRule, async ({ body, asker }) => heavy.run(previewRule, asker, body.rule, body.value));
  serve(app, jobContracts.readSteps, async ({ params, client }) => nextSteps(db, params.id, client));
  for (const step of ['undo', 'redo'] as const)
    serve(app, jobContracts[`${step}Job`], async ({ params, body, client }) =>
      asJobChange(await stepHistory(db, { job: params.id }, sentBy(client, step, body), step, body.of)),
    );
}

import { benchContracts } from '@gewinde/core';
import type { App } from '../plugins/app-type.js';
import type { Feature } from '../plugins/feature.js';
import { serve } from '../plugins/serve.js';
import { asSeen } from '../stand-ins/calliper/calliper-routes.js';
import { drillResults, forgetAnswers, nextFitting, recordAnswer } from './drill-store.js';

/** The apprentice's drill on the mystery tray. */
export async function drillRoutes(app: App, { db }: Feature): Promise<void> {
  serve(app, benchContracts.drillResults, async ({ query }) => drillResults(db, query.apprentice));
  serve(app, benchContracts.nextFitting, async ({ body }) => asSeen(await nextFitting(db, body.apprentice)));
  serve(app, benchContracts.answerDrill, async ({ body }) => recordAnswer(db, body.apprentice, body.fitting, body.answer));
  serve(app, benchContracts.forgetDrill, async ({ body }) => {
    await forgetAnswers(db, body.apprentice);
    return null;
  });
}

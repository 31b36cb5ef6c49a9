import { benchContracts } from '@gewinde/core';
import type { App } from '../plugins/app-type.js';
import type { Feature } from '../plugins/feature.js';
import { serve } from '../plugins/serve.js';
import { asSeen } from '../stand-ins/calliper/calliper-routes.js';
import { forgetAnswers, resultsOf } from './answers-store.js';
import { nextFitting, recordAnswer } from './drill-store.js';
import { answerFault, nextLine } from './fault-store.js';

/** The apprentice's drill: threads of the mystery tray, and faults of made lines. */
export async function drillRoutes(app: App, { db, heavy }: Feature): Promise<void> {
  serve(app, benchContracts.drillResults, async ({ query }) => resultsOf(db, 'drill_answers', query.apprentice));
  serve(app, benchContracts.nextFitting, async ({ body }) => asSeen(await nextFitting(db, body.apprentice)));
  serve(app, benchContracts.answerDrill, async ({ body }) => recordAnswer(db, body.apprentice, body.fitting, body.answer));
  serve(app, benchContracts.forgetDrill, async ({ body }) => {
    await forgetAnswers(db, 'drill_answers', body.apprentice);
    return null;
  });
  serve(app, benchContracts.faultResults, async ({ query }) => resultsOf(db, 'fault_answers', query.apprentice));
  serve(app, benchContracts.nextLine, async ({ body, asker }) => heavy.run(nextLine, asker, body.apprentice));
  serve(app, benchContracts.answerFault, async ({ body, asker }) =>
    heavy.run(answerFault, asker, body.apprentice, body.question, body.answer),
  );
  serve(app, benchContracts.forgetFaults, async ({ body }) => {
    await forgetAnswers(db, 'fault_answers', body.apprentice);
    return null;
  });
}

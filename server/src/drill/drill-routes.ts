import { DrillResultsSchema, DrillVerdictSchema, FittingSeenSchema } from '@gewinde/core';
import { Type } from 'typebox';
import type { Feature } from '../plugins/feature.js';
import { answers, type App } from '../plugins/typed.js';
import { asSeen } from '../stand-ins/calliper/calliper-routes.js';
import { FittingId } from '../stand-ins/calliper/calliper-schemas.js';
import { drillResults, forgetAnswers, nextFitting, recordAnswer } from './drill-store.js';

const Apprentice = Type.String({ minLength: 1, maxLength: 60, pattern: '\\S' });
const WhoseDrill = Type.Object({ apprentice: Apprentice }, { additionalProperties: false });

/** The apprentice's drill on the mystery tray. */
export async function drillRoutes(app: App, { db }: Feature): Promise<void> {
  app.get(
    '/api/drill',
    { schema: { summary: "An apprentice's results and weak pairs", querystring: WhoseDrill, response: answers(DrillResultsSchema) } },
    async ({ query }) => drillResults(db, query.apprentice),
  );
  app.post(
    '/api/drill/next',
    { schema: { summary: 'The next fitting to measure and name', body: WhoseDrill, response: answers(FittingSeenSchema) } },
    async ({ body }) => asSeen(await nextFitting(db, body.apprentice)),
  );
  app.post(
    '/api/drill/answers',
    {
      schema: {
        summary: 'What the apprentice calls it',
        body: Type.Object(
          { apprentice: Apprentice, fitting: FittingId, answer: Type.String({ minLength: 1, maxLength: 40 }) },
          { additionalProperties: false },
        ),
        response: answers(DrillVerdictSchema),
      },
    },
    async ({ body }) => recordAnswer(db, body.apprentice, body.fitting, body.answer),
  );
  app.delete(
    '/api/drill',
    { schema: { summary: "Forget an apprentice's answers", body: WhoseDrill, response: answers(Type.Null(), 204) } },
    async ({ body }, reply) => {
      await forgetAnswers(db, body.apprentice);
      return reply.status(204).send(null);
    },
  );
}

import { Type } from 'typebox';
import type { Feature } from '../plugins/feature.js';
import { answers, type App } from '../plugins/typed.js';
import { asSeen } from '../stand-ins/calliper/calliper-routes.js';
import { FittingId, FittingSeen } from '../stand-ins/calliper/calliper-schemas.js';
import { drillResults, forgetAnswers, nextFitting, recordAnswer } from './drill-store.js';

const Apprentice = Type.String({ minLength: 1, maxLength: 60, pattern: '\\S' });
const WhoseDrill = Type.Object({ apprentice: Apprentice }, { additionalProperties: false });
const Results = Type.Object({
  asked: Type.Integer(),
  right: Type.Integer(),
  weak: Type.Array(Type.Object({ truth: Type.String(), answer: Type.String(), times: Type.Integer(), rightSince: Type.Integer() })),
});
const Verdict = Type.Object({
  right: Type.Boolean(),
  truth: Type.String(),
  answer: Type.String(),
  lookAlike: Type.Boolean(),
  howToTell: Type.Optional(Type.String()),
});

/** The apprentice's drill on the mystery tray. */
export async function drillRoutes(app: App, { db }: Feature): Promise<void> {
  app.get(
    '/api/drill',
    { schema: { summary: "An apprentice's results and weak pairs", querystring: WhoseDrill, response: answers(Results) } },
    async ({ query }) => drillResults(db, query.apprentice),
  );
  app.post(
    '/api/drill/next',
    { schema: { summary: 'The next fitting to measure and name', body: WhoseDrill, response: answers(FittingSeen) } },
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
        response: answers(Verdict),
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

import { ChainWeightsSchema, usualWeights, type ChainWeights } from '@gewinde/core';
import type { Knex } from 'knex';
import { Type } from 'typebox';
import { AppError } from '../errors/app-error.js';
import type { Feature } from '../plugins/feature.js';
import { answers, VersionField, type App } from '../plugins/typed.js';

const NAME = 'chain-weights';
const Answer = Type.Object({ weights: ChainWeightsSchema, version: Type.Integer({ minimum: 0 }) });

/** What the shop weighs when ways are ranked; version 0 is the start that nobody has changed yet. */
export async function readWeights(db: Knex): Promise<{ weights: ChainWeights; version: number }> {
  const row = (await db('shop_rules').where({ name: NAME }).first()) as { data: unknown; version: number } | undefined;
  if (!row) return { weights: usualWeights, version: 0 };
  const kept = (typeof row.data === 'string' ? JSON.parse(row.data) : row.data) as ChainWeights;
  return { weights: { ...usualWeights, ...kept }, version: row.version };
}

export async function chainWeightsRoutes(app: App, { db }: Feature): Promise<void> {
  app.get('/api/shop-rules/chain-weights', { schema: { summary: 'What counts when ways are ranked', response: answers(Answer) } }, () =>
    readWeights(db),
  );
  app.put(
    '/api/shop-rules/chain-weights',
    {
      schema: {
        summary: 'Set what counts when ways are ranked',
        body: Type.Object(
          { version: Type.Union([VersionField, Type.Literal(0)]), weights: ChainWeightsSchema },
          { additionalProperties: false },
        ),
        response: answers(Answer),
      },
    },
    async ({ body: { version, weights } }) =>
      db.transaction(async (trx) => {
        // the row is made first, so that two who begin at once meet on its lock
        await trx('shop_rules')
          .insert({ name: NAME, data: JSON.stringify(usualWeights), version: 0 })
          .onConflict('name')
          .ignore();
        const row = (await trx('shop_rules').where({ name: NAME }).forUpdate().first()) as { version: number };
        if (row.version !== version) throw new AppError('conflict', undefined, { current: await readWeights(trx) });
        await trx('shop_rules')
          .where({ name: NAME })
          .update({ data: JSON.stringify(weights), version: version + 1 });
        return { weights, version: version + 1 };
      }),
  );
}

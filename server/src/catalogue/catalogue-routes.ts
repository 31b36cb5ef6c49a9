import { shopContracts } from '@gewinde/core';
import { changeRows } from '../history/change-rows.js';
import { asShopChange } from '../history/change.js';
import type { App } from '../plugins/app-type.js';
import type { Feature } from '../plugins/feature.js';
import { serve } from '../plugins/serve.js';
import { readPart } from './catalogue-store.js';
import { runShopCommands } from './shop-commands.js';
import { ToldCatalogue } from './told-catalogue.js';

/** What all jobs share: the catalogue and its lists, and what the shop weighs. */
export async function catalogueRoutes(app: App, { db, heavy }: Feature): Promise<void> {
  const told = new ToldCatalogue(db, heavy);
  // the first to ask does not wait for it to be read
  app.addHook(
    'onListen',
    async () =>
      void told
        .revision()
        .then(async (revision) => told.at(revision))
        .catch(() => undefined),
  );
  serve(app, shopContracts.readCatalogue, async ({ request, reply }) => {
    const revision = await told.revision();
    const tag = `"${revision}"`;
    void reply.header('etag', tag).header('cache-control', 'no-cache');
    if (request.headers['if-none-match'] === tag) return reply.status(304).send();
    return told.at(revision);
  });
  serve(app, shopContracts.readPart, async ({ params }) => readPart(db, params.part));
  serve(app, shopContracts.changeShop, async ({ body, client }) =>
    asShopChange(await changeRows(db, 'shop', { client, key: body.key }, (trx) => runShopCommands(trx, body.commands))),
  );
  serve(app, shopContracts.undoShop, async ({ body, client }) => heavy.run('undoShop', { client, key: body.key }));
  serve(app, shopContracts.previewList, async ({ body }) => heavy.run('previewList', body.csv, body.section, body.mapping, body.money));
  serve(app, shopContracts.importList, async ({ body, client }) =>
    heavy.run('importList', body.csv, body.section ?? 'fitting', body.mapping, body.money, { client, key: body.key }),
  );
  serve(app, shopContracts.exportList, async ({ query, reply }) => {
    const name = (query.section ?? 'catalogue').replace(/[^a-z]+/g, '-');
    void reply.header('content-disposition', `attachment; filename="${name}.csv"`);
    return heavy.run('exportList', query.section);
  });
}

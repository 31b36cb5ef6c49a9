import { shopContracts } from '@gewinde/core';
import { changeRows } from '../history/change-rows.js';
import { asShopChange } from '../history/change.js';
import { sentBy } from '../history/sent-by.js';
import type { App } from '../plugins/app-type.js';
import type { Feature } from '../plugins/feature.js';
import { packingFor } from '../heavy/json-text.js';
import { ruleExample } from './rule-example.js';
import { serve } from '../plugins/serve.js';
import { carryOut } from '../shop/carry-out.js';
import { readPart, undoShop } from './catalogue-store.js';
import { ToldCatalogue } from './told-catalogue.js';
import { exportList, importList, previewList } from './part-list.js';

/** After this long a server that was started has other things behind it, ms. */
const SETTLED_MS = 2500;

/** What all jobs share: the catalogue and its lists, and what the shop weighs. */
export async function catalogueRoutes(app: App, { db, heavy }: Feature): Promise<void> {
  const told = new ToldCatalogue(db, heavy);
  // read before the first asks for it, once the start is over
  let reading: NodeJS.Timeout | undefined;
  app.addHook('onListen', async () => {
    reading = setTimeout(
      () =>
        void told
          .revision()
          .then(async (revision) => told.at(revision))
          .then(async (shop) => shop.packed('br'))
          .catch(() => undefined),
      SETTLED_MS,
    );
    reading.unref();
  });
  app.addHook('onClose', async () => clearTimeout(reading));
  serve(app, shopContracts.readCatalogue, async ({ request, reply }) => {
    const revision = await told.revision();
    const tag = `"${revision}"`;
    void reply.header('etag', tag).header('cache-control', 'no-cache');
    if (request.headers['if-none-match'] === tag) return reply.status(304).send();
    const shop = await told.at(revision);
    const packing = packingFor(request.headers['accept-encoding']);
    void reply.header('vary', 'accept-encoding');
    if (!packing) return shop;
    return reply
      .header('content-encoding', packing)
      .type('application/json; charset=utf-8')
      .send(await shop.packed(packing));
  });
  serve(app, shopContracts.readExample, async ({ params, asker }) => heavy.run(ruleExample, asker, params.rule));
  serve(app, shopContracts.readPart, async ({ params }) => readPart(db, params.part));
  serve(app, shopContracts.changeShop, async ({ body, client }) =>
    asShopChange(await changeRows(db, 'shop', sentBy(client, 'change', body), (trx) => carryOut(trx, body.commands, body))),
  );
  serve(app, shopContracts.undoShop, async ({ body, client, asker }) => heavy.run(undoShop, asker, sentBy(client, 'undo', body)));
  serve(app, shopContracts.previewList, async ({ body, asker }) =>
    heavy.run(previewList, asker, body.csv, body.section, body.mapping, body.money, body.counted),
  );
  serve(app, shopContracts.importList, async ({ body, client, asker }) =>
    heavy.run(
      importList,
      asker,
      body.csv,
      body.section ?? 'fitting',
      body.mapping,
      body.money,
      body.counted ?? false,
      sentBy(client, 'list', body),
    ),
  );
  serve(app, shopContracts.exportList, async ({ query, reply, asker }) => {
    const name = (query.section ?? 'catalogue').replace(/[^a-z]+/g, '-');
    void reply.header('content-disposition', `attachment; filename="${name}.csv"`);
    return heavy.run(exportList, asker, query.section);
  });
}

import { bytes, rates } from '@gewinde/core';
import Fastify, { type FastifyServerOptions } from 'fastify';
import type { Knex } from 'knex';
import { catalogueRoutes } from './catalogue/catalogue-routes.js';
import { drillRoutes } from './drill/drill-routes.js';
import { heavyHere, type Heavy } from './heavy/heavy.js';
import { healthRoutes } from './health/health-routes.js';
import { liveRoutes } from './history/live-routes.js';
import { jobRoutes } from './jobs/job-routes.js';
import { errorsBeforeRoutes, handleErrors } from './plugins/errors.js';
import { describeApi } from './plugins/openapi.js';
import { ownAddressOnly } from './plugins/own-address.js';
import { secure } from './plugins/security.js';
import type { App } from './plugins/app-type.js';
import { serveWeb } from './plugins/web-files.js';
import { calliperRoutes } from './stand-ins/calliper/calliper-routes.js';
import { outsideOf, type Outside } from './stand-ins/outside.js';
import { stockroomRoutes } from './stockroom/stockroom-routes.js';
import { transferRoutes } from './transfer/transfer-routes.js';

export interface AppOptions {
  readonly db: Knex;
  /** Folder of the built web app; without it only the API is served. */
  readonly webRoot?: string;
  readonly requestsPerMinute?: number;
  /** Names it is asked for by, beside those of the loopback. */
  readonly hosts?: readonly string[];
  /** Proxies that are believed when they say for whom they ask: limits and shares are by that address. */
  readonly proxies?: readonly string[];
  readonly logger?: FastifyServerOptions['logger'];
  /** Where heavy work is done; without it, where the requests are answered. */
  readonly heavy?: Heavy;
  /** What stands outside; without it, what ships to try with. */
  readonly outside?: Outside;
}

/** The server, ready to listen. It keeps no state of its own: several may run on one database. */
export async function buildApp(options: AppOptions): Promise<App> {
  const {
    db,
    webRoot,
    requestsPerMinute = rates.requestsPerMinute,
    hosts = [],
    proxies = [],
    logger = false,
    heavy = heavyHere(db),
    outside = outsideOf(),
  } = options;
  const app = Fastify({
    logger,
    bodyLimit: bytes.usual,
    forceCloseConnections: true,
    trustProxy: proxies.length > 0 ? [...proxies] : false,
    // a body that trickles in is cut off
    requestTimeout: rates.requestSeconds * 1000,
    ...errorsBeforeRoutes,
    ajv: { customOptions: { removeAdditional: false, coerceTypes: false, allErrors: false, discriminator: true } },
  });
  handleErrors(app);
  ownAddressOnly(app, hosts);
  await secure(app, requestsPerMinute);
  await describeApi(app);
  const feature = { db, heavy };
  app.addHook('onClose', () => heavy.close());
  await app.register(healthRoutes, { ...feature, outside });
  await app.register(jobRoutes, feature);
  await app.register(catalogueRoutes, feature);
  await app.register(liveRoutes, feature);
  await app.register(transferRoutes, feature);
  await app.register(calliperRoutes, outside);
  await app.register(drillRoutes, feature);
  await app.register(stockroomRoutes, { ...feature, desk: outside.supplier, printer: outside.printer });
  await serveWeb(app, webRoot);
  return app;
}

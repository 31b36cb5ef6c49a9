import { buildApp } from './app.js';
import { ensureStandardCatalogue } from './catalogue/catalogue-store.js';
import { coreBuild } from './catalogue/core-build.js';
import { readConfig } from './config.js';
import { connectDatabase } from './database/connect.js';
import { migrate } from './database/migrate.js';
import { sayRunning } from './database/running-servers.js';
import { loadDemo } from './demo/load-demo.js';
import { heavyInWorkers } from './threads/heavy-in-workers.js';
import { AppError } from './errors/app-error.js';
import { lateByForm } from './jobs/summaries.js';
import { whyNotStarted } from './why-not-started.js';
import type { App } from './plugins/app-type.js';
import { outsideOf } from './stand-ins/outside.js';
import { keepAsking } from './stockroom/send-order.js';

const config = inPlainWords(() => readConfig(process.env));
const db = connectDatabase(config.databaseUrl);
let app: App | undefined;
let askNoMore: (() => void) | undefined;
let sayEnded: (() => Promise<void>) | undefined;
let upgrading: Promise<void> | undefined;

const stopping = new AbortController();
const stop = async (code = 0): Promise<void> => {
  if (stopping.signal.aborted) return;
  stopping.abort();
  // a step of an upgrade is done to its end
  await upgrading?.catch(() => undefined);
  askNoMore?.();
  await app?.close();
  await sayEnded?.();
  await db.destroy();
  process.exit(code);
};
// before anything is done to the database: whoever stops a start is heard at once
for (const signal of ['SIGTERM', 'SIGINT', 'SIGHUP'] as const) process.on(signal, () => void stop());
// the start script is gone, however it went: do not stay behind without a database
process.on('disconnect', () => void stop());

try {
  upgrading = upgrade();
  await upgrading;
  // the demo brings the standard parts with their sample prices; the rest of them, and all where there is no demo
  if (config.demo !== 'none') await patiently(() => loadDemo(db, config.demo === 'reset'));
  await patiently(() => ensureStandardCatalogue(db, coreBuild()));
  await lateByForm(db);
  const heavy = heavyInWorkers(config.databaseUrl);
  const outside = outsideOf(config.outside);
  app = await buildApp({
    db,
    heavy,
    hosts: config.hosts,
    proxies: config.proxies,
    outside,
    ...(config.webRoot ? { webRoot: config.webRoot } : {}),
    logger: { level: 'warn' },
  });
  await app.listen({ host: config.host, port: config.port });
  askNoMore = keepAsking(db, outside.supplier);
  process.send?.('ready');
  console.log(`Gewinde listens on http://${config.host}:${config.port}`);
} catch (error) {
  if (!stopping.signal.aborted) {
    console.error(whyNotStarted(error, config.port));
    await stop((error as { code?: string }).code === 'EADDRINUSE' ? 3 : 1);
  }
}

/** Several servers that start at once over a cluster stand in one another's way for longer than a page would wait. */
async function patiently(work: () => Promise<void>, tries = 6): Promise<void> {
  for (let left = tries; ; left--) {
    try {
      return await work();
    } catch (error) {
      if (left <= 1 || !(error instanceof AppError) || error.code !== 'database-busy') throw error;
    }
  }
}

/** Brings the tables up to date, which takes as long as it takes, and says to whoever started this that it is at it. */
async function upgrade(): Promise<void> {
  const migrating = connectDatabase(config.databaseUrl, 2, 0);
  process.send?.('upgrading');
  try {
    await migrate(migrating, {
      stop: stopping.signal,
      say: (words) => console.log(words),
      then: async () => void (sayEnded = await sayRunning(db)),
    });
  } finally {
    await migrating.destroy();
    process.send?.('upgraded');
  }
}

function inPlainWords<T>(read: () => T): T {
  try {
    return read();
  } catch (error) {
    if (!(error instanceof RangeError)) throw error;
    console.error(error.message);
    process.exit(2);
  }
}

import { buildApp } from './app.js';
import { ensureStandardCatalogue } from './catalogue/catalogue-store.js';
import { coreBuild } from './catalogue/core-build.js';
import { readConfig } from './config.js';
import { connectDatabase } from './database/connect.js';
import { migrate } from './database/migrate.js';
import { loadDemo } from './demo/load-demo.js';
import { heavyInWorkers } from './threads/heavy-in-workers.js';
import { lateByForm } from './jobs/summaries.js';
import type { App } from './plugins/app-type.js';
import { outsideOf } from './stand-ins/outside.js';
import { keepAsking } from './stockroom/send-order.js';

const config = inPlainWords(() => readConfig(process.env));
const db = connectDatabase(config.databaseUrl);
let app: App | undefined;
let askNoMore: (() => void) | undefined;

let stopping = false;
const stop = async (code = 0): Promise<void> => {
  if (stopping) return;
  stopping = true;
  askNoMore?.();
  await app?.close();
  await db.destroy();
  process.exit(code);
};
// before anything is done to the database: whoever stops a start is heard at once
process.on('SIGTERM', () => void stop());
process.on('SIGINT', () => void stop());
// the start script is gone, however it went: do not stay behind without a database
process.on('disconnect', () => void stop());

try {
  // what brings tables up to date takes as long as it takes
  const migrating = connectDatabase(config.databaseUrl, 2, 0);
  await migrate(migrating).finally(() => migrating.destroy());
  // the demo brings the standard parts with their sample prices; the rest of them, and all where there is no demo
  if (config.demo !== 'none') await loadDemo(db, config.demo === 'reset');
  await ensureStandardCatalogue(db, coreBuild());
  await lateByForm(db);
  const heavy = heavyInWorkers(config.databaseUrl);
  const outside = outsideOf(config.outside);
  app = await buildApp({
    db,
    heavy,
    hosts: config.hosts,
    outside,
    ...(config.webRoot ? { webRoot: config.webRoot } : {}),
    logger: { level: 'warn' },
  });
  await app.listen({ host: config.host, port: config.port });
  askNoMore = keepAsking(db, outside.supplier);
  process.send?.('ready');
  console.log(`Gewinde listens on http://${config.host}:${config.port}`);
} catch (error) {
  if (!stopping) {
    const { code, message } = error as { code?: string; message: string };
    const busy = code === 'EADDRINUSE';
    console.error(
      busy
        ? `Port ${config.port} is in use by another program. Set GEWINDE_PORT to another one.`
        : code && /^E(CONN|HOST|TIMEDOUT|ACCES|R_)/.test(code)
          ? `The database cannot be used: ${message}`
          : error,
    );
    await stop(busy ? 3 : 1);
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

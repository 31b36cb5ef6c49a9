import { buildApp } from './app.js';
import { ensureStandardCatalogue } from './catalogue/catalogue-store.js';
import { readConfig } from './config.js';
import { connectDatabase, migrate } from './database/connect.js';
import { loadDemo } from './demo/load-demo.js';

const config = readConfig(process.env);
const db = connectDatabase(config.databaseUrl);
await migrate(db);
await ensureStandardCatalogue(db);
if (config.demo !== 'none') await loadDemo(db, config.demo === 'reset');
const app = await buildApp({ db, ...(config.webRoot ? { webRoot: config.webRoot } : {}), logger: { level: 'warn' } });

let stopping = false;
const stop = async (): Promise<void> => {
  if (stopping) return;
  stopping = true;
  await app.close();
  await db.destroy();
  process.exit(0);
};
process.on('SIGTERM', () => void stop());
process.on('SIGINT', () => void stop());
// the start script is gone, however it went: do not stay behind without a database
process.on('disconnect', () => void stop());

try {
  await app.listen({ host: config.host, port: config.port });
  process.send?.('ready');
  console.log(`Gewinde listens on http://${config.host}:${config.port}`);
} catch (error) {
  const busy = (error as { code?: string }).code === 'EADDRINUSE';
  console.error(busy ? `Port ${config.port} is in use by another program. Set GEWINDE_PORT to another one.` : error);
  await db.destroy();
  process.exit(busy ? 3 : 1);
}

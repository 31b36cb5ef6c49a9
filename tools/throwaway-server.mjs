import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { freePort, startDatabase } from './database.mjs';
import { root } from './paths.mjs';

/** The built app with the demo on a database of its own that is gone afterwards; for measuring and for pictures. */
export async function throwawayServer(demo = 'reset') {
  const folder = mkdtempSync(join(tmpdir(), 'gewinde-'));
  const database = await startDatabase(folder);
  const port = await freePort();
  const server = spawn(process.execPath, [join(root, 'server/dist/main.js')], {
    stdio: ['ignore', 'ignore', 'inherit', 'ipc'],
    env: {
      ...process.env,
      GEWINDE_DATABASE_URL: database.url('gewinde'),
      GEWINDE_PORT: String(port),
      GEWINDE_WEB_ROOT: join(root, 'web/dist/web/browser'),
      GEWINDE_DEMO: demo,
    },
  });
  await new Promise((resolve, reject) => {
    server.on('message', (word) => word === 'ready' && resolve(word));
    server.once('exit', () => reject(new Error('The server did not start.')));
  });
  return {
    pid: server.pid,
    url: `http://127.0.0.1:${port}`,
    databaseUrl: database.url('gewinde'),
    stop: async () => {
      const gone = new Promise((resolve) => server.once('exit', resolve));
      server.kill('SIGTERM');
      await gone;
      await database.stop();
      rmSync(folder, { recursive: true, force: true });
    },
  };
}

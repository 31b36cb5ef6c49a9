import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { setTimeout as sleep } from 'node:timers/promises';
import { portBusy, startDatabase } from './database.mjs';
import { noteAddress, releaseLock, takeLock } from './lock.mjs';
import { requireBuild, requireModules, requireNode, requirePackages, stop } from './needs.mjs';
import { dataRoot, root } from './paths.mjs';

const USAGE = `npm start [-- options]
  --empty        start without the demo jobs
  --reset-demo   put the demo jobs back as they were
  --port N       listen on port N (default 3000, or GEWINDE_PORT)
GEWINDE_DATABASE_URL names a MariaDB of your own; without it a private one runs in .gewinde/`;

requireNode();
const options = readOptions(process.argv.slice(2));
const ownDatabase = process.env.GEWINDE_DATABASE_URL || undefined;
requirePackages(ownDatabase ? [] : [{ command: 'mariadbd', name: 'mariadb-server' }]);

const lockFile = join(dataRoot, 'running.json');
const lock = takeLock(lockFile);
if (!lock.held)
  stop(
    lock.address
      ? `Gewinde is already running at ${lock.address} (process ${lock.pid}).`
      : `Gewinde is already starting (process ${lock.pid}).`,
  );
process.on('exit', () => releaseLock(lockFile));

// a server whose start script was killed is on its way out: give it a moment
for (let tries = 0; lock.stale && tries < 25 && (await portBusy(options.port)); tries++) await sleep(200);
if (await portBusy(options.port))
  stop(`Port ${options.port} is in use by another program. Start with another one:\n  npm start -- --port ${options.port + 1}`);
requireModules();
requireBuild();

let database;
let server;
let stopping = false;
process.on('SIGINT', () => void shutDown(0));
process.on('SIGTERM', () => void shutDown(0));

try {
  database = ownDatabase ? undefined : await startDatabase(join(dataRoot, 'database'));
} catch (error) {
  stop(error.message);
}
/** When it was started, of the last minute: a server that is killed is started again, but not for ever. */
const starts = [];
const MOST_STARTS = 5;

function startServer() {
  starts.push(Date.now());
  server = spawn(process.execPath, [join(root, 'server/dist/main.js')], {
    stdio: ['ignore', 'inherit', 'inherit', 'ipc'],
    detached: true, // Ctrl+C reaches this script alone, which stops server and database in their order
    env: {
      ...process.env,
      GEWINDE_DATABASE_URL: ownDatabase ?? database?.url('gewinde'),
      GEWINDE_PORT: String(options.port),
      GEWINDE_WEB_ROOT: join(root, 'web/dist/web/browser'),
      // what was put back once is not put back again
      GEWINDE_DEMO: starts.length > 1 && options.demo === 'reset' ? 'once' : options.demo,
    },
  });
  server.once('message', () => {
    const address = `http://127.0.0.1:${options.port}`;
    noteAddress(lockFile, { address, ...(database ? { socket: database.socket } : {}) });
    console.log(`\n  Gewinde is ready: ${address}\n  Stop with Ctrl+C.\n`);
  });
  server.once('exit', (code, signal) => {
    if (stopping) return;
    const recent = starts.filter((at) => at > Date.now() - 60_000).length;
    if (signal === null || recent >= MOST_STARTS) {
      if (signal !== null) console.error(`The server has been ended ${recent} times within a minute. Stopping.`);
      return void shutDown(code ?? 1);
    }
    console.error(`The server was ended by ${signal}; what was acknowledged is kept. Starting it again.`);
    startServer();
  });
}

if (!stopping) {
  startServer();
  database?.exited.then(() => {
    if (!stopping) console.error('The database has stopped; what was acknowledged is kept. Stopping; start again with npm start.');
    void shutDown(1);
  });
}

async function shutDown(code) {
  if (stopping) return;
  stopping = true;
  if (server && server.exitCode === null && server.signalCode === null) {
    const gone = new Promise((resolve) => server.once('exit', resolve));
    server.kill('SIGTERM');
    const late = setTimeout(() => server.kill('SIGKILL'), 8000);
    await gone;
    clearTimeout(late);
  }
  await database?.stop();
  process.exit(code);
}

function readOptions(args) {
  const found = { demo: 'once', port: Number(process.env.GEWINDE_PORT ?? 3000) };
  for (let i = 0; i < args.length; i++) {
    if (args[i] === '--empty') found.demo = 'none';
    else if (args[i] === '--reset-demo') found.demo = 'reset';
    else if (args[i] === '--port') found.port = Number(args[++i]);
    else stop(args[i] === '--help' ? USAGE : `Unknown option ${args[i]}\n${USAGE}`, args[i] === '--help' ? 0 : 2);
  }
  if (!Number.isInteger(found.port) || found.port < 1 || found.port > 65535) stop(`That is not a port.\n${USAGE}`, 2);
  return found;
}

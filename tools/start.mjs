import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { setTimeout as sleep } from 'node:timers/promises';
import { portBusy, startDatabase } from './database.mjs';
import { lockFile } from './database-client.mjs';
import { noteHolder, releaseLock, waitForLock } from './lock.mjs';
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

const lock = await holdFolder();
process.on('exit', () => releaseLock(lockFile));

// a server whose start script was killed is on its way out: give it a moment
for (let tries = 0; lock.stale && tries < 25 && (await portBusy(options.port)); tries++) await sleep(200);
if (await portBusy(options.port))
  stop(`Port ${options.port} is in use by another program. Start with another one:\n  npm start -- --port ${options.port + 1}`);
requireModules('run');
requireBuild();

let database;
let server;
let stopping = false;
/** The server brings tables up to date: a step of that is done to its end, however long it takes. */
let upgrading = false;
for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, () => void shutDown(0));

/** What is killed is started again, but not for ever: not when it has ended so many times in a row, each less than a minute after it was ready. */
const MOST_STARTS = 5;
class Life {
  starts = 0;
  shortLives = 0;
  startedAt = 0;
  /** Infinity while it is not ready. */
  readyAt = Infinity;

  begin() {
    this.starts++;
    this.startedAt = performance.now();
    this.readyAt = Infinity;
  }

  ready() {
    this.readyAt = performance.now();
  }

  /** Whether it has now ended too often; a slow machine, which takes its time to be ready, does not hide it. */
  end() {
    this.shortLives = performance.now() - this.readyAt < 60_000 ? this.shortLives + 1 : 0;
    return this.shortLives >= MOST_STARTS;
  }
}
const lives = { server: new Life(), database: new Life() };

/** The database that is there, or is coming. @type {Promise<Awaited<ReturnType<typeof startDatabase>>> | undefined} */
let comingDatabase;

async function startOwnDatabase(wantedPort) {
  lives.database.begin();
  comingDatabase = startDatabase(join(dataRoot, 'database'), wantedPort ? { wantedPort } : {});
  try {
    database = await comingDatabase;
    lives.database.ready();
  } catch (error) {
    console.error(error.message);
    return shutDown(1);
  }
  const { exited, port } = database;
  exited.then(async () => {
    if (stopping) return;
    if (lives.database.end()) {
      console.error(`The database has ended ${MOST_STARTS} times, each within a minute. Stopping.`);
      return shutDown(1);
    }
    console.error('The database has ended; what was acknowledged is kept. Starting it again.');
    await startOwnDatabase(port);
  });
}

function startServer() {
  lives.server.begin();
  server = spawn(process.execPath, [join(root, 'server/dist/main.js')], {
    stdio: ['ignore', 'inherit', 'inherit', 'ipc'],
    detached: true, // Ctrl+C reaches this script alone, which stops server and database in their order
    env: {
      ...process.env,
      GEWINDE_DATABASE_URL: ownDatabase ?? database?.url('gewinde'),
      GEWINDE_PORT: String(options.port),
      GEWINDE_WEB_ROOT: join(root, 'web/dist/web/browser'),
      // what was put back once is not put back again
      GEWINDE_DEMO: lives.server.starts > 1 && options.demo === 'reset' ? 'once' : options.demo,
    },
  });
  server.on('message', (word) => {
    if (word === 'upgrading' || word === 'upgraded') upgrading = word === 'upgrading';
    if (word !== 'ready') return;
    lives.server.ready();
    const address = `http://127.0.0.1:${options.port}`;
    noteHolder(lockFile, { does: 'start', address, ...(database ? { port: database.port } : {}) });
    console.log(`\n  Gewinde is ready: ${address}\n  Stop with Ctrl+C.\n`);
  });
  server.once('exit', (code, signal) => {
    if (stopping) return;
    const tooOften = lives.server.end();
    // one that came up while its database was away has said so and ended
    const withoutDatabase = code !== 0 && lives.database.starts > 1 && lives.database.readyAt > lives.server.startedAt;
    if ((signal === null && !withoutDatabase) || tooOften) {
      if (tooOften) console.error(`The server has been ended ${MOST_STARTS} times, each within a minute. Stopping.`);
      return void shutDown(code ?? 1);
    }
    console.error(`The server was ended by ${signal ?? 'the end of its database'}; what was acknowledged is kept. Starting it again.`);
    const again = () => stopping || startServer();
    if (withoutDatabase) comingDatabase?.then(again, () => undefined);
    else again();
  });
}

if (!ownDatabase) await startOwnDatabase();
if (!stopping) startServer();

async function shutDown(code) {
  if (stopping) return;
  stopping = true;
  if (server && server.exitCode === null && server.signalCode === null) {
    const gone = new Promise((resolve) => server.once('exit', resolve));
    server.kill('SIGTERM');
    if (upgrading) console.log('A step of an upgrade is being taken; stopping when it is done.');
    for (const since = Date.now(); await Promise.race([gone.then(() => false), sleep(500, true)]);)
      if (!upgrading && Date.now() - since > 8000) server.kill('SIGKILL');
  }
  const last = await comingDatabase?.catch(() => undefined);
  await last?.stop();
  process.exit(code);
}

/** One copy a data folder; a backup that is being made is waited for. */
async function holdFolder() {
  let told = false;
  const lock = await inWordsOfFiles(() =>
    waitForLock(lockFile, 'start', ({ does }) => {
      if (does === 'backup' && !told) console.log('A backup is being made; starting when it is done.');
      told ||= does === 'backup';
      return does === 'backup';
    }),
  );
  if (lock.held) return lock;
  if (lock.address) return stop(`Gewinde is already running at ${lock.address} (process ${lock.pid}).`);
  return stop(`Gewinde is already ${lock.does === 'restore' ? 'being restored' : 'starting'} (process ${lock.pid}).`);
}

/** A folder that cannot be written to is told as such. */
async function inWordsOfFiles(work) {
  try {
    return await work();
  } catch (error) {
    if (!['EACCES', 'EROFS', 'ENOSPC', 'EPERM'].includes(error.code)) throw error;
    const why = error.code === 'ENOSPC' ? 'the disk is full' : 'it is not allowed';
    return stop(`Gewinde keeps its data in ${dataRoot}, and cannot write there: ${why}. Set GEWINDE_DATA to another folder.`);
  }
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

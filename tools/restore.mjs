import { spawn } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { gunzipSync } from 'node:zlib';
import { backup } from './backup.mjs';
import { databaseClient } from './database-client.mjs';
import { requireNode, stop } from './needs.mjs';
import { dataRoot } from './paths.mjs';

requireNode();
const name = process.argv[2];
if (!name) stop('Say which: npm run restore -- FILE', 2);
const file = resolve(process.env.INIT_CWD ?? process.cwd(), name);
if (!existsSync(file)) stop(`There is no ${file}.`, 2);
const sql = read(file);
const client = await databaseClient();
try {
  if (client.running) throw new Error('Gewinde is running. Stop it first (Ctrl+C), then restore.');
  const safety = join(dataRoot, 'backups', `before-restore-${new Date().toISOString().replace(/[:.]/g, '-')}.sql.gz`);
  mkdirSync(join(dataRoot, 'backups'), { recursive: true, mode: 0o700 });
  await backup(safety, client);
  await load(sql);
  console.log(`Restored from ${file}.\nWhat was there before is in ${safety}.`);
} catch (error) {
  console.error(error.message);
  process.exitCode = 1;
} finally {
  await client.done();
}

/** The SQL of a backup; refuses a file that is no backup or is cut short. */
function read(path) {
  let text = '';
  try {
    text = gunzipSync(readFileSync(path)).toString('utf8');
  } catch {
    stop(`${path} is not a backup, or it is damaged. Nothing was changed.`, 2);
  }
  if (!text.includes('CREATE TABLE `jobs`') || !/-- Dump completed/.test(text.slice(-200)))
    stop(`${path} is not a whole backup of Gewinde. Nothing was changed.`, 2);
  return text;
}

async function load(text) {
  const child = spawn('mariadb', [...client.args, '--default-character-set=utf8mb4', client.database], {
    stdio: ['pipe', 'inherit', 'inherit'],
    env: client.env,
  });
  const code = new Promise((done) => child.once('exit', done));
  child.stdin.on('error', () => undefined); // the exit code tells
  child.stdin.end(text);
  if ((await code) !== 0)
    throw new Error('The backup could not be loaded whole; see above. The backup made just before holds what was there.');
}

import { spawn, spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { startDatabase } from '../database.mjs';
import { root } from '../paths.mjs';
import { kept } from './keep.mjs';

/** Ids that are made by chance and moments: what differs in them alone is the same. */
const BY_CHANCE = [
  'offers.id',
  'events.id',
  'event_rows.event_id',
  'marks.at',
  'stock_movements.id',
  'stock_movements.at',
  'hose_lengths.data',
];

/**
 * Cuts every step of the upgrade after every single statement, on the kept database of the version before it and on one without rows, and
 * starts it again: tables and rows must be what they are where nothing was cut.
 *
 * @returns {Promise<{ cuts: number, wrong: number }>}
 */
export async function cutUpgrades() {
  const folder = mkdtempSync(join(tmpdir(), 'gewinde-upgrade-'));
  const names = ['gewinde_1', 'gewinde_2'];
  const server = await startDatabase(folder, { databases: names, durable: false });
  const { connectDatabase } = await import(join(root, 'server/dist/database/connect.js'));
  const { readSchema } = await import(join(root, 'server/dist/database/schema/read-schema.js'));
  const { fingerprints } = await import(join(root, 'server/dist/database/schema/known-schema.js'));
  const { fingerprint } = await import(join(root, 'server/dist/database/schema/read-schema.js'));
  const steps = readdirSync(kept)
    .sort()
    .map((file) => file.replace('.sql', ''));
  const found = { cuts: 0, wrong: 0 };
  try {
    for (const [n, step] of steps.entries()) {
      const from = steps[n - 1];
      for (const rows of from ? [true, false] : [false]) {
        await fill(names[0], from, rows);
        const whole = await upgrade(server.url(names[0]), step);
        if (whole.code !== 0) throw new Error(`${step}: ${whole.said}`);
        const wanted = await contents(names[0], step);
        if (!wanted.endsWith('the tables of this version')) throw new Error(`${step} does not lead to the tables of its version.`);
        const cuts = Array.from({ length: Number(whole.said) }, (_, cut) => cut + 1);
        const many = cuts.length;
        let wrong = 0;
        const lane = async (database) => {
          for (let cut = cuts.shift(); cut !== undefined; cut = cuts.shift()) {
            await fill(database, from, rows);
            await upgrade(server.url(database), step, cut);
            const again = await upgrade(server.url(database), step);
            const now = again.code === 0 ? await contents(database, step) : again.said;
            if (now === wanted) continue;
            wrong += 1;
            console.log(`     cut after statement ${cut}: ${again.code === 0 ? firstDifference(wanted, now) : now}`);
          }
        };
        await Promise.all(names.map(lane));
        found.cuts += many;
        found.wrong += wrong;
        console.log(`${step.padEnd(28)} ${rows ? 'with rows' : 'empty    '} ${String(many).padStart(4)} cuts, ${wrong} wrong`);
      }
    }
  } finally {
    await server.stop();
    rmSync(folder, { recursive: true, force: true });
  }
  return found;

  /** The database of a version, with its rows or with those alone that say which it is. */
  async function fill(database, version, rows) {
    const sql = `drop database ${database}; create database ${database}; use ${database};\n${version ? readFileSync(join(kept, `${version}.sql`), 'utf8') : ''}`;
    const read = spawnSync('mariadb', server.adminArgs, { input: sql, encoding: 'utf8' });
    if (read.status !== 0) throw new Error(`${version}: ${read.stderr}`);
    if (rows) return;
    await using(database, (db) =>
      db.transaction(async (trx) => {
        await trx.raw('set foreign_key_checks = 0');
        for (const table of tablesOf(await readSchema(trx))) await trx(table).delete();
      }),
    );
  }

  /** All that the database holds, as one text; its tables must be those that the step leaves. */
  async function contents(database, step) {
    return using(database, async (db) => {
      const schema = await readSchema(db);
      const rows = [];
      for (const table of tablesOf(schema))
        for (const row of await db(table)) {
          const told = Object.entries(row).filter(([column]) => !BY_CHANCE.includes(`${table}.${column}`));
          rows.push(`${table} ${JSON.stringify(told)}`);
        }
      const [{ columns, keys }, known] = [schema, fingerprints[step]];
      const right = fingerprint(columns) === known.columns && fingerprint(keys) === known.keys;
      return [...columns, ...keys, ...rows.sort(), right ? 'the tables of this version' : `not the tables of ${step}`].join('\n');
    });
  }

  async function using(database, work) {
    const db = connectDatabase(server.url(database), 1);
    try {
      return await work(db);
    } finally {
      await db.destroy();
    }
  }
}

function tablesOf({ columns }) {
  return [...new Set(columns.map((fact) => fact.split('.')[0]))];
}

function upgrade(url, step, cutAfter) {
  const args = [join(root, 'tools/upgrade/migrate-cut.mjs'), url, step, ...(cutAfter === undefined ? [] : [String(cutAfter)])];
  const child = spawn(process.execPath, args, { stdio: ['ignore', 'pipe', 'pipe'] });
  let said = '';
  for (const stream of [child.stdout, child.stderr]) stream.on('data', (chunk) => (said += chunk));
  return new Promise((resolve) => child.once('close', (code) => resolve({ code, said: said.trim() })));
}

function firstDifference(wanted, now) {
  const [one, other] = [new Set(wanted.split('\n')), new Set(now.split('\n'))];
  const lost = [...one].find((line) => !other.has(line));
  const strange = [...other].find((line) => !one.has(line));
  return `lost ${lost?.slice(0, 160)}, found ${strange?.slice(0, 160)}`;
}

import { spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { startDatabase } from '../database.mjs';
import { requireBuild, requireModules, requireNode } from '../needs.mjs';
import { root } from '../paths.mjs';
import { rowsOf } from './rows.mjs';

/** Where the database of each version is kept, a small one with a row in every table: `20261125_jobs.sql` and so on. */
export const kept = join(root, 'server/test/earlier');

/** What is known of each version, as the server holds a database against it. */
const known = join(root, 'server/src/database/schema/known-schema.ts');

/**
 * Keeps a dump of every version that has none yet: made from the one before it by its migration, with rows in the tables that are new;
 * and writes down what the tables of each are. Run once for a new migration, before anybody has it: `node tools/upgrade/keep.mjs`.
 */
if (import.meta.url === `file://${process.argv[1]}`) {
  requireNode();
  requireModules();
  requireBuild();
  const { connectDatabase } = await import(join(root, 'server/dist/database/connect.js'));
  const { migrations } = await import(join(root, 'server/dist/database/migrations/index.js'));
  const { fingerprint, readSchema } = await import(join(root, 'server/dist/database/schema/read-schema.js'));
  const prints = {};
  let newest;
  const folder = mkdtempSync(join(tmpdir(), 'gewinde-keep-'));
  const server = await startDatabase(folder, { databases: ['gewinde'], durable: false });
  const client = [...server.adminArgs, 'gewinde'];
  const db = connectDatabase(server.url('gewinde'), 2, 0);
  mkdirSync(kept, { recursive: true });
  try {
    for (const name of Object.keys(migrations).sort()) {
      const file = join(kept, `${name}.sql`);
      if (existsSync(file)) {
        spawnSync('mariadb', [...server.adminArgs, '-e', 'drop database gewinde; create database gewinde']);
        const read = spawnSync('mariadb', client, { input: readFileSync(file), encoding: 'utf8' });
        if (read.status !== 0) throw new Error(`${file}: ${read.stderr}`);
        note(name, await readSchema(db));
        continue;
      }
      await db.migrate.up();
      note(name, await readSchema(db));
      for (const [table, rows] of Object.entries(rowsOf))
        if ((await db.schema.hasTable(table)) && !(await db(table).first())) for (const row of rows) await db(table).insert(row);
      const args = ['--skip-comments', '--skip-dump-date', '--skip-tz-utc', '--hex-blob', '--skip-extended-insert', '--skip-set-charset'];
      const dump = spawnSync('mariadb-dump', [...server.adminArgs, ...args, 'gewinde'], { encoding: 'utf8' });
      if (dump.status !== 0) throw new Error(dump.stderr);
      writeFileSync(file, dump.stdout);
      console.log(file);
    }
    writeFileSync(known, words());
    spawnSync('npx', ['prettier', '--write', known], { cwd: root, stdio: 'inherit' });
  } finally {
    await db.destroy();
    await server.stop();
    rmSync(folder, { recursive: true, force: true });
  }

  function note(name, schema) {
    prints[name] = { columns: fingerprint(schema.columns), keys: fingerprint(schema.keys) };
    newest = schema;
  }

  function words() {
    return `import type { Schema } from './read-schema.js';

/** What is known of the tables of each version; written down by \`node tools/upgrade/keep.mjs\` from the kept databases. */
export const fingerprints: Readonly<Record<string, { readonly columns: string; readonly keys: string }>> = ${JSON.stringify(prints)};

export const newestSchema: Schema = ${JSON.stringify(newest)};
`;
  }
}

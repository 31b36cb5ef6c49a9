import type { Knex } from 'knex';
import { fingerprints, newestSchema } from './known-schema.js';
import { fingerprint, readSchema } from './read-schema.js';

/** A database that is not what its version says, and is not touched. */
export class SchemaError extends Error {}

/**
 * Holds a database that an upgrade has left in good order against what its version has, before anything of it is changed. What it is
 * searched by and kept sound by is set right at the end of the upgrade; where other columns are, nobody knows what a further step does.
 *
 * @throws {SchemaError}
 */
export async function holdBefore(db: Knex, version: string): Promise<void> {
  const known = fingerprints[version];
  if (known && fingerprint((await readSchema(db)).columns) !== known.columns)
    throw new SchemaError(
      `The tables of this database are not those of its version (${version}): something else has changed them. Nothing was done to it. Restore a backup.`,
    );
}

/**
 * Holds a database of the newest version against what it must be. Keys and references that an upgrade of an earlier day has lost are made
 * again.
 *
 * @returns what was set right
 * @throws {SchemaError} where it cannot be, with what differs
 */
export async function holdAfter(db: Knex): Promise<string[]> {
  const found = await readSchema(db);
  const [lost, strange] = [without(newestSchema.columns, found.columns), without(found.columns, newestSchema.columns).filter(inOurTable)];
  if (lost.length + strange.length > 0) throw new SchemaError(differs(lost, strange));
  const missing = without(newestSchema.keys, found.keys);
  for (const fact of missing) {
    const sql = making(fact);
    if (!sql) throw new SchemaError(differs([fact], []));
    // what the database has put in its place where only the name is another
    await db.raw(sql).catch((error: unknown) => {
      throw new SchemaError(`${differs([fact], [])} It cannot be made again: ${(error as Error).message}`);
    });
  }
  const now = (await readSchema(db)).keys;
  const [stillLost, over] = [without(newestSchema.keys, now), without(now, newestSchema.keys).filter(inOurTable)];
  // an index more makes nothing unsound; a key or a reference more refuses what is right
  const refusing = over.filter((fact) => !fact.includes(' index '));
  if (stillLost.length + refusing.length > 0) throw new SchemaError(differs(stillLost, refusing));
  return missing;
}

function without(facts: readonly string[], others: readonly string[]): string[] {
  const known = new Set(others);
  return facts.filter((fact) => !known.has(fact));
}

const ours = new Set(newestSchema.columns.map((fact) => fact.slice(0, fact.indexOf('.'))));
/** Somebody's own table beside ours is theirs. */
function inOurTable(fact: string): boolean {
  return ours.has(/^\w+/.exec(fact)?.[0] ?? '');
}

/** The statement that makes a key or a reference. */
function making(fact: string): string | undefined {
  const names = (text: string): string =>
    text
      .split(', ')
      .map((name) => `\`${name}\``)
      .join(', ');
  const key = /^(\w+) (unique|index) (\w+) \(([\w, ]+)\)$/.exec(fact);
  if (key) return `alter table \`${key[1]}\` add ${key[2]} \`${key[3]}\` (${names(key[4]!)})`;
  const reference = /^(\w+) reference (\w+) \((\w+)\) to (\w+) \((\w+)\) on delete ([A-Z ]+)$/.exec(fact);
  if (!reference) return undefined;
  const [, table, name, column, to, toColumn, gone] = reference;
  return `alter table \`${table}\` add constraint \`${name}\` foreign key (\`${column}\`) references \`${to}\` (\`${toColumn}\`) on delete ${gone}`;
}

function differs(lost: readonly string[], strange: readonly string[]): string {
  const some = [...lost.map((fact) => `missing: ${fact}`), ...strange.map((fact) => `not expected: ${fact}`)];
  const more = some.length > 6 ? ` and ${some.length - 6} more` : '';
  return `The tables of this database are not what this version needs: ${some.slice(0, 6).join('; ')}${more}. Restore a backup, or start the version that it is of.`;
}

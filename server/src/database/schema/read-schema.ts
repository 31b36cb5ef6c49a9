import type { Knex } from 'knex';
import { createHash } from 'node:crypto';

/** What the tables of a database are, a line a fact, in order: those that hold data, and those that keep it sound. */
export interface Schema {
  readonly columns: readonly string[];
  readonly keys: readonly string[];
}

/** Tables of the upgrade itself, which Knex makes as it likes. */
const NOT_OURS = ['knex_migrations', 'knex_migrations_lock', 'migration_lease', 'migration_begun'];

type Row = Record<string, string | number | null>;

/** What the tables are, whatever release of MariaDB says it; how words are sorted is its owner's choice. */
export async function readSchema(db: Knex): Promise<Schema> {
  const ask = async (sql: string): Promise<Row[]> => {
    const [rows] = (await db.raw(sql)) as [Row[]];
    return rows.filter((row) => !NOT_OURS.includes(String(row['t'])));
  };
  const columns = await ask(
    `select table_name t, column_name c, column_type type, is_nullable nullable, column_default d, extra, generation_expression made
     from information_schema.columns where table_schema = database()`,
  );
  const checks = await ask(
    `select table_name t, constraint_name c, check_clause holds from information_schema.check_constraints where constraint_schema = database()`,
  );
  const keys = await ask(
    `select table_name t, index_name k, max(non_unique) many, group_concat(column_name order by seq_in_index separator ', ') cs
     from information_schema.statistics where table_schema = database() group by table_name, index_name`,
  );
  const references = await ask(
    `select u.table_name t, u.constraint_name k, u.column_name c, u.referenced_table_name rt, u.referenced_column_name rc, r.delete_rule gone
     from information_schema.key_column_usage u
     join information_schema.referential_constraints r on r.constraint_schema = u.table_schema and r.constraint_name = u.constraint_name and r.table_name = u.table_name
     where u.table_schema = database() and u.referenced_table_name is not null`,
  );
  return {
    columns: [
      ...columns.map(
        ({ t, c, type, nullable, d, extra, made }) =>
          `${t}.${c} ${String(type).replace(/^((?:tiny|big)?int)\(\d+\)/, '$1')}${nullable === 'NO' ? ' not null' : ''}` +
          `${d === null || d === 'NULL' ? '' : ` default ${d}`}${made ? ` as ${made}` : extra ? ` ${extra}` : ''}`,
      ),
      ...checks.map(({ t, c, holds }) => `${t}.${c} holds ${holds}`),
    ].sort(),
    keys: [
      ...keys.map(({ t, k, many, cs }) => `${t} ${Number(many) === 0 ? 'unique' : 'index'} ${k} (${cs})`),
      ...references.map(({ t, k, c, rt, rc, gone }) => `${t} reference ${k} (${c}) to ${rt} (${rc}) on delete ${gone}`),
    ].sort(),
  };
}

/** A short word for some facts: two that differ in one have another. */
export function fingerprint(facts: readonly string[]): string {
  return createHash('sha256').update(facts.join('\n')).digest('base64url').slice(0, 16);
}

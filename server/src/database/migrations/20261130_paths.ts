import { pathOfEnds, type Hose, type HoseEnd, type OldHoses, type OldLine } from '@gewinde/core';
import type { Knex } from 'knex';
import { fromJson } from '../from-json.js';

interface OldRow {
  readonly id: string;
  readonly construction: string | null;
  readonly dash: number | null;
  readonly end_a: unknown;
  readonly end_b: unknown;
  readonly taped_length_mm: number | null;
  readonly slack_percent: number;
  readonly checked: number;
  readonly made: unknown;
}
type OldEnd = OldLine['endA'] & { readonly portId: string };

/**
 * A line is a path of ways and pieces, its hoses and ends named by their ids; the place in a list is its order. Every step can be run
 * again after one that was cut short.
 */
export async function up(db: Knex): Promise<void> {
  for (const table of ['components', 'ports', 'job_lines'])
    if (await db.schema.hasColumn(table, 'position')) await db.raw('alter table ?? rename column `position` to `order`', [table]); // in one statement: Knex takes the references off meanwhile
  if (await db.schema.hasColumn('job_lines', 'end_a')) {
    if (!(await db.schema.hasColumn('job_lines', 'ways')))
      await db.schema.alterTable('job_lines', (t) => {
        t.json('pieces').nullable();
        t.json('ways').nullable();
        t.json('signed').nullable();
      });
    await linesAsPaths(db);
    await db.schema.alterTable('job_lines', (t) =>
      t.dropColumns('construction', 'dash', 'end_a', 'end_b', 'taped_length_mm', 'slack_percent', 'checked'),
    );
  }
  if (await db.schema.hasColumn('job_lines', 'signed')) await db.raw('alter table job_lines change signed checked longtext null');
  await db.raw('alter table job_lines modify pieces json not null, modify ways json not null');
}

export async function down(): Promise<void> {
  throw new Error('Lines cannot be brought back to an earlier form: restore the backup that was made before.');
}

async function linesAsPaths(db: Knex): Promise<void> {
  const hoses = await oldHoses(db);
  const rows = (await db('job_lines').whereNull('ways')) as OldRow[];
  for (const row of rows) {
    const { pieces, ways, checked, made } = pathOfEnds(
      {
        construction: row.construction,
        dash: row.dash,
        endA: fromJson<OldEnd>(row.end_a),
        endB: fromJson<OldEnd>(row.end_b),
        tapedLengthMm: row.taped_length_mm,
        slackPercent: row.slack_percent,
        checked: Boolean(row.checked),
        ...(row.made ? { made: fromJson<string[]>(row.made) } : {}),
      },
      hoses,
    );
    const json = (value: unknown): string | null => (value === null || value === undefined ? null : JSON.stringify(value));
    await db('job_lines')
      .where({ id: row.id })
      .update({ pieces: json(pieces), ways: json(ways), signed: json(checked), made: json(made) });
  }
}

/** Hoses and ends as they were found by construction, size and angle. */
async function oldHoses(db: Knex): Promise<OldHoses> {
  const read = async <T>(table: string): Promise<T[]> => {
    const rows: { data: unknown }[] = await db(table).orderBy('position').orderBy('id').select('data');
    return rows.map(({ data }) => fromJson<T>(data));
  };
  const [hoses, ends] = [await read<Hose>('hoses'), await read<HoseEnd>('hose_ends')];
  return {
    hose: (construction, dash) => hoses.find((h) => h.construction === construction && h.dash === dash)?.id,
    end: (construction, dash, angleDeg) =>
      ends.find((e) => e.construction === construction && e.dash === dash && e.angleDeg === angleDeg)?.id,
  };
}

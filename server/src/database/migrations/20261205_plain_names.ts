import type { Knex } from 'knex';

/** Signs that no name may have, as the database's patterns write them: controls, and marks that turn the writing round. */
const UNSEEN = '[\\x{0000}-\\x{001F}\\x{007F}-\\x{009F}\\x{2028}\\x{2029}\\x{202A}-\\x{202E}\\x{2066}-\\x{2069}]';
/** Of a note, lines and tabs are welcome. */
const UNSEEN_IN_TEXT =
  '[\\x{0000}-\\x{0008}\\x{000B}\\x{000C}\\x{000E}-\\x{001F}\\x{007F}-\\x{009F}\\x{202A}-\\x{202E}\\x{2066}-\\x{2069}]';

const names = [
  ['jobs', 'number'],
  ['jobs', 'name'],
  ['components', 'name'],
  ['ports', 'label'],
  ['job_lines', 'name'],
  ['offers', 'supplier'],
  ['offers', 'code'],
] as const;
const notes = [
  ['jobs', 'description'],
  ['components', 'note'],
  ['ports', 'note'],
  ['job_lines', 'note'],
] as const;

/** Signs that do not show, which earlier versions let into names and notes, become blanks: what is stored passes every door again. */
export async function up(db: Knex): Promise<void> {
  for (const [table, column] of names)
    await db(table)
      .whereRaw('?? regexp ?', [column, UNSEEN])
      .update({ [column]: db.raw("coalesce(nullif(trim(regexp_replace(??, ?, ' ')), ''), ?)", [column, UNSEEN, '?']) });
  for (const [table, column] of notes)
    await db(table)
      .whereRaw('?? regexp ?', [column, UNSEEN_IN_TEXT])
      .update({ [column]: db.raw("regexp_replace(??, ?, ' ')", [column, UNSEEN_IN_TEXT]) });
}

export async function down(): Promise<void> {
  // blanks say no less
}

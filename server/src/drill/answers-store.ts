import { weakPairs, type DrillAnswer, type DrillResults } from '@gewinde/core';
import type { Knex } from 'knex';

/** Answers before these no longer weigh. */
const REMEMBERED = 400;

/** Where the answers of each drill are kept: threads named, faults found. */
export type AnswersTable = 'drill_answers' | 'fault_answers';

/** The oldest first. */
export async function answersOf(db: Knex, table: AnswersTable, apprentice: string): Promise<DrillAnswer[]> {
  const rows: { truth: string; answer: string; right: number }[] = await db(table)
    .where({ apprentice })
    .orderBy([
      { column: 'at', order: 'desc' },
      { column: 'id', order: 'desc' },
    ])
    .limit(REMEMBERED)
    .select('truth', 'answer', 'right');
  return rows.reverse().map(({ truth, answer, right }) => ({ truth, answer, right: Boolean(right) }));
}

export async function resultsOf(db: Knex, table: AnswersTable, apprentice: string): Promise<DrillResults> {
  const counted = (await db(table).where({ apprentice }).count({ asked: '*' }).sum({ right: 'right' }).first()) as
    { asked: number | string; right: number | string | null } | undefined;
  return {
    asked: Number(counted?.asked ?? 0),
    right: Number(counted?.right ?? 0),
    weak: weakPairs(await answersOf(db, table, apprentice)).slice(0, 12),
  };
}

export async function forgetAnswers(db: Knex, table: AnswersTable, apprentice: string): Promise<void> {
  await db(table).where({ apprentice }).delete();
}

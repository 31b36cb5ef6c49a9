import { numberedRows, rowNumber, type NumberedRow, type ShopQuestions, type ShopRowType } from '@gewinde/core';
import type { Knex } from 'knex';
import { listRows } from '../database/entities.js';
import { fromJson } from '../database/from-json.js';
import { lockRows } from '../database/write-rows.js';

type Question = keyof ShopQuestions;
type Answers = { readonly [Q in Question]: (...of: never[]) => Promise<unknown> };

/** An answer that is not there yet: it is fetched, and the commands are run again. */
class NotReadYet extends Error {
  constructor(readonly fetch: () => Promise<void>) {
    super('not read yet');
  }
}

/**
 * Works something out with what the database answers, under the locks of a transaction: a question that comes up for the first time is
 * read, and the work begun anew. What is asked is thus what is locked, and nothing has to be said of it beforehand.
 */
export async function readAsAsked<T>(trx: Knex.Transaction, work: (ask: ShopQuestions) => T): Promise<T> {
  const known = new Map<string, unknown>();
  const answers = answersIn(trx);
  const questions = Object.entries(answers) as [Question, (...of: unknown[]) => Promise<unknown>][];
  const ask = Object.fromEntries(
    questions.map(([question, answer]) => [
      question,
      (...of: unknown[]): unknown => {
        const key = JSON.stringify([question, of]);
        if (!known.has(key)) throw new NotReadYet(async () => void known.set(key, await answer(...of)));
        return known.get(key);
      },
    ]),
  ) as unknown as ShopQuestions;
  for (;;) {
    try {
      return work(ask);
    } catch (error) {
      if (!(error instanceof NotReadYet)) throw error;
      await error.fetch();
    }
  }
}

const numbered = { length: ['hose_lengths', 'id'], order: ['purchase_orders', 'number'] } as const satisfies Record<NumberedRow, unknown>;

/** Under which name it is kept how far the numbers of a kind of row have come. */
export function numbersMark(of: NumberedRow): string {
  return `numbers ${numbered[of][0]}`;
}

function answersIn(trx: Knex.Transaction): Answers {
  return {
    row: async (type: ShopRowType, id: string) => (await lockRows(trx, type, [id])).get(id),
    jobNumber: async (id: string) => (await trx('jobs').where({ id }).first<{ number: string } | undefined>('number'))?.number,
    jobOfLine: async (id: string) => (await trx('job_lines').where({ id }).first<{ job_id: string } | undefined>('job_id'))?.job_id,
    cutsOfLine: async (lineId: string) => {
      const jobId = (await trx('job_lines').where({ id: lineId }).first<{ job_id: string } | undefined>('job_id'))?.job_id;
      return jobId === undefined ? [] : (await listRows(trx, 'cut', { job_id: jobId })).filter((cut) => cut.lineId === lineId);
    },
    cutsOfLength: async (lengthId: string) => listRows(trx, 'cut', { length_id: lengthId }),
    lengthsReservedFor: async (jobId: string) =>
      (await listRows(trx, 'length', { state: 'there' })).filter((l) => l.reserved?.some((r) => r.jobId === jobId)),
    ordersOfJob: async (jobId: string) => (await listRows(trx, 'order')).filter((o) => o.jobIds.includes(jobId)),
    offersOf: async (supplierId: string) => listRows(trx, 'offer', { supplier_id: supplierId }),
    supplierCalled: async (name: string) => (await trx('suppliers').where({ name }).first<{ id: string } | undefined>('id'))?.id,
    partOfCode: async (code: string) => {
      const owner: { id: string; data: unknown } | undefined = await trx('offers')
        .join('parts', 'parts.id', 'offers.part_id')
        .where({ code })
        .first('parts.id', 'parts.data');
      return owner && { id: owner.id, name: fromJson<{ name: string }>(owner.data).name };
    },
    rackedMm: async (part: string) => {
      const sum = (await trx('hose_lengths').where({ part_id: part, state: 'there' }).whereNot({ kind: 'made' }).sum('mm as n').first()) as
        { n: string | null } | undefined;
      return Number(sum?.n ?? 0);
    },
    firstFree: async (of: NumberedRow) => {
      const [table, column] = numbered[of];
      const mark: { revision: number } | undefined = await trx('marks')
        .where({ name: numbersMark(of) })
        .forUpdate()
        .first('revision');
      let n = Number(mark?.revision ?? 0) + 1;
      const taken = new Set(await trx(table).where(column, 'like', `${numberedRows[of]}-%`).pluck<string[]>(column));
      while (taken.has(rowNumber(of, n))) n += 1;
      return n;
    },
  };
}

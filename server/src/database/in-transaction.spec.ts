import { startTestApp, type TestApp } from '../../test/test-app.js';
import type { Knex } from 'knex';
import { randomUUID } from 'node:crypto';
import { changeJob } from '../jobs/change-job.js';
import { createJob } from '../jobs/job-store.js';
import { inTransaction } from './in-transaction.js';

let server: TestApp;
beforeAll(async () => (server = await startTestApp()));
afterAll(async () => server.close());

describe('transactions that stand in one another’s way', () => {
  it('both come through: the one that lost is run again', async () => {
    const marks = server.db('marks');
    await marks.insert(['left', 'right'].map((name) => ({ name, at: new Date() })));
    let runs = 0;
    const crossing = (first: string, second: string) =>
      inTransaction(server.db, async (trx) => {
        runs += 1;
        await trx('marks').where({ name: first }).update({ at: new Date() });
        await new Promise((resolve) => setTimeout(resolve, 100));
        await trx('marks').where({ name: second }).update({ at: new Date() });
        return first;
      });
    expect(await Promise.all([crossing('left', 'right'), crossing('right', 'left')])).toEqual(['left', 'right']);
    expect(runs).toBeGreaterThan(2);
  });

  /** A database whose first commit is made, and whose answer to it is lost on the way. */
  const cutOff = (commits: boolean): Knex => {
    let first = true;
    const transaction = async <T>(work: (trx: Knex.Transaction) => Promise<T>): Promise<T> => {
      if (!first) return server.db.transaction(work);
      first = false;
      const lost = Object.assign(new Error('lost'), { code: 'PROTOCOL_CONNECTION_LOST' });
      await server.db
        .transaction(async (trx) => {
          await work(trx);
          if (!commits) throw lost;
        })
        .catch(() => undefined);
      throw lost;
    };
    return new Proxy(server.db, { get: (db, name) => (name === 'transaction' ? transaction : (Reflect.get(db, name) as unknown)) });
  };

  it('find out what became of a commit that was cut off: made once, whether it had arrived or not', async () => {
    const job = { number: '7001', name: 'Cut off' };
    for (const [commits, number] of [
      [true, '7002'],
      [false, '7003'],
    ] as const) {
      const { id } = await createJob(cutOff(commits), { id: randomUUID(), ...job, number });
      const sender = { client: 'a tab', key: randomUUID() };
      const change = await changeJob(cutOff(commits), id, sender, [{ do: 'add-component', kind: 'pan', name: 'Pan' }]);
      expect(change).toMatchObject({ id: 1, key: sender.key, label: 'Add Pan' });
      expect(await server.db('components').where({ job_id: id }).pluck('name')).toEqual(['Pan']);
    }
  });

  it('say that it is not known, and not that nothing was changed, when the database stays away', async () => {
    const away = {
      transaction: async (work: (trx: unknown) => Promise<unknown>) => {
        await work(undefined);
        throw Object.assign(new Error(), { code: 'ECONNRESET' });
      },
    };
    await expect(inTransaction(away as unknown as Knex, () => Promise.resolve('made'))).rejects.toMatchObject({
      code: 'not-known',
      status: 503,
    });
  });

  it('give up in words of their own after losing again and again; other faults come through at once', async () => {
    let runs = 0;
    const fail = (code: string) =>
      inTransaction(
        server.db,
        async () => {
          runs += 1;
          throw Object.assign(new Error(code), { code });
        },
        300,
      );
    await expect(fail('ER_LOCK_DEADLOCK')).rejects.toMatchObject({ code: 'database-busy', status: 503 });
    expect(runs).toBeGreaterThan(3);
    runs = 0;
    await expect(fail('ER_BAD_FIELD_ERROR')).rejects.toMatchObject({ code: 'ER_BAD_FIELD_ERROR' });
    expect(runs).toBe(1);
  });
});

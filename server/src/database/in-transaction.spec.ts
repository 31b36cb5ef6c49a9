import { startTestApp, type TestApp } from '../../test/test-app.js';
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
